import type { Method } from '../model/method';
import type { GridReader } from '../readings/place/grid-reader';
import type { Position } from '../readings/position';
import type { LogFix } from './fix/log-fix';
import type { Mark } from './fix/point/observation';
import type { Solution } from './solution';

/**
 * What adjusts an outing, solves its fixes and reads its places by a grid. It is passed in, since
 * few outings ask for it and the pages that one begins with do without its weight: the real ones
 * are in adjusted/survey-tools.ts.
 */
export interface SurveyTools {
  readonly readGrid: GridReader;
  /** The solution of an outing by a method, of the one as walked. */
  readonly adjusted: (walked: Solution, method: Method) => Solution;
  /** Where the start is by all that was sighted; null for nowhere. */
  readonly startOf: (solution: Solution) => Position | null;
  /** Where its known places are in its plane, by the key of their name; none without positions. */
  readonly marksOf: (solution: Solution) => ReadonlyMap<string, Mark>;
  /** The fixes at its stations. */
  readonly fixesOf: (solution: Solution) => readonly LogFix[];
}
