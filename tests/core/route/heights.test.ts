import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { legHeights } from '@/core/navigation/route/leg-heights';
import { isWhole, steepnessOf, withHeights } from '@/core/navigation/route/with-heights';
import { mapGrid } from '@/core/place/map-grid';
import { positionAt } from '@/core/place/geodesic';
import type { Position } from '@/core/readings/position';
import { heightInGrid, type HeightGrid } from '@/core/terrain/height-grid';
import { routeSchema, type Route } from '@/core/model/route';
import { polar } from '@/core/units/plane';
import { readHeights } from '@/formats/heights';
import { readRouteText } from '@/core/log-text/route/route-text';
import { runHeights } from '@/workers/heights/heights-run';

const DOCK: Position = { latitude: 54.2, longitude: -63.5 };
const UTM = '+proj=utm +zone=20 +datum=WGS84';
const RAD = Math.PI / 180;

/** A square of degrees about a place whose heights are a formula of latitude and longitude. */
function gridOf(
  about: Position,
  heightOf: (latitude: number, longitude: number) => number,
  step = 1 / 3600,
): HeightGrid {
  const side = Math.round(0.06 / step) + 1;
  const [west, north] = [about.longitude - 0.03, about.latitude + 0.03];
  const metres = Float32Array.from({ length: side * side }, (_, at) =>
    heightOf(north - step * Math.floor(at / side), west + step * (at % side)),
  );
  const size = { columns: side, rows: side, stepEast: step, stepSouth: step };
  return { projection: null, west, north, ...size, metres };
}

/** Metres of a degree of latitude and of longitude at a place, on the ellipsoid (WGS 84). */
function degreeMetres({ latitude }: Position) {
  const [a, e2] = [6_378_137, 0.006_694_379_990_14];
  const w = Math.sqrt(1 - e2 * Math.sin(latitude * RAD) ** 2);
  return {
    north: ((a * (1 - e2)) / w ** 3) * RAD,
    east: (a / w) * Math.cos(latitude * RAD) * RAD,
  };
}

/** An even slope: so many metres up for a metre east, and for one north. */
function evenSlope(about: Position, east: number, north: number) {
  const metre = degreeMetres(about);
  return gridOf(
    about,
    (latitude, longitude) =>
      500 +
      east * metre.east * (longitude - about.longitude) +
      north * metre.north * (latitude - about.latitude),
  );
}

const place = fc.record({
  latitude: fc.double({ min: -75, max: 75, noNaN: true }),
  longitude: fc.double({ min: -179, max: 179, noNaN: true }),
});
const share = fc.double({ min: -1, max: 1, noNaN: true });

