import type { Solution } from '../solve';
import { angleDisagrees } from './angle-disagrees';
import { angleOld } from './angle-old';
import { backBearingOff } from './back-bearing-off';
import type { Check, Warning } from './check';
import { expectedOtherWay } from './expected-other-way';
import { farNorthCompass } from './far-north-compass';
import { groundWithoutPace } from './ground-without-pace';
import { legShort } from './leg-short';
import { modelOutsideWindow } from './model-outside-window';
import { paceImplausible } from './pace-implausible';
import { sameLegTwice } from './same-leg-twice';
import { walkedBack } from './walked-back';

/** Every check. A new one is one more file and one more name here. */
const CHECKS: readonly Check[] = [
  angleDisagrees,
  angleOld,
  modelOutsideWindow,
  farNorthCompass,
  backBearingOff,
  expectedOtherWay,
  legShort,
  paceImplausible,
  sameLegTwice,
  walkedBack,
  groundWithoutPace,
];

const order = ({ at }: Warning) => ('entry' in at ? at.entry : -1);

/** Lines that only remark on others: what is said right speaks of the line before them. */
const REMARKS: ReadonlySet<string> = new Set(['right', 'struck']);

/** What the person said is right: `entry code`, or the code alone for what is said of the header. */
function saidRight({ outing }: Solution): Set<string> {
  const said = new Set<string>();
  let line = -1;
  outing.entries.forEach((entry, index) => {
    if (entry.kind === 'right') {
      said.add(`${line} ${entry.code}`);
      said.add(entry.code);
    } else if (!REMARKS.has(entry.kind)) {
      line = index;
    }
  });
  return said;
}

/** All that the checks have to say of a page and that was not said to be right: the header first, then line by line. */
export function warningsOf(solution: Solution): Warning[] {
  const said = saidRight(solution);
  return CHECKS.flatMap((check) => check(solution))
    .filter(({ at, code }) => !said.has('entry' in at ? `${at.entry} ${code}` : code))
    .sort((a, b) => order(a) - order(b));
}
