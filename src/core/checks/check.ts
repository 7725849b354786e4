import type { Solution } from '../solve';

/** What a warning is about: a line of the page, or one of its header. */
export type WarningPlace =
  { readonly entry: number } | { readonly header: 'declination' | 'start' };

/** Something on the page that looks wrong. It warns; it changes nothing. */
export interface Warning {
  readonly code:
    | 'back-bearing-off'
    | 'angle-disagrees'
    | 'angle-old'
    | 'model-outside-window'
    | 'far-north-compass'
    | 'ground-without-pace';
  readonly at: WarningPlace;
  readonly message: string;
}

export type Check = (solution: Solution) => Warning[];
