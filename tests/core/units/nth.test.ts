import { describe, expect, it } from 'vitest';
import { nth } from '@/core/units/nth';

describe('an item that has to be there', () => {
  it('is that of its index, also in an array of numbers and where it is null or zero', () => {
    expect(nth(['Dock', 'Gauge 1'], 1)).toBe('Gauge 1');
    expect(nth(Float64Array.of(4, 0), 1)).toBe(0);
    expect(nth([null], 0)).toBeNull();
  });

  it.each([-1, 2, 0.5, NaN])('is missed by name at %s', (index) => {
    expect(() => nth(['Dock', 'Gauge 1'], index)).toThrow(`no item ${index} of 2`);
  });
});
