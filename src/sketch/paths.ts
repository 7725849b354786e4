import { polar, sumOf, type PlanePoint } from '@/core/units/plane';
import type { Metres } from '@/core/units/units';
import { LINE_KINDS, NO_LAYER, type Layer, type LayerEllipse, type LayerLine } from './layer';
import type { Pixel, View } from './view';

/**
 * Where a point of a layer is before the view is applied: metres with y downward, or a pixel of a
 * picture, whose plane a transform does not give; null where that is nowhere.
 */
export type Place = (point: PlanePoint) => Pixel | null;
export const onPlaneOfMetres = ({ east, north }: PlanePoint): Pixel => ({ x: east, y: -north });

const isSame = (one: PlanePoint | null, other: PlanePoint) =>
  one?.east === other.east && one.north === other.north;

const pair = ({ x, y }: Pixel) => `${x.toFixed(2)} ${y.toFixed(2)}`;

/** Lines as one path, joined where a line goes on from the one before it. */
function joined(lines: readonly LayerLine[], place: Place): string {
  const parts: string[] = [];
  let last: PlanePoint | null = null;
  for (const { points } of lines) {
    for (const [index, point] of points.entries()) {
      if (index === 0 && isSame(last, point)) continue;
      if (index === 0) last = null;
      const pixel = place(point);
      if (pixel) parts.push(`${last ? 'L' : 'M'}${pair(pixel)}`);
      last = pixel && point;
    }
  }
  return parts.join('');
}

/** The lines of a layer as a path for each kind, the lowest first. */
export function linePaths(
  { lines }: Layer,
  place: Place = onPlaneOfMetres,
): { readonly kind: LayerLine['kind']; readonly d: string }[] {
  const drawn = new Set(lines.map(({ kind }) => kind));
  return LINE_KINDS.filter((kind) => drawn.has(kind)).map((kind) => ({
    kind,
    d: joined(
      lines.filter((line) => line.kind === kind),
      place,
    ),
  }));
}

/** Every station as a dot of no length: a round cap of constant width shows it at any zoom. */
export const dotsPath = ({ dots }: Layer, place: Place = onPlaneOfMetres): string =>
  dots
    .map(place)
    .map((pixel) => (pixel ? `M${pair(pixel)}h0` : ''))
    .join('');

const LEAST_PIXELS = 3;

/**
 * An ellipse is drawn no smaller than this: it would not be seen. In steps of two, so that a small
 * zoom draws nothing again. On a picture, whose pixels are no metres, it is as small as it is.
 */
export const leastEllipse = ({ k }: View, place: Place): Metres =>
  place === onPlaneOfMetres ? 2 ** Math.ceil(Math.log2(LEAST_PIXELS / k)) : 0;

/** Corners of an ellipse: so many that none is seen. */
const CORNERS = 72;

/** An ellipse as a path of corners, which follows the slant of a picture. */
export function ellipsePath(
  { ellipse, ...at }: LayerEllipse,
  place: Place = onPlaneOfMetres,
  leastMetres: Metres = 0,
): string {
  const major = Math.max(leastMetres, ellipse.semiMajorMetres);
  const minor = Math.max(leastMetres, ellipse.semiMinorMetres);
  const corners = Array.from({ length: CORNERS }, (_, index) => {
    const angle = (2 * Math.PI * index) / CORNERS;
    const long = polar(ellipse.azimuthDegrees, major * Math.cos(angle));
    const short = polar(ellipse.azimuthDegrees + 90, minor * Math.sin(angle));
    return place(sumOf(at, sumOf(long, short)));
  }).filter((corner) => corner !== null);
  return corners.length > 0 ? `M${corners.map(pair).join('L')}Z` : '';
}

/** The marks of a layer alone, in the plane that it is placed in; their lines are left out. */
export const placedMarks = ({ marks }: Layer, place: Place): Layer => ({
  ...NO_LAYER,
  marks: marks.flatMap((mark) => {
    const pixel = place(mark);
    return pixel ? [{ ...mark, east: pixel.x, north: -pixel.y }] : [];
  }),
});
