import { describe, expect, it } from 'vitest';
import { marginDeclination } from '@/core/north/outing-norths';
import { angleEast } from '@/core/readings/angle';

describe('declination by a map margin', () => {
  it('are east positive, minutes included', () => {
    expect(angleEast({ degrees: 19.1, toward: 'W' })).toBe(-19.1);
    expect(angleEast({ degrees: 2, minutes: 18, toward: 'E' })).toBeCloseTo(2.3, 12);
  });

  // Common practice, no source.
  it('2°18′ W in July 2009, changing 9′ E a year, is 0°39′ W in July 2020', () => {
    const margin = {
      source: 'margin',
      angle: { degrees: 2, minutes: 18, toward: 'W' },
      year: 2009,
      changePerYear: { degrees: 0, minutes: 9, toward: 'E' },
    } as const;
    expect(marginDeclination(margin, '2020-07-01') * 60).toBeCloseTo(-39, 1);
    expect(marginDeclination({ ...margin, month: 7 }, '2020-07-01') * 60).toBeCloseTo(-39, 1);
  });

  it('3° W, changing 1° E in 4 years, is 2° W after 4 years', () => {
    const margin = {
      source: 'margin',
      angle: { degrees: 3, toward: 'W' },
      year: 2020,
      changePerYear: { degrees: 0.25, toward: 'E' },
    } as const;
    expect(marginDeclination(margin, '2024-07-01')).toBeCloseTo(-2, 2);
  });
});
