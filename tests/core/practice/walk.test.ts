import { describe, expect, it } from 'vitest';
import { readLines } from '@/core/log-text/read-log';
import { wayHome } from '@/core/navigation/ways/way';
import { isInside, isWater, NOW, WOOD, type Country } from '@/core/practice/country/country';
import { crossings } from '@/core/practice/country/ground-lines';
import { makeCountry } from '@/core/practice/country/make-country';
import { panoramaFrom, RAY_DEGREES } from '@/core/practice/country/panorama';
import { compareWalk } from '@/core/practice/walk/compare';
import type { SetLeg } from '@/core/practice/walk/kept-walk';
import { walkLegs, type BlindWalk, type WalkedLeg } from '@/core/practice/walk/walker';
import { solve } from '@/core/survey/solve';
import { heightAt } from '@/core/terrain/height-field';
import { azimuthOf, lengthOf, vectorBetween, type PlanePoint } from '@/core/units/plane';
import { signedDifference } from '@/core/units/angle';
import { countryDrawing } from '@/sketch/country-scene';
import { randomSource } from '../../support/walks/random-source';

const COUNTRIES = [3, 5, 11].map((seed) => makeCountry(seed));

describe('a made country', () => {
  it('is the same for the same seed, and another for another', () => {
    expect(makeCountry(3)).toEqual(COUNTRIES[0]);
    expect(makeCountry(4).ground.metres).not.toEqual(COUNTRIES[0]!.ground.metres);
  });

  it.each(COUNTRIES)('has all that it promises, where it can be: country $seed', (country) => {
    const { buildings, summits, streams, paths, lakes, woods, ground } = country;
    expect(buildings).toHaveLength(4);
    expect(summits.length).toBeGreaterThan(2);
    expect(Math.min(streams.length, paths.length, lakes.length, woods.length)).toBeGreaterThan(0);
    const names = [...buildings, ...summits].map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
    for (const { point } of buildings) expect(isWater(country, point)).toBe(false);
    // Nobody walks through a lake on a path; a smoothed corner may touch the shore.
    const wet = paths.flat().filter((point) => isWater(country, point));
    expect(wet.length).toBeLessThan(0.02 * paths.flat().length + 1);
    for (const line of [...streams, ...paths]) {
      expect(line.every((point) => isInside(country, point))).toBe(true);
    }
    expect(heightAt(ground, lakes[0]!.rings[0]![0]!)).toBeGreaterThan(300);
    expect(country.norths.declinationEast).toBeCloseTo(
      country.margin.declinationEast +
        (NOW - country.margin.year) * country.margin.annualChangeEast,
      9,
    );
    expect(WOOD).toBeGreaterThan(0.5);
  });

  it.each(COUNTRIES)(
    'has streams that flow down, and into water or off the map: $seed',
    (country) => {
      for (const line of country.streams) {
        const heights = line.map((point) => heightAt(country.ground, point));
        // Over a dip that water would fill it may rise a little; from end to end it falls.
        expect(heights.at(-1)!).toBeLessThan(heights[0]! + 1);
      }
    },
  );

  it.each(COUNTRIES)('has streams and paths that follow no grid: country $seed', (country) => {
    const turns = [...country.streams, ...country.paths].flatMap((line) =>
      line.slice(1).map((point, index) => azimuthOf(vectorBetween(line[index]!, point))),
    );
    const eighths = turns.filter(
      (turn) => Math.abs(signedDifference(turn, 45 * Math.round(turn / 45))) < 0.5,
    );
    expect(eighths.length / turns.length).toBeLessThan(0.1);
  });

  it('is drawn with contours at their heights, a grid and its margin', () => {
    const drawing = countryDrawing(COUNTRIES[0]!);
    expect(drawing.contours.length).toBeGreaterThan(10_000);
    expect(drawing.indexContours).toMatch(/^M\d+ -?\d+/);
    expect(drawing.summits).toEqual(COUNTRIES[0]!.summits);
    expect(structuredClone(drawing)).toEqual(drawing);
  });
});

describe('a panorama', () => {
  const [country] = COUNTRIES as [Country];
  const top = country.summits[0]!;

  it('from the highest summit has every ridge below the level', () => {
    const view = panoramaFrom(country, top.point, 6000);
    const far = view.ridges.slice(2).flatMap((band) => [...band]);
    expect(Math.max(...far)).toBeLessThan(0.5);
    expect(view.ridges[0]!.length).toBe(360 / RAY_DEGREES);
  });

  it('shows what is seen at its bearing, and nothing through fog', () => {
    const view = panoramaFrom(country, top.point, 6000);
    expect(view.seen.length).toBeGreaterThan(1);
    for (const { name, azimuthDegrees, metres } of view.seen) {
      const { point } = [...country.summits, ...country.buildings].find(
        (each) => each.name === name,
      )!;
      const way = vectorBetween(top.point, point);
      expect(signedDifference(azimuthOf(way), azimuthDegrees)).toBeCloseTo(0, 9);
      expect(metres).toBeCloseTo(lengthOf(way), 9);
    }
    const fog = panoramaFrom(country, top.point, 300);
    expect(fog.seen.every(({ metres }) => metres <= 300)).toBe(true);
    expect(fog.ridges.length).toBeLessThan(view.ridges.length);
  });
});

