import type { Expected, Fault, Ranged } from '../faults';

/** Thrown inside the reader alone; its doors catch it and return the fault. Column counts from 0 here. */
export class Refusal extends Error {
  constructor(
    readonly fault: Fault,
    readonly column: number,
  ) {
    super(fault.code);
  }
}

/** Shown of what stood there: enough to recognise it, not a page. */
const MOST_FOUND = 60;

/** Reads one line from left to right. */
export class Cursor {
  position = 0;

  constructor(
    readonly text: string,
    /** Where the part of the line that may be read ends: the note begins there, or the line ends. */
    readonly end: number,
  ) {}

  skipSpace(): void {
    while (this.position < this.end) {
      const code = this.text.charCodeAt(this.position);
      // Plain spaces first: they are nearly all there is, and a test by pattern costs ten times more.
      if (code !== 32 && (code > 32 && code < 128 ? true : !/\s/.test(this.text[this.position]!)))
        return;
      this.position++;
    }
  }

  get atEnd(): boolean {
    return this.position >= this.end;
  }

  /** Takes what a sticky pattern matches here, or null. */
  take(pattern: RegExp): RegExpExecArray | null {
    pattern.lastIndex = this.position;
    const found = pattern.exec(this.text);
    if (!found || found.index + found[0].length > this.end) return null;
    this.position += found[0].length;
    return found;
  }

  /** The word here, without taking it: letters and what follows them up to a space. */
  peekWord(): string {
    let to = this.position;
    while (to < this.end && !/\s/.test(this.text[to]!)) to++;
    return this.text.slice(this.position, to);
  }

  /** The rest of the line without the spaces around it. */
  rest(): string {
    const text = this.text.slice(this.position, this.end).trim();
    this.position = this.end;
    return text;
  }

  /** Stops the reading here: something else was expected. */
  expected(expected: Expected, nearest?: string[]): never {
    const found = this.peekWord().slice(0, MOST_FOUND);
    throw new Refusal({ code: 'unexpected', found, expected, nearest }, this.position);
  }

  refuse(fault: Fault, column = this.position): never {
    throw new Refusal(fault, column);
  }

  /** Refuses a number outside its range, at the column where it stands. */
  inRange(value: number, what: Ranged, least: number, most: number, column: number): number {
    if (value >= least && value <= most) return value;
    const found = this.text.slice(column, this.position).slice(0, MOST_FOUND).trim();
    throw new Refusal({ code: 'out-of-range', what, found, least, most }, column);
  }

  /** Refuses anything that still stands before the end. */
  finish(nearest?: string[]): void {
    this.skipSpace();
    if (!this.atEnd) this.expected('line-end', nearest);
  }
}
