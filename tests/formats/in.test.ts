import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { earthModels } from '@/core/earth-models-loaded';
import { faultWords } from '@/core/fault-words';
import { readLog } from '@/core/log-text/read-log';
import type { Outing } from '@/core/logbook';
import { positionOf } from '@/core/positions';
import { solve, stationName, stationPoints } from '@/core/solve';
import { FORMATS } from '@/formats';
import { logbookOf } from '@/formats/json';
import { readFile, readText, type FileRead, type ReadChoices } from '@/formats/read-file';
import { thinned } from '@/formats/thinned';
import { writeZip } from '@/formats/zip';
import { anyOuting } from '../support/outings';

const at = '2026-08-14T09:40:00.000Z';
const choices = (more: Partial<ReadChoices> = {}): ReadChoices => {
  let next = 0;
  return {
    toleranceMetres: 5,
    mapping: null,
    today: '2026-11-23',
    newId: () => `id-${next++}`,
    ...more,
  };
};
const took = (text: string, more: Partial<ReadChoices> = {}, name = 'file'): FileRead => {
  const found = readText(name, text, earthModels, choices(more));
  return found.ok
    ? found.value
    : expect.fail(found.fault.faults.map(({ fault }) => faultWords(fault)).join(' '));
};
const refused = (content: string | Uint8Array, name = 'file') => {
  const found =
    typeof content === 'string'
      ? readText(name, content, earthModels, choices())
      : readFile(name, content, earthModels, choices());
  return found.ok
    ? expect.fail('it was read')
    : found.fault.faults.map(({ fault }) => faultWords(fault)).join(' ');
};
const demoText = readFileSync('demo/rain-gauges.log.txt', 'utf8');
const demo = took(demoText).outings[0]!;
const text = (format: string, outings: readonly Outing[]) => {
  const found = FORMATS.get(format)!.write(logbookOf([...outings], at), earthModels);
  return found.ok ? found.value : expect.fail('it can be written');
};
const solution = (outing: Outing) => {
  const found = solve(outing, earthModels);
  return found.ok ? found.value : expect.fail('it can be solved');
};
const places = (outing: Outing) => {
  const solved = solution(outing);
  return stationPoints(solved).map((point) => ({
    name: stationName(solved, point),
    ...positionOf(solved, point)!,
  }));
};

describe('a file is known by what it holds', () => {
  it('each of ours comes back as what it is', () => {
    expect(took(demoText)).toMatchObject({ kind: 'log', outings: [{ entries: demo.entries }] });
    expect(took(text('json', [demo]))).toMatchObject({ kind: 'logbook', outings: [demo] });
    expect(took(text('csv', [demo])).kind).toBe('table');
    expect(took(text('gpx', [demo])).kind).toBe('gpx');
    expect(took(text('geojson', [demo])).kind).toBe('geojson');
    const zip = readFile(
      'all.zip',
      writeZip(logbookOf([demo], at), earthModels),
      earthModels,
      choices(),
    );
    expect(zip.ok && zip.value).toMatchObject({ kind: 'archive', outings: [demo] });
  });

  it('what is none of them is refused in words', () => {
    expect(refused('')).toBe('There is nothing in this file.');
    expect(refused('<kml/>')).toMatch(/XML, but not GPX/);
    expect(refused('{"type":"Topology"}')).toMatch(/Topology|type|Invalid/);
    expect(refused('{"format":"cairn-back/logbook"')).toMatch(/not JSON/);
    expect(refused(Uint8Array.of(0xff, 0xfe, 0x00))).toBe('This file is not text in UTF-8.');
    expect(refused(Uint8Array.of(0x50, 0x4b, 3, 4, 9))).toBe('This archive is damaged.');
    expect(refused(new Uint8Array(32_000_001))).toMatch(/more than 32 MB/);
  });
});

