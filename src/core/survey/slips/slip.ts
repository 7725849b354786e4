import type { Leg } from '../../entries/entry';
import type { Norths } from '../../north/norths';
import type { Degrees, Metres } from '../../units/units';

/** The names of the slips, as the endpoints give them. */
export type SlipId =
  | 'half-circle'
  | 'ten-degrees'
  | 'hundred-degrees'
  | 'digits-transposed'
  | 'declination-omitted'
  | 'declination-doubled'
  | 'declination-reversed'
  | 'hundred-metres'
  | 'ten-paces'
  | 'single-steps'
  | 'double-paces'
  | 'unit'
  | 'wrong-station'
  | 'box-side'
  | 'written-twice'
  | 'not-written';

/** A leg that may have been written wrong. */
export interface SlipLeg {
  readonly reading: Leg;
  /** As it lies by its reading, from the north of the survey. */
  readonly bearingDegrees: Degrees;
  readonly metres: Metres;
  /** Metres on the level for a pace here; NaN where none is known. */
  readonly paceMetres: Metres;
  readonly norths: Norths;
  /** The leg before it in the log; null for the first. */
  readonly before: SlipLeg | null;
  /** Of an obstacle boxed on it; null where there is none. */
  readonly box: { readonly side: 'left' | 'right'; readonly outMetres: Metres } | null;
}

/** What may have been walked where something else is written. */
export interface Instead {
  /** The line as it would lie. */
  readonly bearingDegrees: Degrees;
  readonly metres: Metres;
  /** Metres to the right of it at its end, of a box whose side was mistaken. */
  readonly rightMetres?: Metres;
  /** The leg written as it would have been; null where it isn't known. */
  readonly suggested: Leg | null;
  /** Nothing was walked: the line is there once too often. */
  readonly isNothing?: boolean;
  /** One sigma, east and north alike, of a stretch that is missing. */
  readonly missingMetres?: Metres;
  /** The slip as a sentence about this leg, without its number and without the full stop. */
  readonly says: string;
}

/** A slip that people make. A new one is a file here and a line in `index.ts`. */
export interface Slip {
  readonly id: SlipId;
  /** How often it is made, for one leg. Common practice, no source. */
  readonly prior: number;
  /** What to look at on the ground, or in the log. */
  readonly lookAt: string;
  /** What may have been meant by a leg, if this slip was made on it. */
  readonly of: (leg: SlipLeg) => readonly Instead[];
  /** True for one that may have been made on this leg and all that follow it. */
  readonly goesOn?: boolean;
}
