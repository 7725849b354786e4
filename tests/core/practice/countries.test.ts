import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isWater, type Country } from '@/core/practice/country/country';
import { namedPlaces, pairOf, pointWhere } from '@/core/practice/country/chosen-places';
import { drained, pointOfPost, postsBeside } from '@/core/practice/country/drainage';
import { crossings } from '@/core/practice/country/ground-lines';
import { countryFor, countryOf } from '@/core/practice/country/known-countries';
import { eyeAt, sees } from '@/core/practice/country/panorama';
import { easiestWay } from '@/core/practice/country/path-finding';
import { exerciseOf } from '@/core/practice/exercises';
import { chanceOf } from '@/core/practice/chance';
import { heightAt } from '@/core/terrain/height-field';
import { lengthOf, meetingShares, vectorBetween } from '@/core/units/plane';
import { runPractice } from '@/workers/practice/practice-run';
import { fieldOfFormula } from '../../support/practice/fields';

const ALL = Array.from({ length: 12 }, (_, index) => index + 1);
const ON_MAPS = [
  'orient-map',
  'bearing-from-map',
  'sight',
  'fix-by-two',
  'fix-by-three',
  'fix-by-stream',
  'ticks',
] as const;

/** True where a place with a name is really in sight from a point. */
const isInSight = (country: Country, at: { east: number; north: number }, name: string) => {
  const { point } = namedPlaces(country).find((each) => each.name === name)!;
  const height = heightAt(country.ground, point);
  return sees(country, at, eyeAt(country, at), point, height);
};

describe('each country of the exercises', () => {
  it.each(ALL)('%i has names that are no name twice, lakes among them', (seed) => {
    const { buildings, summits, lakes } = countryOf(seed);
    const names = [...buildings, ...summits, ...lakes].flatMap(({ name }) => name ?? []);
    expect(new Set(names).size).toBe(names.length);
    expect(names.length).toBeGreaterThan(7);
  });

  it.each(ALL)('%i has all that its exercises ask for', (number) => {
    const country = countryOf(number);
    for (const id of ON_MAPS) {
      for (let round = 1; round < 4; round++) {
        const seed = 12 * round + number - 1;
        expect(countryFor(seed)).toBe(number);
        expect(exerciseOf(id)!.ask(seed).length).toBeGreaterThan(0);
      }
    }
    expect(country.seed).toBe(number);
  });

  it.each(ALL)('%i shows what a question says that one sees', (number) => {
    for (const id of ['fix-by-two', 'fix-by-three', 'fix-by-stream', 'sight'] as const) {
      for (let round = 1; round < 5; round++) {
        const [question] = exerciseOf(id)!.ask(12 * round + number - 1);
        const { scene, right, asks } = question!;
        // Where the declination is too small for its slips to show, the next country is asked of.
        const country = countryOf('country' in scene ? scene.country : number);
        const at =
          right.kind === 'place' ? right.point : scene.kind === 'panorama' ? scene.at : null;
        expect(isWater(country, at!)).toBe(false);
        const named = namedPlaces(country).filter(({ name }) => asks.includes(name));
        expect(named.length).toBeGreaterThan(0);
        for (const { name } of named) expect(isInSight(country, at!, name)).toBe(true);
      }
    }
  });

  it('finds pairs within their limits, and says where there is no such place', () => {
    const country = countryOf(5);
    const [from, to] = pairOf(country, chanceOf(1, 'pair'), 900, 2400);
    const metres = lengthOf(vectorBetween(from.point, to.point));
    expect(metres).toBeGreaterThan(900);
    expect(metres).toBeLessThan(2400);
    expect(() => pointWhere(country, chanceOf(1, 'none'), 0, () => false)).toThrow(RangeError);
  });
});

const rough = fieldOfFormula(
  (x, y) => 50 + 20 * Math.sin(x / 40) * Math.cos(y / 55) + 8 * Math.sin((x - y) / 21),
  31,
);

describe('water', () => {
  it('of every post goes down to a lake or off the edge, over hollows that are filled', () => {
    const level = 38;
    const { field, to } = drained(rough, level);
    let lakes = 0;
    for (let post = 0; post < to.length; post++) {
      expect(field.metres[post]!).toBeGreaterThanOrEqual(rough.metres[post]! - 1e-6);
      let at = post;
      for (let steps = 0; to[at] !== at; steps++) {
        expect(field.metres[to[at]!]!).toBeLessThan(field.metres[at]!);
        expect([...postsBeside(field, at)]).toContain(to[at]);
        expect(steps).toBeLessThan(to.length);
        at = to[at]!;
      }
      const { east, north } = pointOfPost(field, at);
      const isEdge = [east, north].some((metres) => metres === 0 || metres === 300);
      const isLake = rough.metres[at]! < level;
      if (isLake && !isEdge) lakes++;
      expect(isEdge || isLake).toBe(true);
    }
    expect(lakes).toBeGreaterThan(0);
  });
});

