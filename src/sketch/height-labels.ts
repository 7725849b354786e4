import type { Metres } from '@/core/units/units';
import type { Layer } from './layer';
import { onPlaneOfMetres, type Place } from './paths';
import { onScreen, type Pixel, type Size, type View } from './view';

/** A height that is written on a line of the ground. */
interface HeightLabel {
  readonly at: Pixel;
  readonly metres: Metres;
}

/** A label has so much of its contour on each side, and no other label nearer than this. */
const LEAST_LENGTH_PIXELS = 140;
const LEAST_APART_PIXELS = 90;
const MOST_LABELS = 40;

/** Heights in the middle of contours that are long enough on the screen. */
export function heightLabels(
  layers: readonly Layer[],
  view: View,
  { width, height }: Size,
  place: Place = onPlaneOfMetres,
): HeightLabel[] {
  const found: HeightLabel[] = [];
  for (const { points, heightMetres } of layers.flatMap(({ lines }) => lines)) {
    if (heightMetres === undefined || found.length >= MOST_LABELS) continue;
    const middle = Math.floor(points.length / 2);
    const [at, ...ends] = [middle, 0, middle - 1, points.length - 1].map((index) => {
      const point = points[index];
      const pixel = point && place(point);
      return pixel ? onScreen(view, { east: pixel.x, north: -pixel.y }) : null;
    });
    if (!at) continue;
    const reach = Math.max(...ends.map((end) => (end ? away(at, end) : 0)));
    const isSeen = at.x > 20 && at.y > 12 && at.x < width - 20 && at.y < height - 12;
    if (!isSeen || reach < LEAST_LENGTH_PIXELS / 2) continue;
    if (found.some((other) => away(other.at, at) < LEAST_APART_PIXELS)) continue;
    found.push({ at, metres: heightMetres });
  }
  return found;
}

const away = (one: Pixel, other: Pixel) => Math.hypot(one.x - other.x, one.y - other.y);
