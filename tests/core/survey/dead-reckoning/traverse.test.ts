import { describe, expect, it } from 'vitest';
import { computePoints, emptyTraverse } from '@/core/survey/dead-reckoning/traverse';

describe('the kernel', () => {
  it('has sine and cosine to 2.3e-16 for bearings in [0, 360]', () => {
    const count = 36_000;
    const traverse = { ...emptyTraverse(count + 1), legs: count + 1 };
    for (let i = 0; i <= count; i++) {
      traverse.bearingDegrees[i + 1] = i / 100;
      traverse.lengthMetres[i + 1] = 1;
    }
    computePoints(traverse);
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
});