describe('the heights of a leg', () => {
  it('on an even slope rise as it does, anywhere and in any direction', () => {
    fc.assert(
      fc.property(place, share, share, fc.nat(359), (from, east, north, azimuth) => {
        const grid = evenSlope(from, east, north);
        const told = legHeights([grid], from, positionAt(from, polar(azimuth, 400)))!;
        const rise = 400 * (east * Math.sin(azimuth * RAD) + north * Math.cos(azimuth * RAD));
        // Less than the hysteresis of 5 m may be left unclimbed.
        fc.pre(Math.abs(rise) > 6);
        expect(Math.abs(told.upMetres - Math.max(0, rise))).toBeLessThan(1);
        expect(Math.abs(told.downMetres - Math.max(0, -rise))).toBeLessThan(1);
        const angle = Math.atan(Math.hypot(east, north)) / RAD;
        expect(Math.abs(told.steepest!.degrees - angle)).toBeLessThan(0.3);
        expect(told.unknownShare).toBe(0);
      }),
      { numRuns: 40, seed: 4 },
    );
  });

  it('over a ridge are climbed on one side and gone down on the other', () => {
    // 120 m high in the middle of the leg, 600 m after its beginning, and even to both sides.
    const metre = degreeMetres(DOCK);
    const top = DOCK.longitude + 600 / metre.east;
    const grid = gridOf(DOCK, (_latitude, longitude) =>
      Math.max(0, 120 - 0.4 * Math.abs(longitude - top) * metre.east),
    );
    const told = legHeights([grid], DOCK, positionAt(DOCK, polar(90, 1200)))!;
    expect(Math.abs(told.upMetres - 120)).toBeLessThan(5);
    expect(Math.abs(told.downMetres - 120)).toBeLessThan(5);
    expect(told.steepest!.degrees).toBeCloseTo(Math.atan(0.4) / RAD, 0);
  });

  it('are as looking at every metre of the demo finds them, in the grid of its map', async () => {
    const bytes = new Uint8Array(readFileSync('demo/ormsay-lake.asc'));
    const file = await readHeights('ormsay-lake.asc', bytes, UTM);
    if (!file.ok) throw new Error('the heights of the demo can be read');
    const [{ grid }] = file.value as [(typeof file.value)[number]];
    const map = mapGrid(DOCK, UTM);
    if (!map.ok) throw new Error('the demo has a grid');
    for (let azimuth = -60; azimuth <= 60; azimuth += 15) {
      const at = (metres: number) => positionAt(DOCK, polar((azimuth + 360) % 360, metres));
      // Climbs above 5 m, summed by hand: a turn counts once the ground has turned by that much.
      const heights = Array.from({ length: 801 }, (_, metres) => {
        const { east, north } = map.value.forward(at(metres));
        return heightInGrid(grid, east, north);
      });
      let [up, low, high] = [0, heights[0]!, heights[0]!];
      for (const height of heights) {
        if (height > high) high = height;
        if (high - height >= 5) {
          if (high - low >= 5) up += high - low;
          [low, high] = [height, height];
        }
        if (height < low) [low, high] = [height, height];
      }
      if (high - low >= 5) up += high - low;
      const told = legHeights([grid], DOCK, at(800))!;
      expect(Math.abs(told.upMetres - up), `towards ${azimuth}°`).toBeLessThan(3);
      expect(told.unknownShare).toBe(0);
    }
  });

  it('are unknown off the file, and in part of a leg that leaves it', () => {
    const grid = evenSlope(DOCK, 0.1, 0);
    const far = positionAt(DOCK, polar(0, 10_000));
    expect(legHeights([grid], far, positionAt(far, polar(0, 500)))).toBeNull();
    expect(legHeights([grid], DOCK, DOCK)).toBeNull();
    const edge = legHeights([grid], DOCK, far)!;
    // 0.03° of latitude are 3,339 m.
    expect(edge.unknownShare).toBeGreaterThan(0.65);
    expect(edge.unknownShare).toBeLessThan(0.68);
    expect(isWhole(edge)).toBe(false);
    expect(legHeights([{ ...grid, projection: '+proj=moll' }], DOCK, far)).toBeNull();
  });

  it('come from two files where a leg goes from one into the other', () => {
    const whole = evenSlope(DOCK, 0.1, 0.05);
    // The same ground as two sheets that have one column of posts in common.
    const half = Math.floor(whole.columns / 2);
    const part = (first: number, columns: number): HeightGrid => ({
      ...whole,
      west: whole.west + first * whole.stepEast,
      columns,
      metres: whole.metres.filter((_height, at) => {
        const column = at % whole.columns;
        return column >= first && column < first + columns;
      }),
    });
    const [west, east] = [part(0, half + 1), part(half, whole.columns - half)];
    const from = positionAt(DOCK, polar(260, 500));
    const to = positionAt(DOCK, polar(80, 500));
    const told = legHeights([west, east], from, to)!;
    expect(legHeights([west], from, to)!.unknownShare).toBeGreaterThan(0.4);
    expect(told.unknownShare).toBe(0);
    expect(told.upMetres).toBeCloseTo(legHeights([whole], from, to)!.upMetres, 3);
  });

  it('go over the date line', () => {
    const from = { latitude: -17, longitude: 179.995 };
    const grid = evenSlope(from, 0.1, 0);
    const told = legHeights([grid], from, positionAt(from, polar(90, 1000)))!;
    expect(told.unknownShare).toBe(0);
    expect(Math.abs(told.upMetres - 100)).toBeLessThan(1);
  });

  it('of a leg of 60 km are looked at more coarsely, not refused', () => {
    const step = 1 / 1200;
    const side = 1201;
    const metres = new Float32Array(side * side).fill(700);
    const size = { columns: side, rows: side, stepEast: step, stepSouth: step };
    const grid = { projection: null, west: -64, north: 55, ...size, metres };
    const from = { latitude: 54.1, longitude: -63.9 };
    const told = legHeights([grid], from, { latitude: 54.6, longitude: -63.3 })!;
    expect(told).toMatchObject({ upMetres: 0, downMetres: 0, unknownShare: 0 });
    expect(told.steepest!.degrees).toBeCloseTo(0, 6);
  });
});

