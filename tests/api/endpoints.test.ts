import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import * as nowhere from '@/app/api/[...path]/route';
import { bodyText } from '@/app/api/answering/body';
import { mostLines } from '@/app/api/answering/budget';
import * as convert from '@/app/api/convert/route';
import * as declination from '@/app/api/declination/route';
import * as home from '@/app/api/home/route';
import { logbookOf } from '@/core/model/logbook';
import { blankOuting } from '@/core/model/outing';
import { leg } from '../support/outings';

const demo = readFileSync('demo/rain-gauges.log.txt', 'utf8');
const post = (
  handler: (request: Request) => Promise<Response>,
  body: BodyInit,
  { query = '', type = 'text/plain' } = {},
) =>
  handler(
    new Request(`http://localhost/api/x${query}`, {
      method: 'POST',
      body,
      headers: { 'content-type': type },
    }),
  );
const errorOf = async (answer: Response) => ({
  status: answer.status,
  ...((await answer.json()) as { error: Record<string, unknown> }).error,
});

describe('POST /api/home', () => {
  it('reads a log as people write it by hand, like the entry line', async () => {
    const byHand =
      'pace: 65/100m\nstart Dock, 54.2 −63.5\nN 40° E, 130 double paces -> Gauge 1 @ 9.48\n' +
      '220 for 65 paces (burnt snag) to gauge  2\n';
    const written =
      'cairn-back log 1\npace 65 per 100 m\nstart Dock at 54.2 -63.5\n' +
      'N40E 130p @09:48 > Gauge 1\n220 65p > gauge  2 ; burnt snag\n';
    const [hand, canonical] = await Promise.all(
      [byHand, written].map(async (log) => (await post(home.POST, log)).json() as Promise<object>),
    );
    expect(hand).toEqual(canonical);
    expect(hand).toMatchObject({ home: { from: 'gauge  2', to: 'Dock' } });
  });

  it('answers with the way home, not rounded', async () => {
    const log =
      'declination 19.1 W\npace 65 per 100 m\n220 100m\n350 200m\n140 50m\n080 200m > Camp\n';
    const answer = await post(home.POST, log);
    expect(answer.status).toBe(200);
    const body = await answer.json();
    expect(body).toMatchObject({
      outing: '',
      declination: { east: -19.1, source: 'typed' },
      walkedMetres: 550,
      home: { from: 'Camp', to: 'Start', show: 'magnetic' },
      closures: [],
      warnings: [],
    });
    expect(body.home.magnetic).toBeCloseTo(228.09, 2);
    expect(body.home.true).toBeCloseTo(208.99, 2);
    expect(body.home.grid).toBeCloseTo(208.99, 2);
    expect(body.home.distanceMetres).toBeCloseTo(174.82, 2);
    expect(body.home.paces).toBeCloseTo(113.63, 2);
    expect(body.stations.map(({ name }: { name: string }) => name)).toEqual([
      'Start',
      '1',
      '2',
      '3',
      'Camp',
    ]);
    expect(body.stations[0]).toEqual({ name: 'Start', x: 0, y: 0 });
    for (const figure of [body.missAtHome, body.placeOnMap]) {
      expect(figure.semiMajor).toBeGreaterThan(figure.semiMinor);
      expect(figure.azimuth >= 0 && figure.azimuth < 180).toBe(true);
    }
  });

  it('says what the error at home comes from, and takes how one walks home', async () => {
    type Source = { source: string; shared: boolean; share: number };
    const sourcesOf = async (log: string) =>
      ((await (await post(home.POST, log)).json()) as { sources: Source[] }).sources;
    const log = 'pace 1 m\naim sighted\n000 500p';
    const alike = await sourcesOf(log);
    expect(alike.map(({ source }) => source)).toEqual(['paced', 'following', 'fineness']);
    expect(alike.every(({ shared }) => !shared)).toBe(true);
    const other = await sourcesOf(`${log}\nhome needle on rough`);
    expect(other).toContainEqual(expect.objectContaining({ source: 'compass', shared: true }));
    expect(other).toContainEqual(expect.objectContaining({ source: 'pace-length', shared: true }));
    for (const sources of [alike, other]) {
      expect(sources.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
      expect(sources).toEqual(sources.toSorted((a, b) => b.share - a.share));
    }
  });

  it('is between the stations asked for, with nulls for what isn’t known', async () => {
    const answer = await post(home.POST, '000 100m > A\n090 100m > B', { query: '?from=A&to=B' });
    const body = await answer.json();
    expect(body.home).toMatchObject({ from: 'A', to: 'B', true: null, grid: null, paces: null });
    expect(body.home.magnetic).toBeCloseTo(90, 9);
    expect(body.declination).toEqual({ east: null, source: 'none' });
  });

  it('gives positions, closures and warnings with their lines', async () => {
    const body = await (await post(home.POST, demo)).json();
    expect(body.stations[0]).toMatchObject({ name: 'Dock', latitude: 54.2 });
    expect(body.closures).toMatchObject([{ station: 'Esker top', line: 25 }]);
    expect(body.warnings).toMatchObject([{ code: 'back-bearing-off', line: 13 }]);
    expect(demo.split('\n')[12]).toContain('back 164');
  });

  it('takes a logbook of one outing', async () => {
    const logbook = await (await post(convert.POST, demo, { query: '?to=json' })).text();
    const fromLog = await (await post(home.POST, demo)).json();
    const fromBook = await (await post(home.POST, logbook, { type: 'application/json' })).json();
    expect(fromBook.home).toEqual(fromLog.home);
    expect(fromBook.placeOnMap).toEqual(fromLog.placeOnMap);
  });
});

describe('POST /api/convert', () => {
  it('writes the canonical log, which is then stable, and the logbook', async () => {
    const log = await post(convert.POST, demo, { query: '?to=log' });
    expect(log.headers.get('content-type')).toBe('text/plain; charset=utf-8');
    expect(await log.text()).toBe(demo);
    const json = await post(convert.POST, demo, { query: '?to=json' });
    expect(json.headers.get('content-type')).toBe('application/json; charset=utf-8');
    const back = await post(convert.POST, await json.text(), {
      query: '?to=log',
      type: 'application/json',
    });
    expect(await back.text()).toBe(demo);
  });
});

describe('a request that can’t be answered', () => {
  it('is one whose body is packed', async () => {
    const packed = new Request('http://localhost/api/home', {
      method: 'POST',
      body: '220 65m',
      headers: { 'content-type': 'text/plain', 'content-encoding': 'gzip' },
    });
    expect(await errorOf(await home.POST(packed))).toMatchObject({
      status: 415,
      message: 'Can’t unpack the content encoding “gzip”.',
    });
  });

  it('gets an error of the stated shape', async () => {
    expect(await errorOf(await post(home.POST, '140 50m\n220 65p'))).toMatchObject({
      status: 400,
      line: 2,
      column: 5,
    });
    expect(await errorOf(await post(home.POST, 'x\n'))).toMatchObject({
      status: 400,
      line: 1,
      column: 1,
    });
    expect(await errorOf(await post(home.POST, '000 1m', { query: '?from=Z' }))).toMatchObject({
      status: 400,
      path: 'from',
    });
    expect(await errorOf(await post(convert.POST, '000 1m', { query: '?to=doc' }))).toMatchObject({
      status: 400,
      path: 'to',
      expected: 'log, json, gpx, geojson, kml, csv, svg',
    });
    expect(await errorOf(await post(home.POST, '{}', { type: 'application/json' }))).toMatchObject({
      status: 400,
      path: 'format',
    });
    expect(await errorOf(await post(home.POST, '{', { type: 'application/json' }))).toMatchObject({
      status: 400,
    });
    expect(await errorOf(await post(home.POST, new Uint8Array([0xff, 0xfe, 0x80])))).toMatchObject({
      status: 400,
      expected: 'UTF-8',
    });
    const book = {
      format: 'cairn-back/logbook',
      version: 1,
      exportedAt: '2026-08-14T09:40:00Z',
      outings: [],
      paceProfiles: [],
    };
    expect(
      await errorOf(await post(home.POST, JSON.stringify(book), { type: 'application/json' })),
    ).toMatchObject({ status: 400, path: 'outings' });
  });

  it('gets status 413, 415 or 405', async () => {
    expect(await errorOf(await post(home.POST, 'x'.repeat(2_000_001)))).toMatchObject({
      status: 413,
    });
    expect(await errorOf(await post(home.POST, '1 1m\n'.repeat(100_001)))).toMatchObject({
      status: 413,
    });
    expect(await errorOf(await post(home.POST, 'x', { type: 'image/png' }))).toMatchObject({
      status: 415,
    });
    const refused = home.GET();
    expect(refused.headers.get('allow')).toBe('POST, OPTIONS');
    expect(home.OPTIONS().headers.get('allow')).toBe('POST, OPTIONS');
    expect(declination.OPTIONS().headers.get('allow')).toBe('GET, HEAD, OPTIONS');
    expect(await errorOf(refused)).toMatchObject({ status: 405, expected: 'POST' });
  });

  it('a body without a length is read no further than its limit', async () => {
    let sent = 0;
    const endless = new ReadableStream({
      pull(controller) {
        sent += 100_000;
        controller.enqueue(new Uint8Array(100_000).fill(35));
      },
    });
    const request = new Request('http://localhost/api/home', {
      method: 'POST',
      body: endless,
      headers: { 'content-type': 'text/plain' },
      duplex: 'half',
    } as RequestInit);
    expect((await home.POST(request)).status).toBe(413);
    expect(sent).toBeLessThan(3_000_000);
  });

  it('a body that comes too slowly is not waited for', async () => {
    const dripping = new ReadableStream({
      start(controller) {
        controller.enqueue(new TextEncoder().encode('000 10m'));
      },
    });
    const request = new Request('http://localhost/api/home', {
      method: 'POST',
      body: dripping,
      headers: { 'content-type': 'text/plain' },
      duplex: 'half',
    } as RequestInit);
    await expect(bodyText(request, 1000, 20)).rejects.toMatchObject({
      status: 408,
      error: { message: 'The body was not complete after 0.02 seconds.' },
    });
  });

  it('an address that is none, whatever the method', async () => {
    for (const handler of [nowhere.GET, nowhere.POST, nowhere.DELETE]) {
      const answer = await handler(new Request('http://localhost/api/nowhere'));
      expect(await errorOf(answer)).toEqual({
        status: 404,
        message: 'There is no such endpoint.',
      });
    }
  });
});

describe('the budget of a request', () => {
  const statusOf = async (log: string) => {
    const answer = await post(home.POST, `cairn-back log 1\nstart Dock\n${log}`);
    return [
      answer.status,
      ((await answer.json()) as { error?: { message: string } }).error?.message,
    ];
  };
  const many = (count: number, line: (i: number) => string) =>
    Array.from({ length: count }, (_, i) => line(i)).join('\n');

  it('counts a line feed and a carriage return in turn as what they are', async () => {
    const legs = many(mostLines('home') - 3, () => '000 1m');
    expect((await statusOf(legs.replaceAll('\n', '\r\n')))[0]).toBe(200);
    // Half as many again of each kind, so that neither alone is beyond the limit.
    const turns = `${many(9000, () => '000 1m\n000 1m\r')}`;
    expect((await statusOf(turns))[0]).toBe(413);
  });

  it('counts sightings of known places, and outings to be adjusted', async () => {
    const known = 'declination 19 W\nknown Knoll at 54.2 -63.5\n';
    const [status, message] = await statusOf(known + many(2000, (i) => `see ${i % 360} ; Knoll`));
    expect([status, message]).toEqual([413, expect.stringMatching(/sightings of known places/)]);
    const [other, said] = await statusOf(`adjust least-squares\n${many(5000, () => '000 9m')}`);
    expect([other, said]).toEqual([413, expect.stringMatching(/to be adjusted/)]);
    expect((await statusOf(many(2000, (i) => `see ${i % 360} ; Knoll`)))[0]).toBe(200);
  });

  const legs = (count: number) =>
    `start A at 54 -63\ndeclination 19 W\n` +
    Array.from({ length: count }, (_, i) => `${i % 360} 1m\n`).join('');

  it.each(['home', 'log', 'gpx', 'csv'])('%s: what is within it is answered', async (kind) => {
    const handler = kind === 'home' ? home.POST : convert.POST;
    const answer = await post(handler, legs(mostLines(kind) - 3), { query: `?to=${kind}` });
    // A station of that name doesn't exist: the endpoint that finds it out has read the log.
    expect(answer.status).toBe(kind === 'home' ? 400 : 200);
  });

  it.each(['home', 'log', 'gpx', 'csv'])('%s: what is beyond it is refused', async (kind) => {
    const most = mostLines(kind);
    const handler = kind === 'home' ? home.POST : convert.POST;
    const query = `?to=${kind}`;
    const wanted = { status: 413, expected: `at most ${most.toLocaleString('en')} lines` };
    expect(await errorOf(await post(handler, legs(most), { query }))).toMatchObject(wanted);
    const entries = Array.from({ length: most + 1 }, () => leg(1, 1));
    const outing = { ...blankOuting('a'), entries };
    const text = JSON.stringify(logbookOf([outing], '2026-08-14T09:40:00Z'));
    const book = await post(handler, text, { query, type: 'application/json' });
    expect(await errorOf(book)).toMatchObject({ status: 413 });
  });
});

describe('POST /api/convert to the map formats and a table', () => {
  it.each([
    ['gpx', 'application/gpx+xml', /^<\?xml[^]*<rte>[^]*<trkseg>/],
    ['geojson', 'application/geo+json', /"kind":"?\s*"way-home"|"kind": "way-home"/],
    ['kml', 'application/vnd.google-earth.kml+xml', /<Placemark><name>Leg 14/],
    ['csv', 'text/csv', /^outing,number,kind[^]*,Gauge 5,/],
    ['svg', 'image/svg+xml', /<title>Rain gauges, first day/],
  ])('%s has its media type and the outing in it', async (format, type, holds) => {
    const answer = await post(convert.POST, demo, { query: `?to=${format}` });
    expect(answer.status).toBe(200);
    expect(answer.headers.get('content-type')).toBe(`${type}; charset=utf-8`);
    expect(await answer.text()).toMatch(holds);
  });

  it('without a position a map is refused and says why, and the rest is not', async () => {
    for (const format of ['gpx', 'geojson', 'kml']) {
      const answer = await post(convert.POST, 'outing Bog\n000 100m\n', { query: `?to=${format}` });
      expect(await errorOf(answer)).toMatchObject({
        status: 400,
        path: 'outings[0]',
        message: expect.stringContaining('“Bog” can’t be put on a map: its start has no position'),
      });
    }
    for (const format of ['csv', 'svg', 'json', 'log']) {
      const answer = await post(convert.POST, '000 100m\n', { query: `?to=${format}` });
      expect(answer.status).toBe(200);
    }
  });
});

describe('GET /api/declination', () => {
  const ask = (query: string) =>
    declination.GET(new Request(`http://localhost/api/declination${query}`));

  it('gives the model at a place and day', async () => {
    const answer = await ask('?lat=54.2&lon=-63.5&date=2026-08-14');
    expect(answer.status).toBe(200);
    const body = await answer.json();
    expect(body).toMatchObject({ model: 'WMM2025', validUntil: '2029-11-13', extrapolated: false });
    expect(body.east).toBeCloseTo(-19.15, 2);
    expect(body.uncertainty).toBeCloseTo(Math.hypot(0.26, 5417 / body.horizontalIntensity), 12);
    expect(body.changePerYear).toBeCloseTo(0.22, 2);
  });

  it.each([
    ['?lat=95&lon=0&date=2026-08-14', 'lat', /“95”/],
    ['?lat=&lon=0&date=2026-08-14', 'lat', /missing/],
    ['?lat=1e1&lon=0&date=2026-08-14', 'lat', /“1e1”/],
    ['?lat=5&lon=181&date=2026-08-14', 'lon', /“181”/],
    ['?lat=5&lon=1', 'date', /missing/],
    ['?lat=5&lon=1&date=2026-02-30', 'date', /2026-02-30/],
    ['?lat=5&lon=1&date=2060-01-01', 'date', /2024-11-13 to 2029-11-13/],
  ])('%s is refused', async (query, path, message) => {
    const refusal = await errorOf(await ask(query));
    expect(refusal).toMatchObject({ status: 400, path });
    expect(refusal).toHaveProperty('message', expect.stringMatching(message));
    expect(refusal).toHaveProperty('expected');
  });

  it('refuses another method', async () => {
    expect((await errorOf(declination.POST())).status).toBe(405);
  });
});
