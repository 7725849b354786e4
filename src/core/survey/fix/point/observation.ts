import type { Covariance } from '../../../errors/covariance';
import type { SharedError } from '../../../errors/sources/source';
import type { PlanePoint } from '../../../units/plane';
import type { Metres, Radians } from '../../../units/units';

/** A place that a map tells, in the plane of a fix. */
export interface Mark extends PlanePoint {
  readonly name: string;
  /** How well the map tells it, one sigma along each axis. */
  readonly sigmaMetres: Metres;
}

/** How much of a shared error a reading has. */
interface SharedEffect {
  readonly error: SharedError;
  readonly share: number;
}

/**
 * Where a reading was taken, from where the traveller is: an earlier station of the log, with what
 * the legs between have of each error.
 */
export interface ReadFrom extends PlanePoint {
  /** The same for all readings that were taken at one station. */
  readonly key: number;
  /** Metres that one unit of each shared error moves it by. */
  readonly effects: readonly { readonly error: SharedError; readonly by: PlanePoint }[];
}

interface OfMark {
  readonly mark: Mark;
  /** Null for a reading taken where the traveller is. */
  readonly from: ReadFrom | null;
}

/** A direction from the plane's north, from the traveller to a mark or the other way. */
export interface BearingReadAt extends OfMark {
  readonly kind: 'bearing';
  readonly bearing: Radians;
  /** True where it was read at the mark. */
  readonly back: boolean;
  readonly variance: number;
  readonly shared: readonly SharedEffect[];
}

/** A length, paced or otherwise, between the traveller and a mark. */
interface LengthReadAt extends OfMark {
  readonly kind: 'length';
  readonly metres: Metres;
  /** Of the length over its square. */
  readonly variance: number;
  readonly shared: readonly SharedEffect[];
}

/** The traveller stands at the mark, or stood there: so a log's start is one. */
interface AtMark extends OfMark {
  readonly kind: 'at';
}

/** The traveller is on a straight line: a stretch of a path or a river. */
interface OnLine {
  readonly kind: 'on-line';
  readonly from: PlanePoint;
  readonly to: PlanePoint;
  readonly sigmaMetres: Metres;
}

/** All that tells where a traveller is. */
export type Observation = BearingReadAt | LengthReadAt | AtMark | OnLine;

/** Covariance of two stations against the traveller, by the own errors of the legs between. */
export type StationCovariance = (one: ReadFrom, other: ReadFrom) => Covariance;
