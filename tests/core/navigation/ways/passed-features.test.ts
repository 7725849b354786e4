import { describe, expect, it } from 'vitest';
import { passedFeatures } from '@/core/navigation/ways/passed-features';
import { passedWords } from '@/views/shared/ways/passed-words';
import { solvedLog } from '../../../support/outings';

describe('what is passed on the way home', () => {
  it('is what was logged near the line, left or right as it is passed', () => {
    const { solution } = solvedLog(
      '000 200m\n  at 50 left 10 ; spring\n  at 150 right 80 ; far rock\n  at 120 right 5 ; birch',
    );
    const passed = passedFeatures(solution, 1, 0);
    expect(passed.map(({ what }) => what)).toEqual(['birch', 'spring']);
    expect(passed[0]!.alongMetres).toBeCloseTo(80, 9);
    // On the way out it was on the right, so on the way back it is on the left.
    expect(passed[0]!.rightMetres).toBeCloseTo(-5, 9);
    expect(passedWords(passed[1]!, 1.5)).toBe('spring, 10 m to your right, in about 100 paces');
    expect(passedWords({ what: 'x', alongMetres: 9.6, rightMetres: 1 }, null)).toBe(
      'x, on your line, in 10 m',
    );
    expect(passedFeatures(solution, 0, 0)).toEqual([]);
  });
});
