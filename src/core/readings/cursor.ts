import type { Expected, Fault, Ranged } from '../faults/fault';

/**
 * Thrown inside the readers only; they catch it and return the fault. Columns count from 0. A
 * suggested reading takes the place of what is written from `start` to `end`.
 */
export class Refusal extends Error {
  constructor(
    readonly fault: Fault,
    readonly column: number,
    readonly start: number,
    readonly end: number,
  ) {
    super(fault.code);
  }
}

/** Characters shown of what was there: enough to recognise it. */
const MOST_SHOWN = 60;
const SPACE = 32;
const LAST_ASCII = 127;

/** Reads one line from left to right. */
export class Cursor {
  position = 0;

  constructor(
    readonly text: string,
    /** End of the part that may be read: the note begins there, or the line ends. */
    readonly end: number,
  ) {}

  skipSpace(): void {
    while (this.position < this.end) {
      const code = this.text.charCodeAt(this.position);
      // Plain spaces first: nearly all are, and a pattern costs ten times more.
      if (code !== SPACE) {
        const printable = code > SPACE && code <= LAST_ASCII;
        if (printable || !/\s/.test(this.text.charAt(this.position))) return;
      }
      this.position++;
    }
  }

  get atEnd(): boolean {
    return this.position >= this.end;
  }

  /** The character here; empty at the end. */
  get next(): string {
    return this.atEnd ? '' : this.text.charAt(this.position);
  }

  /** Takes what a sticky pattern matches here, or returns null. */
  take(pattern: RegExp): RegExpExecArray | null {
    pattern.lastIndex = this.position;
    const found = pattern.exec(this.text);
    if (!found || found.index + found[0].length > this.end) return null;
    this.position += found[0].length;
    return found;
  }

  /** True when a sticky pattern matches here; takes nothing. */
  sees(pattern: RegExp): boolean {
    const start = this.position;
    const found = this.take(pattern) !== null;
    this.position = start;
    return found;
  }

  /** Like `take`, after any spaces; takes nothing, not even the spaces, without a match. */
  takeAfterSpace(pattern: RegExp): RegExpExecArray | null {
    const start = this.position;
    this.skipSpace();
    const found = this.take(pattern);
    if (!found) this.position = start;
    return found;
  }

  /** The word here, up to the next space, without taking it. */
  peekWord(): string {
    let to = this.position;
    while (to < this.end && !/\s/.test(this.text.charAt(to))) to++;
    return this.text.slice(this.position, to);
  }

  /** Takes the rest of the line, trimmed. */
  rest(): string {
    const text = this.text.slice(this.position, this.end).trim();
    this.position = this.end;
    return text;
  }

  /** Stops reading: something else was expected at this column. */
  expected(expected: Expected, nearest?: string[], column = this.position): never {
    this.position = column;
    const word = this.peekWord();
    const found = word.slice(0, MOST_SHOWN);
    const fault = { code: 'unexpected', found, expected, nearest } as const;
    throw new Refusal(fault, column, column, column + word.length);
  }

  /** Stops reading with a fault at this column, in what was read from `start` on. */
  refuse(fault: Fault, column = this.position, start = column): never {
    throw new Refusal(fault, column, start, Math.max(start, this.position));
  }

  /** The number, if it is in its range; else stops reading. `column` is where it was written. */
  inRange(value: number, what: Ranged, least: number, most: number, column: number): number {
    if (value >= least && value <= most) return value;
    const found = this.text.slice(column, this.position).slice(0, MOST_SHOWN).trim();
    const fault = { code: 'out-of-range', what, found, least, most } as const;
    throw new Refusal(fault, column, column, this.position);
  }

  /** Stops reading if anything is left before the end. */
  finish(nearest?: string[]): void {
    this.skipSpace();
    if (!this.atEnd) this.expected('line-end', nearest);
  }
}
