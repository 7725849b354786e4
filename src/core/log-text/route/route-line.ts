import type { LineCursor } from '../../entries/line-cursor';
import type { PlannedLeg, Route, RoutePoint } from '../../model/route';
import type { Cursor } from '../../readings/cursor';

/** A route as far as its text has been read. */
export interface RouteDraft {
  readonly route: Route;
  /** The point of the newest `point` line; stops reading where there is none yet. */
  readonly point: (cursor: Cursor) => RoutePoint;
  /** What is planned for the leg to that point. */
  readonly leg: (cursor: Cursor) => PlannedLeg;
}

/** One kind of line of a route's text. A new one is a file or a row, and a line in `index.ts`. */
export interface RouteLine {
  readonly keyword: string;
  /** True for a line that may be there once: in the head, or for each point. */
  readonly once: 'route' | 'point' | null;
  /** True when a `;` on the line belongs to its text and starts no note. */
  readonly takesWholeLine: boolean;
  /** Reads what follows the keyword, and sets it. `note` is what stands after the `;`. */
  read(cursor: LineCursor, draft: RouteDraft, note: string | undefined): void;
}