describe('a table', () => {
  it('of ours gives back every line', () => {
    const { outings } = took(text('csv', [demo]));
    expect(outings).toHaveLength(1);
    expect(outings[0]!.name).toBe(demo.name);
    expect({ ...outings[0]!, id: demo.id }).toEqual(demo);
  });

  it('of generated outings gives back the same lines (200 outings)', () => {
    let read = 0;
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const withLines = outing.entries.length > 0 && outing.name !== '';
        if (!withLines) return;
        const csv = text('csv', [outing]);
        const found = readText('x.csv', csv, earthModels, choices());
        // Without its header an outing may lack what its lines need; then it says so.
        if (found.ok) expect({ ...found.value.outings[0]!, id: outing.id }).toEqual(outing);
        else expect(found.fault.faults.length).toBeGreaterThan(0);
        read += found.ok ? 1 : 0;
      }),
      { numRuns: 200, seed: 11 },
    );
    expect(read).toBeGreaterThan(60);
  });

  it('of someone else is recognised by the heads of its columns, and can be mapped by hand', () => {
    const table =
      'Station,Azimuth (deg),Paces,Remarks\nSnag,220,65,"burnt, on the right"\n,350,"130",\n';
    expect(refused(table, 'x.csv')).toMatch(/needs the length of a pace first/);
    const paces = [{ kind: 'pace', unit: 'per-100-m', value: 65 } as const];
    const read = took(table, { paces }, 'x.csv');
    expect(read.told).toContain('It counts in paces: your own were put at its head.');
    expect(read.table!.mapping).toEqual(['to', 'bearing', 'distance', 'note']);
    expect(read.outings[0]!.entries).toEqual([
      ...paces,
      {
        kind: 'leg',
        bearing: { unit: 'degrees', value: 220, north: 'magnetic' },
        distance: { unit: 'paces', value: 65 },
        to: 'Snag',
        note: 'burnt, on the right',
      },
      {
        kind: 'leg',
        bearing: { unit: 'degrees', value: 350, north: 'magnetic' },
        distance: { unit: 'paces', value: 130 },
      },
    ]);
  });

  it('that lacks what it needs says which row, and shows its table', () => {
    const found = readText('x.csv', 'a,b,c\n220,65m,x\n', earthModels, choices());
    expect(found.ok).toBe(false);
    if (found.ok) return;
    expect(found.fault.table!.head).toEqual(['a', 'b', 'c']);
    const mapped = took(
      'a,b,c\n220,65m,=x\n',
      { mapping: ['bearing', 'distance', 'note'] },
      'x.csv',
    );
    expect(mapped.outings[0]!.entries).toMatchObject([
      { kind: 'leg', bearing: { value: 220 }, distance: { value: 65, unit: 'metres' }, note: '=x' },
    ]);
    // A table is known by its heads, whatever parts its cells and whatever the file is called.
    for (const mark of [',', ';', '\t']) {
      const pasted = took(`Bearing${mark}Distance${mark}"Note"\n220${mark}65m${mark}snag\n`);
      expect(pasted).toMatchObject({ kind: 'table', outings: [{ entries: [{ note: 'snag' }] }] });
    }
    expect(took('220 65m ; snag, forked, to the left\n').kind).toBe('log');
    expect(took('outing North, bearing, east\n220 65m\n').kind).toBe('log');
    const half = readText('What you pasted', 'Weg,Azimuth,Laenge\nA,220,65m\n', null, choices());
    expect(!half.ok && half.fault.table!.mapping).toEqual([null, 'bearing', null]);
    expect(refused('bearing,distance,unit\n220,65,m\n420,10,m\n', 'x.csv')).toMatch(
      /Row 3, “420 10m”/,
    );
    expect(refused('bearing,distance\n', 'x.csv')).toBe('This table has no rows.');
    expect(refused('bearing,distance\n"220,65\n', 'x.csv')).toMatch(/quotation mark/);
  });
});

