import type { ChangeRecord } from '../change';
import type { OutingState } from '../replay';

/**
 * What a change log comes to at a change, so that a long one need not be replayed to be shown. It
 * is a copy: it counts only beside the log that it was made of, and can be thrown away.
 */
export interface Snapshot {
  readonly outing: string;
  /** The change that it holds the state after, and that change itself. */
  readonly number: number;
  readonly last: ChangeRecord;
  readonly state: Omit<OutingState, 'edits' | 'number'>;
}
