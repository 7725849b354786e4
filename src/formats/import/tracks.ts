import { isVisible } from '../../core/units/visible';
import type { Position } from '../../core/readings/position';

/** A line of positions, from a receiver or a map program. */
export interface Track {
  readonly name: string;
  readonly positions: readonly Position[];
}

/** A named place beside or on a line. */
export interface Waypoint {
  readonly name: string;
  readonly note?: string;
  readonly position: Position;
}

/** What a map file holds that an outing can be made of. */
export interface Tracks {
  readonly lines: readonly Track[];
  readonly points: readonly Waypoint[];
  /** The day of the first time in the file, as YYYY-MM-DD. */
  readonly day: string | null;
}

/** More positions than a day of recording gives: a larger file is refused. */
export const MOST_POSITIONS = 100_000;

/** A name as a log can hold it: one line, no semicolon, not too long. Empty if nothing is left. */
export function plainName(text: string, most = 200): string {
  const plain = text
    .replace(/[\s;]+/g, ' ')
    .trim()
    .slice(0, most)
    .trim();
  return isVisible(plain) ? plain : '';
}

export const isPosition = ({ latitude, longitude }: Position): boolean =>
  Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180;
