import type { Outing } from '../../core/model/outing';
import type { ChangeRecord } from '../change';
import type { OutingState } from '../replay';

/**
 * The outing as of one change, cached so that a long log opens without a full replay. It
 * is a copy: it counts only beside the log that it was made of, and can be thrown away.
 */
export interface Snapshot {
  readonly outing: string;
  /** The change that it holds the state after, and that change itself. */
  readonly number: number;
  readonly last: ChangeRecord;
  readonly state: Omit<OutingState, 'edits' | 'number' | 'document'> & { readonly outing: Outing };
}
