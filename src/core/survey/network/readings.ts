import type { SharedError } from '../../errors/sources/source';
import type { Metres, Radians } from '../../units/units';

/** How much of a shared error a reading has: 1 for all of it. */
interface SharedPart {
  /** Which of the network's sources. */
  readonly source: number;
  readonly share: number;
}

/**
 * A line from one node to another, read as a bearing and a length. A length with an infinite
 * variance was not read: a sighting.
 */
export interface NetworkLine {
  readonly from: number;
  readonly to: number;
  /** Clockwise from the network's north. */
  readonly bearing: Radians;
  readonly metres: Metres;
  /** Variances of the reading by itself: of its length over the square, of its bearing in rad². */
  readonly alongVariance: number;
  readonly acrossVariance: number;
  readonly shared: readonly SharedPart[];
  /** Which of the network's local errors turns this bearing; none without it. */
  readonly local?: number;
}

/**
 * An error of one node, such as iron there: it turns every bearing that was read at the node, and
 * nothing else. It is solved for beside its node, so that any number of them cost no more than as
 * many nodes.
 */
export interface LocalError {
  readonly node: number;
  readonly error: SharedError;
}

/** Everything that was read, of one outing or of several. Node 0 is the origin. */
export interface Network {
  readonly nodes: number;
  /** How many of them, the last ones, are landmarks, which nobody stood on; none without it. */
  readonly landmarks?: number;
  readonly lines: readonly NetworkLine[];
  /** Errors that lines share, each with its prior sigma, which is above 0. */
  readonly sources: readonly SharedError[];
  readonly locals?: readonly LocalError[];
}

/** A line nearer than this is as good as its end: no reading is better than a millimetre. */
export const LEAST_VARIANCE = 1e-6;
