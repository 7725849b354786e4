import { degrees, radians, type Degrees } from './units';

/** The 16 winds, clockwise from north, 22.5° apart. */
export const WINDS = [
  'N',
  'NNE',
  'NE',
  'ENE',
  'E',
  'ESE',
  'SE',
  'SSE',
  'S',
  'SSW',
  'SW',
  'WSW',
  'W',
  'WNW',
  'NW',
  'NNW',
] as const;
export type Wind = (typeof WINDS)[number];

/** Any finite angle brought into [0, 360). */
export function normalised(angle: Degrees): Degrees {
  const rest = angle % 360;
  const positive = rest < 0 ? rest + 360 : rest;
  // A tiny negative angle plus 360 rounds to 360 itself; -0 becomes 0.
  return positive >= 360 ? 0 : positive + 0;
}

/** The turn from one bearing to another, in (-180, 180], clockwise positive. */
export function signedDifference(from: Degrees, to: Degrees): Degrees {
  const turn = normalised(to - from);
  return turn > 180 ? turn - 360 : turn;
}

/** The bearing looking back along a bearing, in [0, 360). */
export const backBearing = (bearing: Degrees): Degrees => normalised(bearing + 180);

/**
 * Circular mean of repeated readings, in [0, 360); null when the readings cancel out (000 and 180),
 * or there are none. Source: Mardia and Jupp, Directional Statistics, 2000, section 2.2 (memory).
 */
export function circularMean(readings: readonly Degrees[]): Degrees | null {
  let east = 0;
  let north = 0;
  for (const reading of readings) {
    east += Math.sin(radians(reading));
    north += Math.cos(radians(reading));
  }
  // Below this resultant the direction is rounding noise of the sines: n readings err by about n·1e-16.
  const nothing = readings.length * 1e-12;
  if (Math.hypot(east, north) <= nothing) return null;
  return normalised(degrees(Math.atan2(east, north)));
}

/** Three digits and the degree sign; what rounds to 360 shows as 000°. */
export function threeDigits(bearing: Degrees): string {
  const whole = Math.round(normalised(bearing)) % 360;
  return `${String(whole).padStart(3, '0')}°`;
}

/** An angle east of a north in degrees and tenths with its letter: 19.1° W. */
export const angleWords = (east: Degrees): string =>
  `${Math.abs(east).toFixed(1)}° ${east < 0 ? 'W' : 'E'}`;

export const windBearing = (wind: Wind): Degrees => WINDS.indexOf(wind) * 22.5;

/** The nearest of the 8 winds: what a tired person takes in. */
export const nearestEighth = (bearing: Degrees): Wind =>
  WINDS[(Math.round(normalised(bearing) / 45) % 8) * 2] as Wind;

/** How far a bearing may lie from a compass word beside it: half the gap between words of that length. */
export const wordTolerance = (wind: Wind): Degrees => 90 / 2 ** wind.length;
