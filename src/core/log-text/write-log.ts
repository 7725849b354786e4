import { writeEntry } from '../entries/entry';
import { inForceAfter, inForceAtTop } from '../survey/in-force';
import type { OnceOnly } from '../faults/fault';
import type { Outing } from '../model/outing';
import { HEADER_LINES } from './header-lines';
import type { HeaderLine } from './header-lines/header-line';

/** A line of the header with its note; empty where the outing has no such line. */
function writeHeaderLine({ keyword, write }: HeaderLine, outing: Outing): string {
  const written = write(outing);
  if (!written) return '';
  const line = `${keyword} ${written.text}`;
  return written.note === undefined ? line : `${line} ; ${written.note}`;
}

/** One line of an outing's header; empty where the outing has no such line. */
export function headerLine(outing: Outing, once: OnceOnly): string {
  const line = HEADER_LINES.find((each) => each.once === once);
  return line ? writeHeaderLine(line, outing) : '';
}

/** The lines at the head of a log, without line breaks. */
export const headerLines = (outing: Outing): string[] =>
  HEADER_LINES.map((line) => writeHeaderLine(line, outing)).filter((line) => line !== '');

/** An outing as the canonical text of its log: reading and writing it again gives the same text. */
export function writeLog(outing: Outing): string {
  const lines = headerLines(outing);
  let inForce = inForceAtTop(outing);
  for (const entry of outing.entries) {
    lines.push(writeEntry(entry, inForce.readingNorth));
    inForce = inForceAfter(inForce, entry);
  }
  return `${lines.join('\n')}\n`;
}
