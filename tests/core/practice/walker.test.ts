import { describe, expect, it } from 'vitest';
import { isWood } from '@/core/practice/country/country';
import { makeCountry } from '@/core/practice/country/make-country';
import { eyeAt, panoramaFrom, RAY_DEGREES } from '@/core/practice/country/panorama';
import { compareWalk } from '@/core/practice/walk/compare';
import type { SetLeg } from '@/core/practice/walk/kept-walk';
import { PACES_PER_100, walkLegs, type WalkedLeg } from '@/core/practice/walk/walker';
import { readLines } from '@/core/log-text/read-log';
import { solve } from '@/core/survey/solve';
import { heightAt } from '@/core/terrain/height-field';

const country = makeCountry(5);
const start = country.buildings[0]!.point;
const RAD = Math.PI / 180;
const angle = country.norths.declinationEast! - country.norths.convergenceEast;

const spread = (values: readonly number[]) => {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const square = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length;
  return { mean, sigma: Math.sqrt(square) };
};

/** How far a leg turned from what was set, in degrees, and its length over what was counted. */
function errorsOf({ from, to, bearingDegrees, counted }: WalkedLeg) {
  const [east, north] = [to.east - from.east, to.north - from.north];
  const turn = Math.atan2(east, north) / RAD - angle - bearingDegrees;
  const scale = Math.hypot(east, north) / ((100 / PACES_PER_100) * counted);
  return { turn: ((((turn + 180) % 360) + 360) % 360) - 180, scale: scale - 1 };
}

/** Short legs that nothing stops, to and fro: their errors by many walkers. */
const WALKERS = 3000;
function walked(aim: SetLeg['aim']) {
  const leg = (bearingDegrees: number): SetLeg => ({ bearingDegrees, paces: 30, aim });
  return Array.from({ length: WALKERS }, (_, seed) =>
    walkLegs(country, { country: 5, seed: seed + 1, start, legs: [leg(40), leg(220)] }),
  )
    .filter((legs) => legs.every(({ stoppedBy }) => stoppedBy === null))
    .map((legs) => legs.map(errorsOf));
}

describe('the errors of walkers', () => {
  it.each([
    ['needle', 4],
    ['landmark', 2],
    ['sighted', 1],
  ] as const)('by %s follow a bearing within %d°, and the compass’s own 1.5°', (aim, own) => {
    const legs = walked(aim);
    expect(legs.length).toBeGreaterThan(0.9 * WALKERS);
    const { mean, sigma } = spread(legs.map(([first]) => first!.turn));
    // A whole degree that is set is uniform: 1/12 of a square degree more.
    const expected = Math.sqrt(own ** 2 + 1.5 ** 2 + 1 / 12);
    expect(Math.abs(mean)).toBeLessThan((4 * expected) / Math.sqrt(legs.length));
    expect(sigma / expected).toBeGreaterThan(0.94);
    expect(sigma / expected).toBeLessThan(1.06);
  });

  it('share compass and stride between legs, and nothing else', () => {
    const legs = walked('landmark');
    const between = (of: 'turn' | 'scale') =>
      spread(legs.map(([first, second]) => second![of] - first![of])).sigma;
    // What both have falls away in the difference: own errors alone are left, twice.
    expect(between('turn') / Math.sqrt(2 * (2 ** 2 + 1 / 12))).toBeCloseTo(1, 1);
    expect(between('scale') / Math.sqrt(2 * 0.05 ** 2)).toBeCloseTo(1, 1);
    const { sigma } = spread(legs.map(([first]) => first!.scale));
    expect(sigma / Math.hypot(0.05, 0.04)).toBeCloseTo(1, 1);
  });
});

describe('a walk against its log', () => {
  const solved = (lines: readonly string[]) => {
    const log = readLines(['start Hut', 'pace 65 per 100 m', ...lines].join('\n'), 'walk');
    if (!log.ok) throw new Error('the log can be read');
    const solution = solve(log.value.outing);
    if (!solution.ok) throw new Error('the log can be solved');
    return solution.value;
  };

  /** A leg as a walker without errors would have walked it. */
  const exact = (from: { east: number; north: number }, bearing: number, paces: number) => {
    const [metres, turn] = [(100 / PACES_PER_100) * paces, (bearing + angle) * RAD];
    const to = {
      east: from.east + metres * Math.sin(turn),
      north: from.north + metres * Math.cos(turn),
    };
    const set = { bearingDegrees: bearing, paces, aim: 'landmark' } as const;
    const whole = { corners: [from, to], counted: paces, inWood: 0, boxed: [] };
    return { ...set, ...whole, from, to, stoppedBy: null, met: [] };
  };

  it('is nowhere off where nothing went wrong, and inside its ellipse', () => {
    const first = exact(start, 60, 100);
    const second = exact(first.to, 150, 80);
    const walk = { country: 5, seed: 1, start, legs: [first, second] };
    const told = compareWalk(
      walk,
      [first, second],
      solved(['060 100p', '150 80p']),
      country.norths,
    );
    expect(told.reckonedOff).toBeLessThan(1e-6);
    expect(told.isInside).toBe(true);
    expect(told.logged.at(-1)).toEqual({
      east: expect.closeTo(second.to.east, 6),
      north: expect.closeTo(second.to.north, 6),
    });
  });

  it('is outside where a leg was logged 180° off', () => {
    const leg = exact(start, 60, 100);
    const walk = { country: 5, seed: 1, start, legs: [leg] };
    const told = compareWalk(walk, [leg], solved(['240 100p']), country.norths);
    expect(told.isInside).toBe(false);
    expect(told.reckonedOff).toBeCloseTo((2 * 100 * 100) / PACES_PER_100, 6);
  });
});

