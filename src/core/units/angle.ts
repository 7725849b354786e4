import { degrees, radians, type Degrees } from './units';

/** The 16 compass points, clockwise from north, 22.5° apart. */
export const COMPASS_POINTS = [
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
export type CompassPoint = (typeof COMPASS_POINTS)[number];

/** Any finite angle as one in [0, 360). */
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

/** The opposite bearing, in [0, 360). */
export const backBearing = (bearing: Degrees): Degrees => normalised(bearing + 180);

/**
 * Circular mean of repeated readings, in [0, 360); null when they cancel out (000 and 180) or there
 * are none. Source: Mardia and Jupp, Directional Statistics, 2000, section 2.2 (memory).
 */
export function circularMean(readings: readonly Degrees[]): Degrees | null {
  let east = 0;
  let north = 0;
  for (const reading of readings) {
    east += Math.sin(radians(reading));
    north += Math.cos(radians(reading));
  }
  // Below this length the direction is rounding noise of the sines: n readings err by n·1e-16.
  const roundingNoise = readings.length * 1e-12;
  if (Math.hypot(east, north) <= roundingNoise) return null;
  return normalised(degrees(Math.atan2(east, north)));
}

/** Three digits, as in a log; what rounds to 360 is 000. */
export const bearingDigits = (bearing: Degrees): string =>
  String(Math.round(normalised(bearing)) % 360).padStart(3, '0');

/** An angle east of a north in degrees and tenths with its letter: 19.1° W. */
export const angleText = (east: Degrees): string =>
  `${Math.abs(east).toFixed(1)}° ${east < 0 ? 'W' : 'E'}`;

/** An angle east of a north in degrees and minutes with its letter: 0°39′ W. */
export function angleMinutesText(east: Degrees): string {
  const minutes = Math.round(Math.abs(east) * 60);
  const degrees = Math.floor(minutes / 60);
  return `${degrees}°${String(minutes % 60).padStart(2, '0')}′ ${east < 0 ? 'W' : 'E'}`;
}

export const compassPointBearing = (point: CompassPoint): Degrees =>
  COMPASS_POINTS.indexOf(point) * 22.5;

const EIGHT_POINTS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;

/** The nearest of the eight main compass points: enough for a tired person. */
export const nearestCompassPoint = (bearing: Degrees): CompassPoint =>
  EIGHT_POINTS[Math.round(normalised(bearing) / 45) % 8] ?? 'N';

/** Half a point of the 32: nobody names a direction more finely than that by heart. */
const HALF_POINT: Degrees = 360 / 64;

/**
 * How far a bearing may lie from a compass point beside it: half the gap between such points, and
 * half a point more where the point has two or three letters.
 */
export const compassPointTolerance = (point: CompassPoint): Degrees =>
  90 / 2 ** point.length + (point.length > 1 ? HALF_POINT : 0);
