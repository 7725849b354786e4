import { GROUNDS } from '../readings/ground';

/**
 * A page of a notebook as it is pasted: heads above its columns, a number before each row, bars
 * between its columns. Each row is read as a line of a log; signs that are no reading become blanks
 * in their places, so that a fault still tells the right column.
 */

const BEARING = /^(?:bearings?|azimuths?|azm?|azi|brg|hdg|heading|course|direction)$/;
const COUNT = /^(?:paces?|count|pcs|distance|dist)$/;
const NUMBER = /^(?:no|nr|leg|line|#)$/;
const BESIDE = /^(?:remarks?|notes?|comments?|observations?|walked|deg|degrees|°|m|mag|magnetic)$/;

/** The heads of a log's columns, in the order of a leg; null for any other line. */
function headsOf(line: string): { isNumbered: boolean } | null {
  const words = line
    .toLowerCase()
    .split(/[\s.,;:()|/[\]]+/)
    .filter(Boolean);
  const [bearing, count] = [BEARING, COUNT].map((one) => words.findIndex((word) => one.test(word)));
  if (bearing === undefined || count === undefined || bearing < 0 || count < bearing) return null;
  // After the count, `m` would be its unit.
  if (words.slice(count).includes('m')) return null;
  const all = [BEARING, COUNT, NUMBER, BESIDE];
  if (!words.every((word) => all.some((one) => one.test(word)))) return null;
  return { isNumbered: NUMBER.test(words[0] ?? '') };
}

/** True for a line of nothing but the heads of a log's columns, in the order of a leg. */
export const isHeadingLine = (line: string): boolean => headsOf(line) !== null;

/** A rule under the heads, or between rows. */
const RULE = /^[\s|:+=–—-]*[|+=–—-][\s|:+=–—-]*$/;
/** A part of a leg, which is no note: a figure, a station, a back bearing, a slope, a ground. */
const PART = /^(?:[>@;~\d→]|->|(?:to|back|bb|up|down|on)(?![a-z]))/i;
const isPartOfLeg = (cell: string) =>
  PART.test(cell) || GROUNDS.some((ground) => ground === cell.toLowerCase());
const ROW_NUMBER = /^\s*\d{1,4}\s*[.,):]?(?=\s*[|\t]|\s+\S)/;

/** A number or a bearing alone in the first column, and a figure in the next. */
const IN_COLUMNS =
  /^[\s|]*(?:\d{1,4}(?:\.\d+)?\s*[.,):°]?|[nsew]{1,3}|[ns]\s?\d+\s?[ew])\s*[|\t]\s*[\dnsew~]/i;

const blanks = (text: string) => ' '.repeat(text.length);

/** The row without its bars: bearing, count, and what is after them as a note or as parts. */
function withoutBars(row: string, isNumbered: boolean): string {
  const cells = row.split(/[|\t]/);
  // Bars around the row make empty cells at its ends.
  const first = cells.findIndex((cell) => cell.trim() !== '');
  const isNumber = /^\s*\d{1,4}\s*[.,):]?\s*$/.test(cells[first] ?? '');
  const next = cells.slice(first + 1).filter((cell) => cell.trim() !== '');
  const hasBoth = /^\s*[\dnsew]/i.test(next[0] ?? '') && /^\s*[~\d]/.test(next[1] ?? '');
  const start = isNumber && (isNumbered || hasBoth) ? first + 1 : first;
  let text = '';
  let hasNote = false;
  for (const [index, cell] of cells.entries()) {
    const isNote = index > start + 1 && cell.trim() !== '';
    const isPart = isNote && isPartOfLeg(cell.trim());
    const sign = !isNote || isPart ? ' ' : hasNote ? ',' : ';';
    hasNote ||= isNote && !isPart;
    // Within the note columns don't matter.
    if (sign === ',') text = text.trimEnd();
    text += (index === 0 ? '' : sign) + (index < start ? blanks(cell) : cell);
  }
  return text.trimEnd();
}

/** Reads the rows of a page one after the other; a log that is no page passes as it is. */
export class NotebookPage {
  private isNumbered = false;

  /** The row as a line of a log, its columns in their places; null for heads and rules. */
  lineOf(row: string): string | null {
    const heads = headsOf(row);
    if (heads) {
      this.isNumbered = heads.isNumbered;
      return null;
    }
    if (row.trim().length > 1 && RULE.test(row)) return null;
    if (IN_COLUMNS.test(row)) return withoutBars(row, this.isNumbered);
    if (!this.isNumbered) return row;
    return row.replace(ROW_NUMBER, blanks);
  }
}
