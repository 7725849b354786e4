import type { PlannedLeg, Route } from '../../model/route';
import { CLIFF_DEGREES, STEEP_DEGREES, type LegHeights } from './leg-heights';

/** How steep a leg is at its steepest, where that is dangerous. */
export type Steepness = 'steep' | 'cliff' | null;

export function steepnessOf({ steepest }: LegHeights): Steepness {
  if (!steepest || steepest.degrees < STEEP_DEGREES) return null;
  return steepest.degrees < CLIFF_DEGREES ? 'steep' : 'cliff';
}

/** A danger for the card: "steep ground, 34°, after 240 m"; null where it isn't steep. */
function steepNote(heights: LegHeights): string | null {
  const { steepest } = heights;
  const kind = steepnessOf(heights);
  if (!kind || !steepest) return null;
  const angle = Math.round(steepest.degrees);
  const along = 10 * Math.round(steepest.alongMetres / 10);
  return `${kind === 'cliff' ? 'cliff' : 'steep ground'}, ${angle}°, after ${along} m`;
}

const STEEP_NOTE = /^(?:cliff|steep ground), \d+°, after \d+ m$/;

function legWith(leg: PlannedLeg, heights: LegHeights): PlannedLeg {
  const note = steepNote(heights);
  // What an earlier file said of the same ground gives way; what a person wrote stays.
  const written = (leg.dangers ?? []).filter((danger) => !STEEP_NOTE.test(danger));
  const { dangers: _dangers, ...rest } = leg;
  const dangers = note ? [...written, note] : written;
  return {
    ...rest,
    upMetres: Math.round(heights.upMetres),
    downMetres: Math.round(heights.downMetres),
    ...(dangers.length > 0 && { dangers }),
  };
}

/** True where all of a leg's heights are known: a climb of a part would be too small. */
export const isWhole = (heights: LegHeights | null): heights is LegHeights =>
  heights !== null && heights.unknownShare === 0;

/**
 * The route with climbs and steep ground by the heights of its legs, the first of the leg to the
 * second point. A leg whose heights aren't all known stays as it is.
 */
export const withHeights = (route: Route, legs: readonly (LegHeights | null)[]): Route => ({
  ...route,
  points: route.points.map((point, index) => {
    const heights = index === 0 ? null : (legs[index - 1] ?? null);
    return isWhole(heights) ? { ...point, leg: legWith(point.leg ?? {}, heights) } : point;
  }),
});
