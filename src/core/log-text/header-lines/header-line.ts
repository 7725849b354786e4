import type { LineCursor } from '../../entries/line-cursor';
import type { OnceOnly } from '../../faults/fault';
import type { Header } from '../../model/header';
import type { Outing } from '../../model/outing';

/** One line of a log's header: it may be there once. */
export interface HeaderLine {
  readonly keyword: string;
  readonly once: OnceOnly;
  /** True when a `;` on the line belongs to its text and starts no note. */
  readonly takesWholeLine: boolean;
  /** Reads what follows the keyword. `note` is what stands after the `;`. */
  read(cursor: LineCursor, note: string | undefined): Partial<Header>;
  /** The line without its keyword, and its note; null where the outing has no such line. */
  write(outing: Outing): { readonly text: string; readonly note?: string } | null;
}
