import { isInsideEllipse, ellipse as ellipseOf, type Ellipse } from '../../errors/ellipse';
import { totalOf } from '../../navigation/walk-errors';
import type { Norths } from '../../north/norths';
import { northEastOf } from '../../north/norths';
import type { Solution } from '../../survey/solution';
import { normalised } from '../../units/angle';
import {
  azimuthOf,
  lengthOf,
  ORIGIN,
  polar,
  sumOf,
  vectorBetween,
  type PlanePoint,
} from '../../units/plane';
import type { Degrees, Metres } from '../../units/units';
import { FOG_METRES, walkedVector, type BlindWalk, type WalkedLeg } from './walker';

/** A walk in fog against its log. */
export interface WalkCompared {
  /** Where the start is from where the walker really ended. */
  readonly home: {
    readonly metres: Metres;
    readonly magneticDegrees: Degrees;
    readonly isInSight: boolean;
  };
  /** How far the place by the log is from the real one. */
  readonly reckonedOff: Metres;
  /** Of the place by the log, at 95 %, as it lies on the country's map. */
  readonly ellipse: Ellipse;
  readonly isInside: boolean;
  /** The log drawn on the country's map. */
  readonly logged: readonly PlanePoint[];
}

const turnedBy = (vector: PlanePoint, turn: Degrees): PlanePoint =>
  polar(normalised(azimuthOf(vector) + turn), lengthOf(vector));

/**
 * Compares where a walker really is with where the log says. The log is magnetic; what the
 * country's
 * map shows is turned into that north. The place on the map counts, with all that its legs share.
 */
export function compareWalk(
  walk: BlindWalk,
  legs: readonly WalkedLeg[],
  solution: Solution,
  norths: Norths,
): WalkCompared {
  const magneticEast = northEastOf('grid', 'magnetic', norths) ?? 0;
  const { places, current } = solution;
  const frameEast = northEastOf('grid', places.frame.north, norths) ?? magneticEast;
  const truth = turnedBy(walkedVector(walk, legs), -frameEast);
  const reckoned = places.relative(0, current);
  const covariance = totalOf(reckoned);
  const ellipse = ellipseOf(covariance);
  const back = vectorBetween(walkedVector(walk, legs), ORIGIN);
  const miss = vectorBetween(reckoned, truth);
  return {
    home: {
      metres: lengthOf(back),
      magneticDegrees: normalised(azimuthOf(back) - magneticEast),
      isInSight: lengthOf(back) <= FOG_METRES,
    },
    reckonedOff: lengthOf(miss),
    ellipse: { ...ellipse, azimuthDegrees: normalised(ellipse.azimuthDegrees + frameEast) % 180 },
    isInside: isInsideEllipse(covariance, miss),
    logged: places
      .stations()
      .map((station) => sumOf(walk.start, turnedBy(places.relative(0, station), frameEast))),
  };
}