describe('a route with heights', () => {
  const text = readFileSync('demo/plateau.route.txt', 'utf8');
  const read = readRouteText(text, 'plateau');
  if (!read.ok) throw new Error('the demo route can be read');
  const route: Route = read.value;
  const known = (upMetres: number, degrees: number) => ({
    upMetres,
    downMetres: 2.4,
    steepest: { degrees, alongMetres: 243 },
    unknownShare: 0,
  });

  it('has its climbs, and steep ground among its dangers; what is written stays', () => {
    const legs = [
      known(12.6, 31),
      known(3, 20),
      null,
      known(0, 46),
      { ...known(9, 50), unknownShare: 0.1 },
    ];
    const changed = withHeights(route, legs);
    expect(routeSchema.safeParse(changed).success).toBe(true);
    const plans = changed.points.slice(1).map(({ leg }) => leg);
    const before = route.points.slice(1).map(({ leg }) => leg);
    expect(plans[0]).toEqual({
      ...before[0],
      upMetres: 13,
      downMetres: 2,
      dangers: ['steep ground, 31°, after 240 m'],
    });
    expect(plans[1]).toEqual({ ...before[1], upMetres: 3, downMetres: 2 });
    expect(plans[2]).toEqual(before[2]);
    expect(plans[3]!.dangers).toEqual(['soft ground west of the line', 'cliff, 46°, after 240 m']);
    expect(plans[4]).toEqual(before[4]);
    // By another file: what the first said of the ground gives way, and nothing is twice there.
    const again = withHeights(changed, [known(1, 33), null, null, known(0, 5)]);
    expect(again.points[1]!.leg!.dangers).toEqual(['steep ground, 33°, after 240 m']);
    expect(again.points[4]!.leg!.dangers).toEqual(['soft ground west of the line']);
  });

  it('is steep from 30° on, and a cliff from 45°', () => {
    expect([29.9, 30, 44.9, 45].map((angle) => steepnessOf(known(0, angle)))).toEqual([
      null,
      'steep',
      'steep',
      'cliff',
    ]);
    expect(steepnessOf({ ...known(0, 40), steepest: null })).toBeNull();
  });

  it('is read by the worker, with its progress; a broken file is reported', async () => {
    const positions = route.points.map(({ position }) => position!);
    const shares: number[] = [];
    const file = new Blob([readFileSync('demo/ormsay-lake.asc')]);
    const job = { files: [{ name: 'ormsay-lake.asc', content: file }], map: UTM, positions };
    const answer = await runHeights(job, (done) => shares.push(done));
    expect(answer).toMatchObject({ kind: 'read', isOfMap: true });
    expect(answer.kind === 'read' && answer.legs.every(isWhole)).toBe(true);
    expect(shares).toHaveLength(positions.length - 1);
    const content = new Blob([new Uint8Array([0x49, 0x49, 42, 0, 255, 255, 0, 0])]);
    const broken = { ...job, files: [...job.files, { name: 'half.tif', content }] };
    expect(await runHeights(broken, () => undefined)).toMatchObject({
      kind: 'unread',
      name: 'half.tif',
    });
  });
});
