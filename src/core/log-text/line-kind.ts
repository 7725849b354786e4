import type { Entry, Header } from '../logbook';
import type { North } from '../north';
import type { Field, OnceOnly } from '../faults';
import type { Cursor } from './cursor';

/** What a line of the log turned out to be. */
export interface ReadLine {
  entry?: Entry;
  header?: Partial<Header>;
  /** Which line of the header it is: these stand once. */
  once?: OnceOnly;
  /** Columns, from 0, of the parts that a later check may object to. */
  columns: Partial<Record<Field, number>>;
}

/** One kind of line: a keyword and how what follows it is read. */
export interface LineKind {
  readonly keyword: string;
  /** True when a `;` on the line belongs to the text and starts no note. */
  readonly takesWholeLine?: boolean;
  /** Reads what follows the keyword. `note` is what stood after the `;`, and `read` the north in force. */
  parse(cursor: Cursor, note: string | undefined, read: North): ReadLine;
}

/** The note as a field, or nothing: an absent note leaves no key behind. */
export const withNote = (note: string | undefined): { note?: string } =>
  note === undefined ? {} : { note };
