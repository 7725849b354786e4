import type { ErrorSettings } from '../model/error-settings';
import type { Walked } from './means';
import { ERROR_SOURCES } from './sources';

const ofBearing = ERROR_SOURCES.flatMap(({ bearing }) => bearing ?? []);
const ofDistance = ERROR_SOURCES.flatMap(({ distance }) => distance ?? []);

/** Variance of a bearing by itself, in radians². */
export function bearingVariance(walked: Walked, errors: ErrorSettings): number {
  let sum = 0;
  for (const variance of ofBearing) sum += variance(walked, errors);
  return sum;
}

/** Variance of a distance by itself, over its length squared. */
export function distanceVariance(walked: Walked, errors: ErrorSettings): number {
  let sum = 0;
  for (const variance of ofDistance) sum += variance(walked, errors);
  return sum;
}

/**
 * A bearing read at both ends of a line: the two join by weight, and what they then vary by.
 * `backWeight` is that of the back bearing.
 */
export function joinedReadings(forward: number, back: number) {
  const backWeight = forward / (forward + back);
  return { backWeight, variance: (forward * back) / (forward + back) };
}
