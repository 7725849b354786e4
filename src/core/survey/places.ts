import type { Covariance } from '../errors/covariance';
import type { JointErrors, SharedSum } from '../errors/shared-errors';
import type { OutingNorths } from '../north/outing-norths';
import type { Position } from '../readings/position';
import type { North } from '../units/bearing';
import type { PlanePoint, PlaneUnit } from '../units/plane';

/** What coordinates are measured from. */
export interface Frame {
  /** The north that the plane's north is. */
  readonly north: North;
  readonly norths: OutingNorths;
  /** What its lengths are in, and with them all lengths about its places. */
  readonly unit: PlaneUnit;
  /** Where the plane's origin is on the earth; null where that, or north, or a pace isn't known. */
  readonly origin: Position | null;
}

/** The vector from one station to another, and its errors. */
export interface RelativePlace extends PlanePoint {
  /** By the readings' own errors. */
  readonly covariance: Covariance;
  /** What its stretches share with each other, and perhaps with a walk. */
  readonly shared: readonly SharedSum[];
  /** What an adjustment found of the shared errors; without it, each has its own sigma. */
  readonly joint?: JointErrors;
}

/**
 * Where stations are. It is asked, never read: ways, formats, sketches and checks don't know
 * whether the places are as walked or adjusted, of one outing or of several.
 */
export interface Places {
  readonly frame: Frame;
  /** The stations, by number. */
  stations(): readonly number[];
  /** Where a station is, in metres from the origin; throws RangeError for none. */
  at(station: number): PlanePoint;
  relative(from: number, to: number): RelativePlace;
}
