import type { Position } from '../core/readings/position';
import { normals } from '../core/errors/random';
import { ok } from '../core/units/result';
import type { PositionDevice } from './position';

/** Metres in a degree of latitude, near enough for noise: 10,001.966 km to the pole over 90. */
const METRES_PER_DEGREE = 111_132;

/**
 * A stand-in for a position sensor: a place with normal noise, whose sigma in metres is the same
 * east and north.
 * `next` gives uniform numbers in [0, 1).
 */
export function simulatedPosition(
  place: Position,
  sigmaMetres: number,
  next: () => number,
): PositionDevice {
  const normal = normals(next);
  return {
    read: () => {
      const north = (normal() * sigmaMetres) / METRES_PER_DEGREE;
      const shrink = Math.cos((place.latitude * Math.PI) / 180);
      const east = (normal() * sigmaMetres) / (METRES_PER_DEGREE * shrink);
      const position = { latitude: place.latitude + north, longitude: place.longitude + east };
      return Promise.resolve(ok({ position, accuracyMetres: sigmaMetres }));
    },
  };
}
