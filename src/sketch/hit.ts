import type { PlanePoint } from '@/core/units/plane';
import { stretchesOf, type Layer, type Mark } from './layer';
import { onPlaneOfMetres, type Place } from './paths';
import { onScreen, type Pixel, type View } from './view';

/** Something at a pixel, and how many pixels it is off. */
export interface Hit<Found> {
  readonly found: Found;
  readonly away: number;
}

/** Where a point of a layer is on the screen; null where it is nowhere. */
function seenAt(view: View, place: Place, point: PlanePoint): Pixel | null {
  const pixel = place(point);
  return pixel && onScreen(view, { east: pixel.x, north: -pixel.y });
}

/** The nearest of the lines that have a number, within reach of a finger; null for none. */
export function lineHit(
  layers: readonly Layer[],
  view: View,
  pixel: Pixel,
  reachPixels: number,
  place: Place = onPlaneOfMetres,
): Hit<number> | null {
  let best: Hit<number> | null = null;
  for (const line of layers.flatMap(({ lines }) => lines)) {
    if (line.number === undefined) continue;
    for (const { from, to } of stretchesOf(line)) {
      const [a, b] = [seenAt(view, place, from), seenAt(view, place, to)];
      const away = a && b ? distanceToSegment(pixel, a, b) : Infinity;
      if (away < (best?.away ?? reachPixels)) best = { found: line.number, away };
    }
  }
  return best;
}

/** The number of that line. */
export const lineNear = (...asked: Parameters<typeof lineHit>): number | null =>
  lineHit(...asked)?.found ?? null;

/** The nearest of some marks, within reach of a finger; null for none. */
export function markHit(
  marks: readonly Mark[],
  view: View,
  pixel: Pixel,
  reachPixels: number,
): Hit<Mark> | null {
  let best: Hit<Mark> | null = null;
  for (const mark of marks) {
    const { x, y } = onScreen(view, mark);
    const away = Math.hypot(x - pixel.x, y - pixel.y);
    if (away < (best?.away ?? reachPixels)) best = { found: mark, away };
  }
  return best;
}

/** Pixels from a point to a segment. */
function distanceToSegment(pixel: Pixel, a: Pixel, b: Pixel): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length = dx * dx + dy * dy;
  const along = length === 0 ? 0 : ((pixel.x - a.x) * dx + (pixel.y - a.y) * dy) / length;
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(a.x + t * dx - pixel.x, a.y + t * dy - pixel.y);
}
