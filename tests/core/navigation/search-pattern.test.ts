import { describe, expect, it } from 'vitest';
import type { Covariance } from '@/core/errors/covariance';
import { positionError } from '@/core/navigation/position-error';
import { searcherErrors, searchPattern } from '@/core/navigation/search-pattern';
import { azimuthOf } from '@/core/units/plane';
import { solvedLog } from '../../support/outings';
import { logOf, NAMED_OUTINGS } from '../../support/walks/outings';
import { searchFound } from '../../support/walks/simulator';

const round = (sigma: number): Covariance => ({ xx: sigma ** 2, xy: 0, yy: sigma ** 2 });

/** A searcher who walks without error. */
const SURE = { along: 0, acrossRadians: 0 };
const DEGREE = Math.PI / 180;

/**
 * Chance that home is within range of a way north but not of its beginning, over that of not being
 * within range of its beginning, by a fine sum over the normal density.
 */
function foundOnWayNorth(sigma: number, range: number, metres: number): number {
  const steps = 1200;
  const [width, height] = [2 * range, metres + 2 * range];
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    for (let j = 0; j < steps; j++) {
      const x = -range + ((i + 0.5) / steps) * width;
      const y = -range + ((j + 0.5) / steps) * height;
      const past = y < 0 ? -y : Math.max(0, y - metres);
      if (x * x + past * past > range * range || x * x + y * y <= range * range) continue;
      sum += Math.exp(-(x * x + y * y) / (2 * sigma * sigma));
    }
  }
  const begun = Math.exp((-range * range) / (2 * sigma * sigma));
  return (sum * width * height) / (steps * steps * 2 * Math.PI * sigma * sigma) / begun;
}

describe('the expanding square', () => {
  const legs = searchPattern('square', round(20), 25, 350, SURE);

  it('turns 90° to the right, and its legs grow after every second one', () => {
    expect(legs.slice(0, 5).map(({ bearingDegrees }) => bearingDegrees)).toEqual([
      350, 80, 170, 260, 350,
    ]);
    expect(legs.slice(0, 5).map(({ metres }) => metres)).toEqual([40, 40, 80, 80, 120]);
  });

  it('is surer with each leg, and ends once home is found with 95 %', () => {
    for (const [index, leg] of legs.entries()) {
      if (index > 0) expect(leg.found).toBeGreaterThanOrEqual(legs[index - 1]!.found);
    }
    expect(legs.at(-1)!.found).toBeGreaterThanOrEqual(0.95);
    expect(legs.at(-2)!.found).toBeLessThan(0.95);
  });

  it.each([20, 60, 200, 1000])('after its first leg has found the integral, for σ of %d m', (s) => {
    const [first] = searchPattern('square', round(s), 25, 0, SURE);
    expect(Math.abs(first!.found - foundOnWayNorth(s, 25, 40))).toBeLessThan(0.01);
  });

  it('by a searcher who errs finds less, and takes more legs for as much', () => {
    const wide = { along: 0.1, acrossRadians: 8 * DEGREE };
    const erring = searchPattern('square', round(60), 25, 0, wide);
    const sure = searchPattern('square', round(60), 25, 0, SURE);
    expect(erring.length).toBeGreaterThan(sure.length);
    expect(erring[sure.length - 1]!.found).toBeLessThan(0.95);
  });

  // Another program walks out, home, and the search, with all their errors.
  it.each(['all shared', 'sighted out, needle home', 'metres out, paces home'])(
    '%s: has found home as often as walks of an independent simulator, within 2 points',
    (name) => {
      const outing = NAMED_OUTINGS.find((each) => each.name === name)!;
      const { solution } = solvedLog(logOf(outing));
      const error = positionError(solution, solution.current, 0);
      const searcher = searcherErrors(solution);
      const heading = azimuthOf(solution.places.relative(solution.current, 0));
      for (const pattern of ['square', 'sector'] as const) {
        const found = searchPattern(pattern, error, 25, heading, searcher);
        const walked = searchFound(outing, found, 25, 60_000, 5);
        for (const [index, each] of found.entries()) {
          expect(Math.abs(each.found - walked[index]!), `${pattern} ${index}`).toBeLessThan(0.02);
        }
      }
    },
  );
});

describe('the sector search', () => {
  it('is nine legs of one length that end where they began', () => {
    const legs = searchPattern('sector', round(20), 25, 35, SURE);
    expect(legs).toHaveLength(9);
    const { east, north } = legs.at(-1)!.end;
    expect(Math.hypot(east, north)).toBeLessThan(1e-9);
    expect(new Set(legs.map(({ metres }) => metres)).size).toBe(1);
  });

  it('has nothing left to find where home would have been in sight', () => {
    const [first] = searchPattern('sector', round(1e-5), 10, 0, SURE);
    expect(first!.found).toBe(1);
  });
});
