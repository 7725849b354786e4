import { describe, expect, it } from 'vitest';
import { paceMetres } from '@/core/survey/log-state';

describe('the length of a pace line', () => {
  it('is the same in its three notations', () => {
    expect(paceMetres({ unit: 'per-100-m', value: 65 })).toBeCloseTo(1.538, 3);
    // Common practice, no source: 55 paces to 100 m is 1.818 m a pace.
    expect(paceMetres({ unit: 'per-100-m', value: 55 })).toBeCloseTo(1.818, 3);
    expect(paceMetres({ unit: 'feet', value: 5 })).toBeCloseTo(1.524, 12);
    expect(paceMetres({ unit: 'metres', value: 1.54 })).toBe(1.54);
  });
});
