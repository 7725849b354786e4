import { describe, expect, it } from 'vitest';
import {
  appendLeg,
  computePoints,
  emptyTraverse,
  setLeg,
} from '@/core/survey/dead-reckoning/traverse';
import { leg, outingOf, solved } from '../../../support/outings';

describe('the kernel', () => {
  it('has sine and cosine to 2.3e-16 for bearings in [0, 360]', () => {
    const count = 36_000;
    const traverse = emptyTraverse(count + 1);
    for (let i = 0; i <= count; i++) {
      const row = {
        from: 0,
        bearingDegrees: i / 100,
        lengthMetres: 1,
        alongVariance: 0,
        acrossVariance: 0,
      };
      setLeg(traverse, i + 1, row);
    }
    computePoints(traverse, 1, count + 1);
    let worst = 0;
    for (let i = 0; i <= count; i++) {
      // The reference subtracts 180° in degrees first, where that is exact.
      const b = i / 100 > 180 ? i / 100 - 360 : i / 100;
      const half = Math.abs(b) > 90 ? Math.sign(b) * 180 - b : b;
      const sine = Math.sin((half * Math.PI) / 180);
      const cosine = (Math.abs(b) > 90 ? -1 : 1) * Math.cos((half * Math.PI) / 180);
      worst = Math.max(worst, Math.abs(traverse.east[i + 1]! - sine));
      // Near 90° the cosine's argument is rounded: compare the sine of what is left to 90°.
      const rest = Math.sin(((90 - Math.abs(half)) * Math.PI) / 180) * Math.sign(cosine || 1);
      worst = Math.max(worst, Math.abs(traverse.north[i + 1]! - rest));
    }
    expect(worst).toBeLessThan(2.3e-16);
  });

  it('appended leg by leg gives exactly the numbers of the whole', () => {
    const outing = outingOf(
      Array.from({ length: 300 }, (_, i) => leg((i * 37) % 360, 10 + (i % 50))),
    );
    const { legs, places } = solved(outing);
    let grown = emptyTraverse(1);
    for (const { from, bearingDegrees, metres, alongVariance, acrossVariance } of legs) {
      const row = { from, bearingDegrees, lengthMetres: metres, alongVariance, acrossVariance };
      grown = appendLeg(grown, row);
    }
    expect(grown.legs).toBe(300);
    for (let k = 1; k <= 300; k++) {
      const { east, covariance } = places.relative(0, k);
      expect([grown.east[k], grown.northVariance[k]]).toEqual([east, covariance.yy]);
    }
  });
});
