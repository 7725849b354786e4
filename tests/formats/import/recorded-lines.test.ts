import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readLog } from '@/core/log-text/read-log';
import type { Outing } from '@/core/model/outing';
import { earthModels } from '@/core/north/loaded-earth-models';
import { readText } from '@/formats/import/read-file';
import { thinned } from '@/formats/import/thinned';
import {
  choices,
  contents,
  demo,
  refused,
  solution,
  stationsOf,
  written,
} from '../../support/files';

describe('a recorded line', () => {
  it.each(['gpx', 'geojson'])('of the app has its stations where they were, from %s', (format) => {
    const single: Outing = {
      ...demo.outing,
      entries: demo.outing.entries.filter((entry) => entry.kind !== 'from'),
    };
    const { outings } = contents(written(format, [single]), { toleranceMetres: 0.2 });
    const [was, is] = [stationsOf(solution(single)), stationsOf(solution(outings[0]!))];
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
  });

  const zigzag = (count: number) =>
    Array.from({ length: count }, (_, i) => [-63.5 + i * 1e-5, 54.2 + (i % 2) * 1e-6]);
  const line = (coordinates: number[][]) => JSON.stringify({ type: 'LineString', coordinates });

  it('is thinned to the tolerance, and a message says how much', () => {
    const read = contents(line(zigzag(500)), { toleranceMetres: 3 });
    expect(read.outings[0]!.entries.filter(({ kind }) => kind === 'leg')).toHaveLength(1);
    expect(read.messages[0]).toBe(
      '“Line”: 500 positions become 1 legs, none farther than 3 m from the line.',
    );
    const fine = contents(line(zigzag(50)), { toleranceMetres: 0.01 });
    expect(fine.outings[0]!.entries.filter(({ kind }) => kind === 'leg')).toHaveLength(49);
  });

  it('is never farther off than the tolerance (generated lines), and keeps what it must', () => {
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
          const kept = thinned(spots, tolerance, { distances: 0 }, new Set([middle]))!;
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

  it('of 100,000 positions is thinned; one that would take too long is given up', () => {
    const straight = Array.from({ length: 100_000 }, (_, i) => ({ east: i, north: 0 }));
    expect(thinned(straight, 1)).toEqual([0, 99_999]);
    // Each point is farther off than the one before: the worst case.
    const spiral = Array.from({ length: 20_000 }, (_, i) => ({ east: i, north: 1e-3 * i * i }));
    const coil = thinned(
      spiral.map(({ east, north }, i) => ({ east: (i % 2) * east, north })),
      1e-9,
    );
    expect(coil).toBeNull();
  });

  it('points beside it become features, points on it stations', () => {
    const gpx = `<gpx version="1.1" creator="x">
      <wpt lat="54.2" lon="-63.5"><name>Camp; two</name></wpt>
      <wpt lat="54.2005" lon="-63.4995"><name>rock</name></wpt>
      <wpt lat="54.19" lon="-63.5"><name>behind</name></wpt>
      <trk><name>Day</name><trkseg>
        <trkpt lat="54.2" lon="-63.5"><time>2026-08-14T10:00:00Z</time></trkpt>
        <trkpt lat="54.201" lon="-63.5"/>
      </trkseg></trk>
    </gpx>`;
    const read = contents(gpx);
    const outing = read.outings[0]!;
    expect(outing).toMatchObject({
      name: 'Day',
      date: { day: '2026-08-14' },
      start: { name: 'Camp two' },
    });
    expect(outing.entries[1]).toMatchObject({ kind: 'leg', bearing: { value: 0, north: 'true' } });
    expect(outing.entries[2]).toMatchObject({ kind: 'at', side: 'right', what: 'rock' });
    expect((outing.entries[2] as { sideMetres: number }).sideMetres).toBeCloseTo(32.6, 0);
    expect(read.messages[1]).toBe('Left out, since no leg passes near them: behind.');
    expect(readLog(written('log', [outing]), 'x', earthModels).ok).toBe(true);
  });

  it('of a day that the model does not reach has today’s declination, and a message', () => {
    const gpx = (day: string) =>
      `<gpx><trk><name>Old</name><trkseg>
        <trkpt lat="54.2" lon="-63.5"><time>${day}T10:00:00Z</time></trkpt>
        <trkpt lat="54.21" lon="-63.5"/>
      </trkseg></trk></gpx>`;
    const old = contents(gpx('2006-08-14'));
    expect(old.outings[0]!.date).toEqual({ day: '2026-11-23', note: 'recorded on 2006-08-14' });
    expect(old.messages[1]).toMatch(/recorded on 2006-08-14, which the model .* does not reach/);
    expect(solution(old.outings[0]!).places.frame.north).toBe('true');
    const recent = contents(gpx('2026-08-14'));
    expect(recent.outings[0]!.date).toEqual({ day: '2026-08-14' });
    // What is not a day is ignored.
    expect(contents(gpx('2026-98-14')).outings[0]!.date).toEqual({ day: '2026-11-23' });
  });

  it('with something that is not a position is refused with its place in the file', () => {
    const gpx = (lat: string) =>
      `<gpx><trk><trkseg>
        <trkpt lat="1" lon="2"/><trkpt lat="${lat}" lon="2"/>
      </trkseg></trk></gpx>`;
    expect(refused(gpx('91'))).toMatch(/^lat="91" lon="2" is not a position/);
    expect(refused(gpx('0x10'))).toMatch(/is not a position/);
    expect(refused(gpx(''))).toMatch(/is not a position/);
    const wrong = line([
      [1, 91],
      [0, 0],
    ]);
    expect(refused(wrong)).toMatch(/^a longitude from -180 to 180/);
    const found = readText('x', wrong, null, choices());
    expect(found).toMatchObject({
      fault: { faults: [{ path: 'features[0].geometry.coordinates[0]' }] },
    });
    expect(refused('<gpx/>')).toBe('There is no line and no point in this file.');
  });
});
