import type { Solution } from '../solve';
import { angleDisagrees } from './angle-disagrees';
import { angleOld } from './angle-old';
import { backBearingOff } from './back-bearing-off';
import type { Check, Warning } from './check';
import { farNorthCompass } from './far-north-compass';
import { groundWithoutPace } from './ground-without-pace';
import { modelOutsideWindow } from './model-outside-window';

/** Every check. A new one is one more file and one more name here. */
const CHECKS: readonly Check[] = [
  angleDisagrees,
  angleOld,
  modelOutsideWindow,
  farNorthCompass,
  backBearingOff,
  groundWithoutPace,
];

const order = ({ at }: Warning) => ('entry' in at ? at.entry : -1);

/** All that the checks have to say of a page: its header first, then in the order of its lines. */
export const warningsOf = (solution: Solution): Warning[] =>
  CHECKS.flatMap((check) => check(solution)).sort((a, b) => order(a) - order(b));