const walkFrom = (country: Country, seed: number, legs: SetLeg[]): BlindWalk => ({
  country: country.seed,
  seed,
  start: country.buildings[0]!.point,
  legs,
});
const leg = (bearingDegrees: number, paces: number): SetLeg => ({
  bearingDegrees,
  paces,
  aim: 'landmark',
});

/** The points of a way, every 3 m, that lie in water. */
const wetOn = (country: Country, corners: readonly PlanePoint[]) =>
  corners.slice(1).flatMap((corner, index) => {
    const way = vectorBetween(corners[index]!, corner);
    return Array.from({ length: Math.ceil(lengthOf(way) / 3) }, (_, look) => {
      const share = (3 * look) / lengthOf(way);
      const { east, north } = corners[index]!;
      return { east: east + share * way.east, north: north + share * way.north };
    }).filter((point) => isWater(country, point));
  });

/** The lines that someone keeps of a walk: what was set, counted, boxed; woods as a ground. */
const linesOf = (walked: readonly WalkedLeg[]) =>
  walked
    .filter(({ counted }) => counted > 0)
    .flatMap(({ bearingDegrees, counted, inWood, boxed }) => [
      `${String(bearingDegrees).padStart(3, '0')} ${counted}p` +
        (2 * inWood > counted ? ' on wood' : ''),
      ...boxed.map(({ side, out, along }) => `  box ${side} ${out}p along ${along}p`),
    ]);

function logOf(walked: readonly WalkedLeg[]) {
  const log = readLines(['start Hut', 'pace 65 per 100 m', ...linesOf(walked)].join('\n'), 'walk');
  if (!log.ok) throw new Error(JSON.stringify(log.fault));
  const solution = solve(log.value.outing);
  if (!solution.ok) throw new Error('the log of a walk is solved');
  return solution.value;
}

