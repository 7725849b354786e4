import type { Solution } from '../solve';
import { backBearingOff } from './back-bearing-off';
import type { Check, Warning } from './check';

/** Every check. A new one is one more file and one more name here. */
const CHECKS: readonly Check[] = [backBearingOff];

/** All that the checks have to say of a page, in the order of its lines. */
export const warningsOf = (solution: Solution): Warning[] =>
  CHECKS.flatMap((check) => check(solution)).sort((a, b) => a.entry - b.entry);
