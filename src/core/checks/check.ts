import type { Leg } from '../logbook';
import type { Solution } from '../solve';

/** What a warning is about: a line of the page, or one of its header. */
export type WarningPlace =
  { readonly entry: number } | { readonly header: 'declination' | 'start' };

/** Something on the page that looks wrong: what was seen, what it would mean, what to do. It changes nothing. */
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
    | 'model-outside-window'
    | 'far-north-compass';
  readonly at: WarningPlace;
  readonly message: string;
  /** The leg as it would read without the fault, where neighbours tell: offered, never taken unasked. */
  readonly mend?: Leg;
}

export type Check = (solution: Solution) => Warning[];
