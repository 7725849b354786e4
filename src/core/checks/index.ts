import {
  angleDisagrees,
  angleOld,
  annualChangeLarge,
  farNorthCompass,
  modelOutsideWindow,
  nearPole,
  northContradicts,
  startLikePosition,
} from './header';
import { isRemark } from '../entries/entry';
import type { Solution } from '../survey/solution';
import { type FigureUnits, forPlane } from '../units/figures';
import { misclosureUnexplained } from './legs/misclosure-unexplained';
import { paceDisagrees } from './legs/pace-disagrees';
import { paceLengthOdd } from './legs/pace-length-odd';
import { backBearingOff } from './legs/back-bearing-off';
import type { Check, Warning } from './check';
import { expectedOtherWay } from './legs/expected-other-way';
import { groundWithoutPace } from './legs/ground-without-pace';
import { fixDisagrees } from './legs/fix-disagrees';
import { blunderLikely } from './legs/blunder-likely';
import { legShort } from './legs/leg-short';
import { paceImplausible } from './legs/pace-implausible';
import { nameLikeReference } from './legs/name-like-reference';
import { sameLegTwice } from './legs/same-leg-twice';
import { walkedBack } from './legs/walked-back';

/** Checks of what holds for all of a log. A new one is one more file and one more name here. */
const HEADER_CHECKS: readonly Check[] = [
  angleDisagrees,
  angleOld,
  annualChangeLarge,
  startLikePosition,
  nearPole,
  modelOutsideWindow,
  farNorthCompass,
  northContradicts,
];

/** Checks of its lines. */
const LINE_CHECKS: readonly Check[] = [
  backBearingOff,
  expectedOtherWay,
  legShort,
  paceImplausible,
  sameLegTwice,
  walkedBack,
  groundWithoutPace,
  paceLengthOdd,
  paceDisagrees,
  misclosureUnexplained,
  blunderLikely,
  fixDisagrees,
  nameLikeReference,
];

const order = ({ at }: Warning) => ('entry' in at ? at.entry : -1);

const acceptance = ({ at, code }: Warning) => ('entry' in at ? `${at.entry} ${code}` : code);

/** Warnings that the person accepted: `entry code`, or the code alone for the header. */
function acceptedWarnings({ outing }: Solution): Set<string> {
  const accepted = new Set<string>();
  let line = -1;
  for (const [index, entry] of outing.entries.entries()) {
    if (entry.kind === 'right') {
      accepted.add(`${line} ${entry.code}`);
      accepted.add(entry.code);
    } else if (!isRemark(entry)) {
      line = index;
    }
  }
  return accepted;
}

/** The warnings of some checks that weren't accepted: the header's first, then line by line. */
function found(solution: Solution, units: FigureUnits, checks: readonly Check[]): Warning[] {
  const accepted = acceptedWarnings(solution);
  const own = forPlane(units, solution.places.frame.unit);
  return checks
    .flatMap((check) => check(solution, own))
    .filter((warning) => !accepted.has(acceptance(warning)))
    .sort((a, b) => order(a) - order(b));
}

/** All warnings that weren't accepted, in a person's units. */
export const warningsOf = (solution: Solution, units: FigureUnits): Warning[] =>
  found(solution, units, [...HEADER_CHECKS, ...LINE_CHECKS]);

/** Those of the header: quick, whatever the length of the log. */
export const headerWarnings = (solution: Solution, units: FigureUnits): Warning[] =>
  found(solution, units, HEADER_CHECKS);