describe('the waters of a panorama', () => {
  it('are seen where nothing nearer is higher, as looking at every two metres finds them', () => {
    let [wet, kept, dry] = [0, 0, 0];
    for (const { point: at } of country.summits) {
      const view = panoramaFrom(country, at, 6000);
      const eye = eyeAt(country, at);
      for (let ray = 0; ray < 360 / RAY_DEGREES; ray += 11) {
        const turn = ray * RAY_DEGREES * RAD;
        let horizon = -90;
        const seen: number[] = [];
        for (let d = 12; d <= 5700; d += 2) {
          const point = {
            east: at.east + d * Math.sin(turn),
            north: at.north + d * Math.cos(turn),
          };
          const height = heightAt(country.ground, point);
          if (Number.isNaN(height)) break;
          const lower = (0.87 * d * d) / (2 * 6_371_008.8);
          const angle = Math.atan2(height - lower - eye, d) / RAD;
          if (angle < horizon) continue;
          horizon = angle;
          if (heightAt(country.bed, point) < country.waterMetres) seen.push(angle);
        }
        const told = view.waters.flatMap((band) => band[ray] ?? []);
        if (seen.length === 0) dry++;
        // Nothing is reported that isn’t water in sight …
        for (const { nearDegrees, farDegrees } of told) {
          for (const edge of [nearDegrees, farDegrees]) {
            const off = Math.min(...seen.map((angle) => Math.abs(angle - edge)));
            expect(off, `ray ${ray}`).toBeLessThan(0.3);
          }
          expect(farDegrees).toBeGreaterThanOrEqual(nearDegrees);
        }
        // … and most of what is in sight is reported: of two lakes in a band only the taller is.
        const count = (at: number[]) => new Set(at.map((angle) => Math.round(angle * 10))).size;
        const covered = seen.filter((angle) =>
          told.some((one) => angle > one.nearDegrees - 0.2 && angle < one.farDegrees + 0.2),
        );
        [wet, kept] = [wet + count(seen), kept + count(covered)];
      }
    }
    expect(kept / wet).toBeGreaterThan(0.9);
    expect(wet).toBeGreaterThan(20);
    expect(dry).toBeGreaterThan(20);
  });
});

describe('the ridges of a panorama', () => {
  const at = country.summits[1]!.point;
  const view = panoramaFrom(country, at, 6000);

  it('are as high as looking at every two metres finds them', () => {
    const eye = eyeAt(country, at);
    for (let ray = 0; ray < 360 / RAY_DEGREES; ray += 37) {
      const turn = ray * RAY_DEGREES * RAD;
      let highest = -90;
      for (let d = 12; d <= 5700; d += 2) {
        const point = { east: at.east + d * Math.sin(turn), north: at.north + d * Math.cos(turn) };
        const height = heightAt(country.ground, point);
        if (Number.isNaN(height)) break;
        const lower = (0.87 * d * d) / (2 * 6_371_008.8);
        highest = Math.max(highest, Math.atan2(height - lower - eye, d) / RAD);
      }
      const told = Math.max(...view.ridges.map((band) => band[ray]!));
      expect(Math.abs(told - highest)).toBeLessThan(0.2);
    }
  });

  it('have trees where there is a wood, and those are seen smaller far away', () => {
    const crowns = view.crowns.map((band) => Math.max(...band));
    expect(Math.max(...crowns)).toBeGreaterThan(0);
    const last = crowns.findLastIndex((crown) => crown > 0);
    expect(crowns[last]!).toBeLessThan(0.5);
    const bare = {
      ...country,
      density: { ...country.density, metres: new Float32Array(161 * 161) },
    };
    expect(isWood(bare, at)).toBe(false);
    const without = panoramaFrom(bare, at, 6000);
    expect(without.crowns.every((band) => band.every((crown) => crown === 0))).toBe(true);
    expect(without.ridges).toEqual(view.ridges);
  });
});
