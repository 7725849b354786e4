import type { LineKind } from '../line-kind';
import {
  aimLine,
  atLine,
  boxLine,
  expectLine,
  fromLine,
  landmarkLine,
  outLine,
  paceLine,
  passedLine,
  readNorthLine,
  rightLine,
  seeLine,
  struckLine,
} from './entries';
import {
  convergenceLine,
  correctionLine,
  dateLine,
  declinationLine,
  headerLine,
  outingLine,
  showLine,
  startLine,
} from './headers';

/** Every line that begins with a keyword. A new kind is one more row here; what matches none is a leg. */
export const LINE_KINDS: ReadonlyMap<string, LineKind> = new Map(
  [
    headerLine,
    outingLine,
    dateLine,
    startLine,
    declinationLine,
    correctionLine,
    convergenceLine,
    showLine,
    readNorthLine,
    aimLine,
    paceLine,
    fromLine,
    atLine,
    seeLine,
    landmarkLine,
    boxLine,
    passedLine,
    outLine,
    expectLine,
    rightLine,
    struckLine,
  ].map((kind) => [kind.keyword, kind]),
);
