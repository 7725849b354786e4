import type { Method } from '../../model/method';
import type { Solution } from '../solution';

/** Gives the solution of an outing by a method, of the one as walked. */
type Adjuster = (walked: Solution, method: Method) => Solution;

let provided: Adjuster | null = null;

/**
 * Provides what adjusts an outing. Few outings ask for it, and the pages that one begins with do
 * without: it is loaded when one does, like the models of the earth.
 */
export const provideAdjuster = (adjuster: Adjuster): void => {
  provided = adjuster;
};

/** What adjusts an outing; null until it is loaded. */
export const providedAdjuster = (): Adjuster | null => provided;
