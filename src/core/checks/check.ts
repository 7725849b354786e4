import type { Solution } from '../solve';

/** Something on the page that looks wrong. It warns; it changes nothing. */
export interface Warning {
  readonly code: 'back-bearing-off';
  /** The entry that it is about. */
  readonly entry: number;
  readonly message: string;
}

export type Check = (solution: Solution) => Warning[];
