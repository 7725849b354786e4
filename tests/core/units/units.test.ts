import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainDecimal } from '@/core/units/units';

describe('a number in plain decimals', () => {
  it('has no exponent, and reads back the same', () => {
    expect(plainDecimal(1e-7)).toBe('0.0000001');
    expect(plainDecimal(1.5e21)).toBe('1500000000000000000000');
    fc.assert(
      fc.property(fc.double({ min: -1e25, max: 1e25, noNaN: true }), (value) => {
        const written = plainDecimal(value);
        expect(written).toMatch(/^-?\d+(\.\d+)?$/);
        expect(Number(written)).toBe(value === 0 ? 0 : value);
      }),
    );
  });
});
