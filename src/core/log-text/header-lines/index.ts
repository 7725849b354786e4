import { adjustLine } from './adjust';
import { byLine } from './by';
import { convergenceLine } from './convergence';
import { correctionLine } from './correction';
import { dateLine } from './date';
import { declinationLine } from './declination';
import { errorsLine } from './errors';
import { followsLine } from './follows';
import { formatLine } from './format';
import type { HeaderLine } from './header-line';
import { outingLine } from './outing';
import { showLine } from './show';
import { startLine } from './start';

/** The lines of a log's header, in the order in which they are written. */
export const HEADER_LINES: readonly HeaderLine[] = [
  formatLine,
  outingLine,
  byLine,
  dateLine,
  startLine,
  followsLine,
  declinationLine,
  correctionLine,
  convergenceLine,
  showLine,
  adjustLine,
  errorsLine,
];

export const HEADER_LINE_BY_KEYWORD: ReadonlyMap<string, HeaderLine> = new Map(
  HEADER_LINES.map((line) => [line.keyword, line]),
);
