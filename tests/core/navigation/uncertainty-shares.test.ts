import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { positionErrorEllipse } from '@/core/navigation/position-error';
import { uncertaintyShares } from '@/core/navigation/uncertainty-shares';
import { METRES_PER_KILOMETRE } from '@/core/units/units';
import { anyOuting, solved, solvedLog } from '../../support/outings';

describe('the shares of pace and bearings', () => {
  it('are together the position error, on any outing', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const solution = solved(outing);
        const { togetherMetres } = uncertaintyShares(solution);
        const atHome = positionErrorEllipse(solution, solution.current, 0).semiMajorMetres;
        expect(Math.abs(togetherMetres - atHome)).toBeLessThanOrEqual(1e-6 * Math.max(1, atHome));
      }),
      { numRuns: 200 },
    );
  });

  it('straight out and home the pace is the error along, the bearing the error across', () => {
    const { solution } = solvedLog('pace 65 per 100 m spread 3%\naim needle\n000 650p');
    const { fromPaceMetres, fromBearingsMetres } = uncertaintyShares(solution);
    const k = Math.sqrt(-2 * Math.log(0.05));
    expect(fromPaceMetres).toBeCloseTo(k * Math.hypot(30, 30), 6);
    const across = (METRES_PER_KILOMETRE * 4 * Math.PI) / 180;
    expect(fromBearingsMetres).toBeCloseTo(k * Math.hypot(across, across), 6);
  });
});
