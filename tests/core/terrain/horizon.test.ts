import { describe, expect, it } from 'vitest';
import { heightAt } from '@/core/terrain/height-field';
import {
  dipMetres,
  elevationDegrees,
  horizonDegrees,
  isVisible,
  ridgesAlong,
} from '@/core/terrain/horizon';
import { randomSource } from '../../support/walks/random-source';
import { fieldOfFormula } from '../../support/practice/fields';

/** Hills of three kinds, the same each time. */
const hills = fieldOfFormula(
  (x, y) => 80 * Math.sin(x / 170) * Math.cos(y / 210) + 20 * Math.sin((x + 2 * y) / 60),
  121,
  25,
);
const EYE = 1.7;
/** Degrees that a crest of these hills may lie between two looks of a ray. */
const HALF_A_STEP = 0.2;
const at = { east: 1500, north: 1500 };
const eye = heightAt(hills, at) + EYE;

/** The plain way: every metre along the ray, earth's curve by the formula of a sphere. */
function bruteHorizon(azimuth: number, most: number): number {
  const turn = (azimuth * Math.PI) / 180;
  let highest = -90;
  for (let d = 12; d <= most; d++) {
    const point = { east: at.east + d * Math.sin(turn), north: at.north + d * Math.cos(turn) };
    const height = heightAt(hills, point);
    if (Number.isNaN(height)) break;
    const lower = (0.87 * d * d) / (2 * 6_371_008.8);
    highest = Math.max(highest, (Math.atan2(height - lower - eye, d) * 180) / Math.PI);
  }
  return highest;
}

describe('the horizon', () => {
  it('agrees with looking at every metre, all around', () => {
    for (let azimuth = 0; azimuth < 360; azimuth += 3) {
      const fast = horizonDegrees(hills, at, eye, azimuth, 1400);
      expect(Math.abs(fast - bruteHorizon(azimuth, 1400))).toBeLessThan(HALF_A_STEP);
    }
  });

  it('is lowered by the earth’s curve less refraction', () => {
    // 0.87 · d² / 2R: 6.8 cm at a kilometre, 6.8 m at ten.
    expect(dipMetres(1000)).toBeCloseTo(0.0683, 3);
    expect(dipMetres(10_000)).toBeCloseTo(6.83, 1);
    expect(elevationDegrees(100, 100, 10_000)).toBeCloseTo(-0.0391, 3);
  });

  it('is reported band by band: the highest of all is the horizon', () => {
    for (const azimuth of [10, 95, 188, 301]) {
      const bands = ridgesAlong(hills, at, eye, azimuth, [200, 600, 1400]);
      const highest = Math.max(...bands.map(({ degrees }) => degrees));
      expect(highest).toBe(horizonDegrees(hills, at, eye, azimuth, 1400));
      expect(bands[1]!.metres).toBeGreaterThan(200);
    }
  });

  it('hides what the plain way hides', () => {
    const { uniform } = randomSource(41);
    let hidden = 0;
    for (let i = 0; i < 400; i++) {
      const to = { east: 200 + 2600 * uniform(), north: 200 + 2600 * uniform() };
      const [dx, dy] = [to.east - at.east, to.north - at.north];
      const far = Math.hypot(dx, dy);
      if (far < 200) continue;
      const height = heightAt(hills, to) + 4;
      const wanted =
        (Math.atan2(height - (0.87 * far * far) / (2 * 6_371_008.8) - eye, far) * 180) / Math.PI;
      let highest = -90;
      for (let d = 12; d < far - 25; d++) {
        const ground = heightAt(hills, {
          east: at.east + (d * dx) / far,
          north: at.north + (d * dy) / far,
        });
        const angle = Math.atan2(ground - (0.87 * d * d) / (2 * 6_371_008.8) - eye, d);
        highest = Math.max(highest, (angle * 180) / Math.PI);
      }
      // On the edge of being seen the steps of the ray decide; elsewhere nothing does.
      if (Math.abs(highest - wanted) < 0.15) continue;
      if (highest > wanted) hidden++;
      expect(isVisible(hills, at, eye, to, height)).toBe(highest < wanted);
    }
    expect(hidden).toBeGreaterThan(50);
  });
});
