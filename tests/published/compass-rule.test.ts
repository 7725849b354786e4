import { describe, expect, it } from 'vitest';
import type { Network } from '@/core/survey/network/readings';
import { compassRule } from '@/core/survey/party/places-by';

/**
 * A closed traverse of five sides and its adjustment by the compass rule, to the last digit.
 * Source: C. D. Ghilani and P. R. Wolf, Elementary Surveying, chapter 10, examples 10.2 to 10.5
 * (from memory; the sums of departures and latitudes, 0.026 and 0.077 ft, and the balanced sides,
 * which close to zero, check it a second way).
 */
const SIDES = [
  { azimuth: [126, 55, 17], feet: 647.25, departure: 517.444, latitude: -388.835 },
  { azimuth: [178, 18, 58], feet: 203.03, departure: 5.964, latitude: -202.948 },
  { azimuth: [15, 31, 54], feet: 720.35, departure: 192.881, latitude: 694.022 },
  { azimuth: [284, 35, 20], feet: 610.24, departure: -590.571, latitude: 153.689 },
  { azimuth: [206, 9, 41], feet: 285.13, departure: -125.718, latitude: -255.928 },
] as const;

const radians = ([d, m, s]: readonly [number, number, number]) =>
  ((d + m / 60 + s / 3600) * Math.PI) / 180;

const NETWORK: Network = {
  nodes: 5,
  sources: [],
  lines: SIDES.map(({ azimuth, feet }, i) => ({
    from: i,
    to: (i + 1) % 5,
    bearing: radians(azimuth),
    // The rule knows no unit: feet stay feet.
    metres: feet,
    alongVariance: 1e-6,
    acrossVariance: 1e-6,
    shared: [],
  })),
};

describe('the compass rule on a published traverse', () => {
  const { places } = compassRule(NETWORK);

  it.each(SIDES.map((side, i) => [i + 1, side] as const))('side %i', (number, side) => {
    const [from, to] = [number - 1, number % 5];
    const east = places[2 * to]! - places[2 * from]!;
    const north = places[2 * to + 1]! - places[2 * from + 1]!;
    expect(Math.abs(east - side.departure)).toBeLessThan(0.0011);
    expect(Math.abs(north - side.latitude)).toBeLessThan(0.0011);
  });

  it('misses by as much as the book says before it', () => {
    const sum = (of: (angle: number) => number) =>
      NETWORK.lines.reduce((total, { bearing, metres }) => total + metres * of(bearing), 0);
    expect(sum(Math.sin)).toBeCloseTo(0.026, 2);
    expect(sum(Math.cos)).toBeCloseTo(0.077, 2);
  });
});
