import type { Leg } from '../entries/entry';
import type { Solution } from '../survey/solution';
import type { FigureUnits } from '../units/figures';

/** What a warning is about: a line of the log, or one of its header. */
export type WarningPlace =
  { readonly entry: number } | { readonly header: 'declination' | 'start' };

/** Something in the log that looks wrong: what was seen, what it would mean, what to do. */
export interface Warning {
  readonly code:
    | 'back-bearing-off'
    | 'expected-other-way'
    | 'leg-short'
    | 'pace-implausible'
    | 'same-leg-twice'
    | 'walked-back'
    | 'ground-without-pace'
    | 'angle-disagrees'
    | 'angle-old'
    | 'north-contradicts'
    | 'model-outside-window'
    | 'far-north-compass'
    | 'annual-change-large'
    | 'start-like-position'
    | 'name-like-reference'
    | 'near-pole'
    | 'pace-length-odd'
    | 'pace-disagrees'
    | 'misclosure-unexplained'
    | 'blunder-likely'
    | 'fix-disagrees';
  readonly at: WarningPlace;
  readonly message: string;
  /** The leg without the fault, where its neighbours tell: offered, never taken unasked. */
  readonly correction?: Leg;
}

/** Looks for one kind of thing that may be wrong; changes nothing. */
export type Check = (solution: Solution, units: FigureUnits) => Warning[];