describe('a recorded line', () => {
  it.each(['gpx', 'geojson'])(
    'of ours comes back with its stations where they were, from %s',
    (format) => {
      const single: Outing = {
        ...demo,
        entries: demo.entries.filter((entry) => entry.kind !== 'from'),
      };
      const { outings } = took(text(format, [single]), { toleranceMetres: 0.2 });
      const [was, is] = [places(single), places(outings[0]!)];
      const named = was.filter(({ name }) => !/^\d+$/.test(name) && name !== 'Dock');
      for (const { name, latitude, longitude } of named) {
        const back = is.find((place) => place.name === name);
        expect(back, name).toBeDefined();
        // Legs are kept to a centimetre.
        expect(Math.abs(back!.latitude - latitude)).toBeLessThan(2e-7);
        expect(Math.abs(back!.longitude - longitude)).toBeLessThan(4e-7);
      }
      const seen = (outing: Outing) => outing.entries.filter(({ kind }) => kind === 'at');
      expect(seen(outings[0]!).length).toBeGreaterThanOrEqual(seen(single).length);
    },
  );

  const zigzag = (count: number) =>
    Array.from({ length: count }, (_, i) => [-63.5 + i * 1e-5, 54.2 + (i % 2) * 1e-6]);
  const line = (coordinates: number[][]) => JSON.stringify({ type: 'LineString', coordinates });

  it('is thinned to the tolerance, and the count is told', () => {
    const read = took(line(zigzag(500)), { toleranceMetres: 3 });
    expect(read.outings[0]!.entries.filter(({ kind }) => kind === 'leg')).toHaveLength(1);
    expect(read.told[0]).toBe(
      '“Line”: 500 positions become 1 legs, none farther than 3 m from the line.',
    );
    const fine = took(line(zigzag(50)), { toleranceMetres: 0.01 });
    expect(fine.outings[0]!.entries.filter(({ kind }) => kind === 'leg')).toHaveLength(49);
  });

  it('strays by no more than the tolerance (generated lines), and keeps what it must', () => {
    const spot = fc.record({
      east: fc.double({ min: -500, max: 500, noNaN: true }),
      north: fc.double({ min: -500, max: 500, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(spot, { minLength: 2, maxLength: 60 }),
        fc.double({ min: 0.5, max: 80, noNaN: true }),
        (spots, tolerance) => {
          const middle = Math.floor(spots.length / 2);
          const kept = thinned(spots, tolerance, new Set([middle]))!;
          expect(kept[0]).toBe(0);
          expect(kept.at(-1)).toBe(spots.length - 1);
          expect(kept).toContain(middle);
          for (let i = 1; i < kept.length; i++) {
            const [a, b] = [spots[kept[i - 1]!]!, spots[kept[i]!]!];
            for (const { east, north } of spots.slice(kept[i - 1]! + 1, kept[i])) {
              const [dx, dy] = [b.east - a.east, b.north - a.north];
              const t = Math.min(
                1,
                Math.max(
                  0,
                  ((east - a.east) * dx + (north - a.north) * dy) / (dx * dx + dy * dy || 1),
                ),
              );
              const away = Math.hypot(east - a.east - t * dx, north - a.north - t * dy);
              expect(away).toBeLessThanOrEqual(tolerance + 1e-9);
            }
          }
        },
      ),
      { numRuns: 300, seed: 2 },
    );
  });

  it('a long straight line does not overflow, and a tangled one is refused in time', () => {
    const straight = Array.from({ length: 100_000 }, (_, i) => ({ east: i, north: 0 }));
    expect(thinned(straight, 1)).toEqual([0, 99_999]);
    // Each point strays farther than the one before: the worst case.
    const spiral = Array.from({ length: 20_000 }, (_, i) => ({ east: i, north: 1e-3 * i * i }));
    const began = performance.now();
    const coil = thinned(
      spiral.map(({ east, north }, i) => ({ east: (i % 2) * east, north })),
      1e-9,
    );
    expect(performance.now() - began).toBeLessThan(1000);
    expect(coil === null || coil.length > 1000).toBe(true);
  });

  it('points beside it become things seen, points on it its stations', () => {
    const gpx = `<gpx version="1.1" creator="x"><wpt lat="54.2" lon="-63.5"><name>Camp; two</name></wpt><wpt lat="54.2005" lon="-63.4995"><name>rock</name></wpt><wpt lat="54.19" lon="-63.5"><name>behind</name></wpt><trk><name>Day</name><trkseg><trkpt lat="54.2" lon="-63.5"><time>2026-08-14T10:00:00Z</time></trkpt><trkpt lat="54.201" lon="-63.5"/></trkseg></trk></gpx>`;
    const read = took(gpx);
    const outing = read.outings[0]!;
    expect(outing).toMatchObject({
      name: 'Day',
      date: { day: '2026-08-14' },
      start: { name: 'Camp two' },
    });
    expect(outing.entries[1]).toMatchObject({ kind: 'leg', bearing: { value: 0, north: 'true' } });
    expect(outing.entries[2]).toMatchObject({ kind: 'at', side: 'right', what: 'rock' });
    expect((outing.entries[2] as { sideMetres: number }).sideMetres).toBeCloseTo(32.6, 0);
    expect(read.told[1]).toBe('Left out, since no leg passes near them: behind.');
    const log = FORMATS.get('log')!.write(logbookOf([outing], at), earthModels);
    expect(log.ok && readLog(log.value, 'x', earthModels).ok).toBe(true);
  });

  it('of a day that the model does not reach takes today’s declination, and says so', () => {
    const gpx = (day: string) =>
      `<gpx><trk><name>Old</name><trkseg><trkpt lat="54.2" lon="-63.5"><time>${day}T10:00:00Z</time></trkpt><trkpt lat="54.21" lon="-63.5"/></trkseg></trk></gpx>`;
    const old = took(gpx('2006-08-14'));
    expect(old.outings[0]!.date).toEqual({ day: '2026-11-23', note: 'recorded on 2006-08-14' });
    expect(old.told[1]).toMatch(/recorded on 2006-08-14, which the model .* does not reach/);
    expect(solution(old.outings[0]!).working).toBe('true');
    const recent = took(gpx('2026-08-14'));
    expect(recent.outings[0]!.date).toEqual({ day: '2026-08-14' });
    // A day that is none is passed over, as if the file had named none.
    expect(took(gpx('2026-98-14')).outings[0]!.date).toEqual({ day: '2026-11-23' });
  });

  it('a position that is none is refused with its place in the file', () => {
    const gpx = (lat: string) =>
      `<gpx><trk><trkseg><trkpt lat="1" lon="2"/><trkpt lat="${lat}" lon="2"/></trkseg></trk></gpx>`;
    expect(refused(gpx('91'))).toMatch(
      /^trk\[0\]\.trkseg\[0\]\.trkpt\[1\]: lat="91" lon="2" is not a position/,
    );
    expect(refused(gpx('0x10'))).toMatch(/is not a position/);
    expect(refused(gpx(''))).toMatch(/is not a position/);
    expect(
      refused(
        line([
          [1, 91],
          [0, 0],
        ]),
      ),
    ).toMatch(/features\[0\]\.geometry\.coordinates\[0\]: a longitude/);
    expect(refused('<gpx/>')).toBe('There is no line and no point in this file.');
  });
});

describe('what could harm', () => {
  it('XML with a document type or entities is refused before it is parsed', () => {
    const bomb = `<?xml version="1.0"?>\n<!DOCTYPE gpx [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><gpx><wpt lat="1" lon="1"><name>&b;</name></wpt></gpx>`;
    expect(refused(bomb)).toBe(
      'This file declares a document type or entities, which are not read.',
    );
    expect(refused('<!doctype gpx SYSTEM "file:///etc/passwd"><gpx/>')).toMatch(/document type/);
    expect(refused(`${'<a>'.repeat(5000)}${'</a>'.repeat(5000)}`)).toMatch(/can be read|not GPX/);
    expect(refused('<gpx><wpt lat="1" lon="1"><__proto__>x</__proto__></wpt>')).toMatch(/not XML/);
  });

  it('an archive over its limits is refused before it is unpacked', () => {
    const zeros = zipSync({ 'a.log.txt': new Uint8Array(70_000_000) });
    expect(zeros.length).toBeLessThan(200_000);
    const began = performance.now();
    expect(refused(zeros)).toMatch(/more than 2000 files or 64 MB/);
    expect(performance.now() - began).toBeLessThan(100);
    const many = Object.fromEntries(
      Array.from({ length: 2001 }, (_, i) => [`${i}.txt`, strToU8('x')]),
    );
    expect(refused(zipSync(many))).toMatch(/2000 files/);
    // One that states less than it holds unpacks to no more than it states.
    const small = zipSync({ 'a.log.txt': new Uint8Array(1_000_000) });
    const view = new DataView(small.buffer);
    const central = small.findIndex(
      (_, i) => i + 4 < small.length && view.getUint32(i) === 0x504b0102,
    );
    view.setUint32(central + 24, 10, true);
    expect(refused(small)).toMatch(/damaged|line|log/i);
    expect(refused(zipSync({ 'in.zip.json': zipSync({ a: strToU8('x') }) }))).toMatch(
      /archive in an archive/,
    );
    expect(refused(zipSync({ 'readme.md': strToU8('x') }))).toBe(
      'No file in this archive can be read.',
    );
  });
});
