import { describe, expect, it } from 'vitest';
import { bearingDegrees } from '@/core/readings/bearing';

describe('the bearing of a reading', () => {
  const magnetic = { north: 'magnetic' } as const;
  // Quadrants: common practice, no source.
  it.each([
    ['S', 8, 'E', 172],
    ['S', 8, 'W', 188],
    ['N', 45, 'W', 315],
    ['N', 8, 'E', 8],
    ['N', 0, 'W', 0],
    ['S', 0, 'E', 180],
  ] as const)('%s%d%s is %d', (from, value, toward, degrees) => {
    expect(bearingDegrees({ unit: 'quadrant', from, value, toward, ...magnetic })).toBe(degrees);
  });

  it('can be in mils (6400), gon (400), compass points and degrees', () => {
    expect(bearingDegrees({ unit: 'mils', value: 1600, ...magnetic })).toBe(90);
    expect(bearingDegrees({ unit: 'gon', value: 100, ...magnetic })).toBe(90);
    expect(bearingDegrees({ unit: 'mils', value: 6400, ...magnetic })).toBe(0);
    expect(bearingDegrees({ unit: 'gon', value: 400, ...magnetic })).toBe(0);
    expect(bearingDegrees({ unit: 'degrees', value: 360, ...magnetic })).toBe(0);
    expect(bearingDegrees({ unit: 'wind', wind: 'WNW', ...magnetic })).toBe(292.5);
  });
});
