import type { Covariance } from '../../errors/covariance';
import type { SharedError } from '../../errors/sources/source';
import { sumOf, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';

/** A station of the log that a reading hangs on: it is off by what the legs to it are off. */
export interface LogStation {
  /** The same for all readings that hang on one station. */
  readonly key: number;
  /** Metres that one unit of each shared error moves it by. */
  readonly effects: readonly { readonly error: SharedError; readonly by: PlanePoint }[];
}

/** A place from which, or to which, something was read. */
export interface Mark extends PlanePoint {
  readonly name: string;
  /** How well the map tells it, one sigma along each axis. */
  readonly sigmaMetres: Metres;
  /** For a place that no map tells: it is a station of the log. */
  readonly station?: LogStation;
}

/** How much of a shared error a reading has. */
export interface SharedEffect {
  readonly error: SharedError;
  readonly share: number;
}

/** Where a reading was taken, from the place that is asked for: an earlier station of the log. */
export interface ReadFrom extends PlanePoint, LogStation {}

/** What a reading of a mark has beside its figure. */
export interface OfMark {
  readonly mark: Mark;
  /** Null for a reading taken at the place that is asked for. */
  readonly from: ReadFrom | null;
}

/**
 * One equation that an observation gives at a place: what was read, less what would be read there,
 * `w`, and how the latter changes as the place moves, `g`.
 */
export interface Equation {
  /** In radians or metres. */
  readonly w: number;
  readonly g: PlanePoint;
  /** Variance of the reading by itself, in the square of the unit of `w`. */
  readonly own: number;
  readonly shared?: readonly SharedEffect[];
  readonly mark?: Mark;
  readonly from?: ReadFrom | null;
  /** What one radian of an error of the compass at this place adds to it; 0 without it. */
  readonly compassHere?: number;
}

/** Where one observation alone allows the place to be. */
export type Locus =
  | { readonly is: 'line'; readonly at: PlanePoint; readonly toward: PlanePoint }
  | { readonly is: 'circle'; readonly at: PlanePoint; readonly metres: Metres }
  | { readonly is: 'point'; readonly at: PlanePoint };

/**
 * One kind of observation, by the name in its field `kind`. A new one is a file here and a line in
 * `index.ts`; everything that solves for a place asks the kind and knows no other.
 */
export interface ObservationKind<Each> {
  /** The equations of a reading for a place that is near the one asked for. */
  equations(each: Each, place: PlanePoint): readonly Equation[];
  /** How many equations that are, at most. */
  readonly count: number;
  /** Null for one that is everywhere and nowhere, as a height is. */
  locus(each: Each): Locus | null;
}

/** The place where a reading was taken, for a traveller at a place. */
export const readAt = (place: PlanePoint, from: ReadFrom | null): PlanePoint =>
  from ? sumOf(place, from) : place;

/** Where a mark lies for the place that is asked for: less the way to where it was read. */
export const markFor = ({ mark, from }: OfMark): PlanePoint =>
  from ? vectorBetween(from, mark) : mark;

/** Nearer to a mark no direction means anything. */
export const MIN_METRES: Metres = 0.5;

/** Covariance of two stations against the place asked for, by the legs between, by themselves. */
export type StationCovariance = (one: LogStation, other: LogStation) => Covariance;