/** The cheapest ways of all, by going over all posts until nothing gets cheaper (Bellman, Ford). */
function cheapest(start: number): Float64Array {
  const costs = new Float64Array(rough.metres.length).fill(Infinity);
  costs[start] = 0;
  for (let changed = true; changed;) {
    changed = false;
    for (let post = 0; post < costs.length; post++) {
      for (const other of postsBeside(rough, post)) {
        const metres = lengthOf(vectorBetween(pointOfPost(rough, post), pointOfPost(rough, other)));
        const rise = (rough.metres[other]! - rough.metres[post]!) / metres;
        const cost = costs[post]! + metres * (1 + 60 * rise * rise);
        if (cost < costs[other]! - 1e-9) [costs[other], changed] = [cost, true];
      }
    }
  }
  return costs;
}

describe('a path', () => {
  it('is as cheap as the cheapest that there is', () => {
    const costs = cheapest(0);
    for (const goal of [30, 465, 800, 960]) {
      const way = easiestWay(rough, pointOfPost(rough, 0), pointOfPost(rough, goal), () => true)!;
      let cost = 0;
      for (let index = 1; index < way.length; index++) {
        const metres = lengthOf(vectorBetween(way[index - 1]!, way[index]!));
        const rise = (heightAt(rough, way[index]!) - heightAt(rough, way[index - 1]!)) / metres;
        cost += metres * (1 + 60 * rise * rise);
      }
      expect(cost).toBeCloseTo(costs[goal]!, 3);
    }
  });

  it('goes round what can’t be walked, and is none where all is closed', () => {
    const wall = ({ east, north }: { east: number; north: number }) => east !== 150 || north > 250;
    const [from, to] = [pointOfPost(rough, 0), { east: 300, north: 0 }];
    const way = easiestWay(rough, from, to, wall)!;
    expect(way.every(wall)).toBe(true);
    expect(Math.max(...way.map(({ north }) => north))).toBeGreaterThan(250);
    expect(easiestWay(rough, from, to, ({ east }) => east < 150)).toBeNull();
  });
});

const point = fc.record({
  east: fc.double({ min: -500, max: 500, noNaN: true }),
  north: fc.double({ min: -500, max: 500, noNaN: true }),
});

describe('where stretches meet', () => {
  it('is the same place on both, whichever is first', () => {
    fc.assert(
      fc.property(point, point, point, point, (a, b, c, d) => {
        const met = meetingShares([a, b], [c, d]);
        fc.pre(met !== null && met.every((share) => Math.abs(share) < 100));
        const [along, aside] = met!;
        expect(a.east + along * (b.east - a.east)).toBeCloseTo(
          c.east + aside * (d.east - c.east),
          4,
        );
        expect(a.north + along * (b.north - a.north)).toBeCloseTo(
          c.north + aside * (d.north - c.north),
          4,
        );
        const [other, one] = meetingShares([c, d], [a, b])!;
        expect([one, other]).toEqual([expect.closeTo(along, 6), expect.closeTo(aside, 6)]);
      }),
    );
  });

  it('is nowhere for parallel ones, and at a corner once', () => {
    const at = (east: number, north: number) => ({ east, north });
    expect(meetingShares([at(0, 0), at(10, 0)], [at(0, 5), at(10, 5)])).toBeNull();
    const line = [at(50, -10), at(50, 0), at(50, 10)];
    expect(crossings(at(0, 0), at(100, 0), line)).toEqual([50]);
    expect(crossings(at(0, 0), at(40, 0), line)).toEqual([]);
    const zigzag = [at(20, -5), at(20, 5), at(60, 5), at(60, -5)];
    expect(crossings(at(0, 0), at(100, 0), zigzag)).toEqual([20, 60]);
  });
});

describe('the worker of the trainer', () => {
  it('answers what the core makes, as data that can be posted', () => {
    expect(runPractice.questions('mils', 7)).toEqual(exerciseOf('mils')!.ask(7));
    expect(runPractice.questions('nothing', 7)).toEqual([]);
    expect(runPractice.starts(5)).toBe(countryOf(5).buildings);
    const at = countryOf(5).buildings[0]!.point;
    for (const answer of [
      runPractice.drawing(5),
      runPractice.panorama(5, at, 3000),
      runPractice.walked({ country: 5, seed: 2, start: at, legs: [] }),
    ]) {
      expect(structuredClone(answer)).toEqual(answer);
    }
  });
});