describe('a walker in fog', () => {
  it('walks the same again, and stops at water and at the edge', () => {
    const [country] = COUNTRIES as [Country];
    const walk = walkFrom(country, 7, [leg(40, 2000), leg(220, 5), leg(130, 4000)]);
    const walked = walkLegs(country, walk);
    expect(walkLegs(country, walk)).toEqual(walked);
    expect(walked[0]!.stoppedBy).not.toBeNull();
    expect(walked[0]!.counted).toBeLessThan(2000);
    expect(walked[1]!.from).toEqual(walked[0]!.to);
    for (const { to } of walked) {
      expect(isWater(country, to)).toBe(false);
      expect(isInside(country, to)).toBe(true);
    }
  });

  it('goes round water to the side that is asked for, dry, and comes back to the line', () => {
    let [boxes, refused] = [0, 0];
    for (const country of COUNTRIES) {
      for (let bearing = 0; bearing < 360; bearing += 10) {
        for (const side of ['left', 'right'] as const) {
          const set = { ...leg(bearing, 900), boxes: side };
          const [walked] = walkLegs(country, walkFrom(country, bearing + 1, [set]));
          const { boxed, corners, from, to, counted } = walked!;
          boxes += boxed.length;
          if (walked!.stoppedBy === 'water') refused++;
          expect(corners[0]).toEqual(from);
          expect(corners.at(-1)).toEqual(to);
          expect(corners.length).toBeGreaterThanOrEqual(2 + 3 * boxed.length);
          expect(wetOn(country, corners)).toEqual([]);
          for (const box of boxed) {
            expect(box.side).toBe(side);
            expect(box.after).toBeLessThanOrEqual(counted);
            expect([box.out % 10, box.along % 10]).toEqual([0, 0]);
          }
          if (boxed.length === 0) continue;
          // The first corner lies to that side of the way, by the paces out.
          const first = vectorBetween(corners[1]!, corners[2]!);
          const turn = signedDifference(azimuthOf(vectorBetween(from, to)), azimuthOf(first));
          expect(Math.sign(turn)).toBe(side === 'left' ? -1 : 1);
          const wanted = (boxed[0]!.out * 100) / 65;
          expect(lengthOf(first) / wanted).toBeGreaterThan(0.75);
          expect(lengthOf(first) / wanted).toBeLessThan(1.25);
          // Back on the line, as well as paces and a compass can.
          const off = azimuthOf(vectorBetween(from, to)) - bearing;
          const angle = country.norths.declinationEast! - country.norths.convergenceEast;
          expect(Math.abs(signedDifference(angle, off))).toBeLessThan(15);
        }
      }
    }
    expect(boxes).toBeGreaterThan(10);
    expect(refused).toBeLessThan(boxes);
  });

  it('has another stride in woods, which the log knows as a ground', () => {
    const [country] = COUNTRIES as [Country];
    const dense = (share: number) => ({
      ...country,
      density: { ...country.density, metres: country.density.metres.map(() => share) },
    });
    const scales = (of: Country) =>
      Array.from({ length: 400 }, (_, seed) => {
        const [walked] = walkLegs(of, walkFrom(of, seed + 1, [leg(40, 30)]));
        expect(walked!.inWood).toBe(of.density.metres[0] === 1 ? 30 : 0);
        return lengthOf(vectorBetween(walked!.from, walked!.to));
      });
    const [open, wood] = [scales(dense(0)), scales(dense(1))];
    // The same own error of a leg, another shared one: they are alike in part.
    const mean = (values: readonly number[]) =>
      values.reduce((sum, value) => sum + value, 0) / values.length;
    const [inOpen, inWood] = [mean(open), mean(wood)];
    const product = mean(open.map((value, at) => (value - inOpen) * (wood[at]! - inWood)));
    const square = mean(open.map((value) => (value - inOpen) ** 2));
    // 5 % of each leg beside 4 % of the stride: 25 parts in 41 are shared by both.
    expect(product / square).toBeGreaterThan(0.45);
    expect(product / square).toBeLessThan(0.77);
  });

  it('tells what it meets, in paces, in order', () => {
    let met = 0;
    for (const country of COUNTRIES) {
      for (let bearing = 0; bearing < 360; bearing += 30) {
        const [walked] = walkLegs(country, walkFrom(country, bearing, [leg(bearing, 400)]));
        const paces = walked!.met.map((each) => each.paces);
        expect([...paces].sort((a, b) => a - b)).toEqual(paces);
        expect(Math.max(0, ...paces)).toBeLessThanOrEqual(walked!.counted + 1);
        const streams = country.streams.flatMap((line) =>
          crossings(walked!.from, walked!.to, line),
        );
        const told = walked!.met.filter(({ what }) => what === 'stream').length;
        expect(told).toBe(streams.filter((metres) => metres > 4).length);
        met += paces.length;
      }
    }
    expect(met).toBeGreaterThan(20);
  });

  it('ends inside the ellipse that the log states 94 to 96 times in a hundred', () => {
    const { uniform } = randomSource(20);
    let [inside, walks, boxes, woods] = [0, 0, 0, 0];
    for (let seed = 1; seed <= 3000; seed++) {
      const country = COUNTRIES[seed % COUNTRIES.length]!;
      // Every other one goes round water, to one side or the other.
      const boxed = seed % 2 === 0 ? ({ boxes: seed % 4 === 0 ? 'left' : 'right' } as const) : {};
      const out = [0, 1, 2].map(() => ({
        ...leg(Math.floor(360 * uniform()), 60 + Math.floor(220 * uniform())),
        ...boxed,
      }));
      const there = walkLegs(country, walkFrom(country, seed, out));
      // Home by what the app says, in whole degrees and paces; without a path round the water.
      const home = wayHome(logOf(there));
      const paces = Math.round(home.paces ?? 0);
      const back = { ...leg(Math.round(home.bearing.magnetic!) % 360, paces), ...boxed };
      const walk = walkFrom(country, seed, back.paces > 0 ? [...out, back] : out);
      const walked = walkLegs(country, walk);
      if (walked.some(({ counted }) => counted === 0)) continue;
      walks++;
      const compared = compareWalk(walk, walked, logOf(walked), country.norths);
      if (compared.isInside) inside++;
      if (walked.some((each) => each.boxed.length > 0)) boxes++;
      if (walked.some(({ inWood }) => inWood > 0)) woods++;
    }
    expect(boxes).toBeGreaterThan(100);
    expect(woods).toBeGreaterThan(500);
    expect(walks).toBeGreaterThan(2000);
    expect(inside / walks).toBeGreaterThan(0.94);
    expect(inside / walks).toBeLessThan(0.96);
  });

  it('is reported where home is, and the log is drawn on the map', () => {
    const [country] = COUNTRIES as [Country];
    const walk = walkFrom(country, 3, [leg(90, 100), leg(180, 60), leg(300, 80)]);
    const walked = walkLegs(country, walk);
    const compared = compareWalk(walk, walked, logOf(walked), country.norths);
    const back = vectorBetween(walked.at(-1)!.to, walk.start);
    expect(compared.home.metres).toBeCloseTo(lengthOf(back), 9);
    const angle = country.norths.declinationEast! - country.norths.convergenceEast;
    expect(signedDifference(azimuthOf(back) - angle, compared.home.magneticDegrees)).toBeCloseTo(
      0,
      9,
    );
    expect(compared.logged[0]).toEqual(walk.start);
    const end = compared.logged.at(-1)!;
    expect(lengthOf(vectorBetween(end, walked.at(-1)!.to))).toBeCloseTo(compared.reckonedOff, 6);
  });
});
