import type { Ellipse } from '@/core/errors/ellipse';
import { boundsOf, ORIGIN, polar, sumOf, type PlanePoint } from '@/core/units/plane';
import type { Metres } from '@/core/units/units';
import { distanceToSegment } from './paths';
import type { Mark, Named } from './scene';
import { fitBounds, onScreen, type Pixel, type Size, type View } from './view';

/** A line of a layer; its kind is its look on the screen. */
export interface LayerLine {
  readonly kind: 'leg' | 'aim' | 'walked' | 'sight' | 'path';
  readonly points: readonly PlanePoint[];
  /** What a tap on it chooses, such as the number of a leg. */
  readonly number?: number;
}

/** A place with how sure it is. */
interface LayerEllipse extends PlanePoint {
  readonly ellipse: Ellipse;
}

/** A length around a place. */
export interface LayerCircle extends PlanePoint {
  readonly radius: Metres;
}

/** What one subject has on the map, in metres of one plane: its lines, marks and uncertainties. */
export interface Layer {
  readonly ellipses: readonly LayerEllipse[];
  readonly circles: readonly LayerCircle[];
  readonly lines: readonly LayerLine[];
  readonly marks: readonly Mark[];
}

export const NO_LAYER: Layer = { ellipses: [], circles: [], lines: [], marks: [] };

/** The marks and lines of a layer, for the placing of its names. */
export const namedInLayer = ({ marks, lines }: Layer): Named => ({
  marks,
  stretches: lines.flatMap(({ points }) =>
    points.slice(1).map((to, index) => ({ from: points[index] ?? to, to })),
  ),
});

/** All points that a view of a layer has to show. */
export const layerPoints = ({ marks, lines }: Layer): PlanePoint[] => [
  ...marks,
  ...lines.flatMap(({ points }) => points),
];

/** The view that shows some points, north up. */
export const viewOfPoints = (points: readonly PlanePoint[], size: Size): View =>
  fitBounds(boundsOf(points.length > 0 ? points : [ORIGIN]), size);

/** A square about a place that reaches so far. */
export const around = (at: PlanePoint, metres: Metres): PlanePoint[] =>
  [45, 135, 225, 315].map((bearing) => sumOf(at, polar(bearing, metres * Math.SQRT2)));

/** The number of the line nearest to a pixel, within reach of a finger; null for none. */
export function lineNear(
  { lines }: Layer,
  view: View,
  pixel: Pixel,
  reachPixels: number,
): number | null {
  let [best, least]: [number | null, number] = [null, reachPixels];
  for (const { number, points } of lines) {
    if (number === undefined) continue;
    const pixels = points.map((point) => onScreen(view, point));
    for (const [index, to] of pixels.entries()) {
      const away = distanceToSegment(pixel, pixels[index - 1] ?? to, to);
      if (away < least) [best, least] = [number, away];
    }
  }
  return best;
}
