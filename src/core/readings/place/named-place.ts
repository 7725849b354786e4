import { plainDecimal } from '../../units/units';
import { quotedName, writeStationName } from '../name';
import type { Position } from '../position';
import { LETTERED_TEXT } from './grid-reader';

const FIGURE =
  String.raw`(?=[-+−.\d]|[ns]\s?\d|` + LETTERED_TEXT.replaceAll('\\s*$', '\\s*\\)?$') + ')';
/** The last ` at ` before something like a number: what follows must be a position. */
const AT_POSITION = new RegExp(String.raw`(?:^|\s|,)at:?\s+${FIGURE}`, 'gi');
const COMMA_POSITION = new RegExp(String.raw`\s*,\s*${FIGURE}`, 'i');
const BRACKET_POSITION = new RegExp(String.raw`\s*[([]\s*${FIGURE}`, 'i');
const QUOTED_NAME = /^(?:"(?:[^"]|"")*"|“[^”]*”)/;

/** Where the words between name and position begin and end; null where there is no position. */
export function positionIn(body: string): { from: number; to: number } | null {
  const quoted = QUOTED_NAME.exec(body)?.[0].length ?? 0;
  const rest = body.slice(quoted);
  const found =
    [...rest.matchAll(AT_POSITION)].at(-1) ??
    BRACKET_POSITION.exec(rest) ??
    COMMA_POSITION.exec(rest);
  if (!found) return null;
  const from = quoted + found.index;
  return { from, to: from + found[0].length };
}

/** A name as it is written before a position: in quotes where it would be read as one. */
export const writeNameBefore = (name: string): string =>
  positionIn(name) ? quotedName(name) : writeStationName(name);

/** `at LAT LON`, in digits that read back as the same. */
export const writePosition = ({ latitude, longitude }: Position): string =>
  `at ${plainDecimal(latitude)} ${plainDecimal(longitude)}`;
