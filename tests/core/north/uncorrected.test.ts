import { describe, expect, it } from 'vitest';
import { chordMetres } from '@/core/north/uncorrected';

describe('the error of an uncorrected bearing', () => {
  it('is the chord: a third of the way at 19°, all of it at 60°', () => {
    expect(chordMetres(-19.1, 1000)).toBeCloseTo(331.8, 1);
    expect(chordMetres(60, 500)).toBeCloseTo(500, 9);
    expect(chordMetres(0, 500)).toBe(0);
    // One degree in a kilometre is 17 m: common practice, no source.
    expect(chordMetres(1, 1000)).toBeCloseTo(17.45, 2);
  });
});
