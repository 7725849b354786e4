import type { Position } from '../../readings/position';
import type { Mark } from '../fix/point/observation';
import type { LogFix } from '../fix/log-fix';
import type { Solution } from '../solution';

/** What the known places of a log tell. */
export interface FixTools {
  /** Where the start is by all that was sighted; null for nowhere. */
  readonly startOf: (solution: Solution) => Position | null;
  /** Where its known places are in its plane, by the key of their name; none without positions. */
  readonly marksOf: (solution: Solution) => ReadonlyMap<string, Mark>;
  /** The fixes at its stations. */
  readonly fixesOf: (solution: Solution) => readonly LogFix[];
}

let provided: FixTools | null = null;

/** Provides what solves fixes; loaded, like what adjusts, only where a log knows places. */
export const provideFixTools = (tools: FixTools): void => {
  provided = tools;
};

/** What solves fixes; null until it is loaded. */
export const providedFixTools = (): FixTools | null => provided;
