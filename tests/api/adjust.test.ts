import { describe, expect, it } from 'vitest';
import * as adjust from '@/app/api/adjust/route';
import { logbookOf } from '@/core/model/logbook';
import { solvedLog } from '../support/outings';

const EAST =
  'cairn-back log 1\nouting East\nby Ann\nstart Dock at 54.2 -63.5\ndeclination 19 W\n' +
  'read true\n090 300m > Birch\n000 200m > Knoll\n270 300m > Fen\n180 200m > Dock\n';
const NORTH =
  '\n  Cairn-Back  log 1\nouting North\nby Ben\nstart dock\ndeclination 19 W\n' +
  'read true\n000 200m > fen\n270 290m > Knoll\n350 120m\n';

/** The parts of an answer that are looked at here. */
interface Answer {
  readonly stations: { name: string; outings: number[]; x: number; y: number; asWalked: object }[];
  readonly closures: { outing: number; line?: number }[];
  readonly suspects: { probability: number; metresLeft: number }[];
  readonly estimates: { source: string; unit: string }[];
  readonly unchecked: object[];
  readonly error?: object;
}

const post = (body: BodyInit, { query = '', type = 'text/plain' } = {}) =>
  adjust.POST(
    new Request(`http://localhost/api/adjust${query}`, {
      method: 'POST',
      body,
      headers: { 'content-type': type },
    }),
  );
const answerTo = async (...args: Parameters<typeof post>) => {
  const answer = await post(...args);
  return { status: answer.status, body: (await answer.json()) as Answer };
};

describe('POST /api/adjust', () => {
  it('solves iron at each of hundreds of stations, and refuses hundreds of compasses', async () => {
    const legs = (count: number, before: (i: number) => string) =>
      'cairn-back log 1\nstart Dock\n' +
      Array.from({ length: count }, (_, i) => {
        const back = String((i * 97 + 203) % 360).padStart(3, '0');
        const to = i === count - 1 ? ' > Dock' : '';
        return `${before(i)}${(i * 97 + 13) % 360} ${50 + 20 * (i % 7)}m back ${back}${to}\n`;
      }).join('');
    const iron = await answerTo(legs(200, () => ''));
    expect(iron.status).toBe(200);
    expect(iron.body.estimates.filter(({ source }) => source === 'iron')).toHaveLength(200);
    const compasses = await answerTo(legs(200, (i) => `compass C${i}\n`));
    expect(compasses.status).toBe(413);
  });

  it('answers with places, misclosures, the test, and the slip that explains it', async () => {
    const { status, body } = await answerTo(EAST + NORTH);
    expect(status).toBe(200);
    expect(body).toMatchObject({
      method: 'least-squares',
      frame: { north: 'true', origin: 'Dock' },
      test: { degreesOfFreedom: 6 },
    });
    expect(body.stations.map(({ name, outings }) => [name, outings])).toEqual([
      ['Dock', [0, 1]],
      ['Birch', [0]],
      ['Knoll', [0, 1]],
      ['Fen', [0, 1]],
      ['3', [1]],
    ]);
    expect(body.stations[0]).toMatchObject({ x: 0, y: 0, latitude: 54.2, longitude: -63.5 });
    expect(body.closures.map(({ outing, line }) => [outing, line])).toEqual([
      [0, 10],
      [1, 18],
      [1, 19],
    ]);
    const first = body.suspects[0]!;
    expect(first).toMatchObject({
      outing: 1,
      line: 19,
      slip: 'half-circle',
      message: 'Leg 2 of North: the bearing is 180° off.',
      suggested: '090T 290m',
    });
    expect(first.probability).toBeGreaterThan(0.9);
    expect(first.metresLeft).toBeLessThan(11);
    expect(body.unchecked).toEqual([{ outing: 1, line: 20 }]);
    expect(body.estimates.map(({ source, unit }) => [source, unit])).toContainEqual([
      'compass',
      'degrees',
    ]);
  });

  it('answers by each method, and as walked for one outing without loops', async () => {
    const walked = await answerTo(EAST + NORTH, { query: '?method=as-walked' });
    const ruled = await answerTo(EAST + NORTH, { query: '?method=compass-rule' });
    expect(walked.body.stations[2]!.x).toBeCloseTo(300, 6);
    const { x, y, asWalked } = walked.body.stations[2]!;
    expect(asWalked).toEqual({ x, y });
    expect(ruled.body.stations[2]!.x).not.toBeCloseTo(300, 0);
    const one = await answerTo('start Hut\n000 100m\n090 100m');
    expect(one.body).toMatchObject({
      frame: { north: 'magnetic', origin: 'Hut' },
      test: null,
      estimates: [],
      suspects: [],
      closures: [],
      unchecked: [
        { outing: 0, line: 2 },
        { outing: 0, line: 3 },
      ],
    });
  });

  it('reads a logbook of several outings, which has no lines', async () => {
    const outings = [EAST, NORTH].map((log) => solvedLog(log).outing);
    const book = JSON.stringify(logbookOf(outings, '2026-08-14T12:00:00.000Z'));
    const { status, body } = await answerTo(book, { type: 'application/json' });
    expect(status).toBe(200);
    expect(body.suspects[0]).toMatchObject({ outing: 1, slip: 'half-circle' });
    expect(body.suspects[0]).not.toHaveProperty('line');
  });

  it('refuses what is no survey, and says what is wrong and where', async () => {
    const apart = await answerTo(`${EAST}cairn-back log 1\nstart Hut\ndeclination 19 W\n000 100m`);
    expect(apart).toMatchObject({
      status: 400,
      body: { error: { message: 'These outings share no station: East — outing 2.' } },
    });
    const mixed = await answerTo(`${EAST}cairn-back log 1\nstart Dock\n000 100m`);
    expect(mixed).toMatchObject({
      status: 400,
      body: { error: { message: expect.stringContaining('Set one for: outing 2.') } },
    });
    expect(await answerTo(`${EAST}cairn-back log 1\nstart Dock\n000 abc`)).toMatchObject({
      status: 400,
      body: { error: { line: 13, column: 5 } },
    });
    expect(await answerTo(EAST, { query: '?method=magic' })).toMatchObject({
      status: 400,
      body: { error: { path: 'method', expected: 'as-walked, compass-rule, least-squares' } },
    });
    expect((await answerTo('{}', { type: 'text/html' })).status).toBe(415);
    expect((await answerTo('000 1m\n'.repeat(5000))).status).toBe(413);
    expect((await answerTo('{', { type: 'application/json' })).status).toBe(400);
  });

  it('does not take on loops that hang together too much', async () => {
    // A legs-and-returns tangle: every station is joined to stations far away from it.
    const stations = Array.from({ length: 400 }, (_, i) => `${(37 * i) % 360} 100m > S${i}`);
    const across = Array.from(
      { length: 1200 },
      (_, i) => `from S${(i * 131) % 400}\n${(91 * i) % 360} 300m > S${(i * 197 + 61) % 400}`,
    );
    const { status } = await answerTo(['start A', ...stations, ...across].join('\n'));
    expect(status).toBe(413);
  });
});
