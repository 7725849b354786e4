import type { LegHeights } from '../../core/navigation/route/leg-heights';
import type { Position } from '../../core/readings/position';
import type { FileFault } from '../../formats/format';

/** Files of heights, and the points of a route. Plain data, so that it can be posted. */
export interface HeightsJob {
  readonly files: readonly { readonly name: string; readonly content: Blob }[];
  /** The projection of the route's map, for a file that names none. */
  readonly map: string;
  readonly positions: readonly Position[];
}

export type HeightsAnswer =
  | {
      readonly kind: 'read';
      /** Of each leg; null where none of its heights is known. */
      readonly legs: readonly (LegHeights | null)[];
      /** True where a file's metres were taken for those of the map. */
      readonly isOfMap: boolean;
    }
  /** The first file that could not be read. */
  | { readonly kind: 'unread'; readonly name: string; readonly faults: readonly FileFault[] };

/** What the worker that reads heights offers. */
export interface HeightsWorker {
  /** Tells the share of the legs that is done. */
  read(job: HeightsJob, onProgress: (share: number) => void): Promise<HeightsAnswer>;
}
