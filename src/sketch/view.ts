import { vectorBetween, type Bounds, type PlanePoint } from '@/core/units/plane';
import { radians, type Degrees, type Metres } from '@/core/units/units';

/** A view of the plane: screen = k·metres turned + offset, y downward. */
export interface View {
  readonly k: number;
  readonly x: number;
  readonly y: number;
  /** The bearing from the plane's north that is up on the screen. */
  readonly turn: Degrees;
}
export interface Size {
  readonly width: number;
  readonly height: number;
}
/** A point of the screen, in pixels. */
export interface Pixel {
  readonly x: number;
  readonly y: number;
}

/** A point of the plane with another bearing up: turned anticlockwise by it. */
export function withUp({ east, north }: PlanePoint, turn: Degrees): PlanePoint {
  if (turn === 0) return { east, north };
  const [sin, cos] = [Math.sin(radians(turn)), Math.cos(radians(turn))];
  return { east: east * cos - north * sin, north: east * sin + north * cos };
}

export function onScreen(view: View, point: PlanePoint): Pixel {
  const { east, north } = withUp(point, view.turn);
  return { x: view.k * east + view.x, y: -view.k * north + view.y };
}

/** The point of the plane at a pixel. */
export function onPlane(view: View, { x, y }: Pixel): PlanePoint {
  return withUp({ east: (x - view.x) / view.k, north: (view.y - y) / view.k }, -view.turn);
}

/** The transform of an SVG group whose paths are in metres, y downward. */
export const viewTransform = ({ k, x, y, turn }: View): string =>
  `translate(${x} ${y}) scale(${k}) rotate(${-turn})`;

/** Margins in pixels for labels, arrows and the scale bar: smaller on a narrow or low sheet. */
const margins = ({ width, height }: Size) => ({
  left: Math.min(70, width * 0.13),
  right: Math.min(110, width * 0.2),
  top: Math.min(64, height * 0.14),
  bottom: Math.min(72, height * 0.24),
});
/** A sketch of one short leg is not enlarged beyond this: pixels a metre. */
const LARGEST_SCALE = 4;
const LEAST_ROOM_PIXELS = 80;

/** The size of bounds, in metres. */
export const sizeOf = ({ west, east, south, north }: Bounds): { width: Metres; height: Metres } => {
  const size = vectorBetween({ east: west, north: south }, { east, north });
  return { width: size.east, height: size.north };
};

/** The view that shows a rectangle, upright with a bearing up, with room for its furniture. */
export function fitBounds(bounds: Bounds, size: Size, turn: Degrees = 0): View {
  const { width, height } = sizeOf(bounds);
  const margin = margins(size);
  const roomX = Math.max(LEAST_ROOM_PIXELS, size.width - margin.left - margin.right);
  const roomY = Math.max(LEAST_ROOM_PIXELS, size.height - margin.top - margin.bottom);
  const k = Math.min(LARGEST_SCALE, roomX / Math.max(1, width), roomY / Math.max(1, height));
  return {
    k,
    x: margin.left + roomX / 2 - (k * (bounds.west + bounds.east)) / 2,
    y: margin.top + roomY / 2 + (k * (bounds.south + bounds.north)) / 2,
    turn,
  };
}

/** The view that shows a rectangle of the plane in the middle, north up, with a margin around. */
export function viewOfBounds(
  { west, east, south, north }: Bounds,
  { width, height }: Size,
  margin: number,
): View {
  const k = Math.min(
    (width - 2 * margin) / Math.max(1, east - west),
    (height - 2 * margin) / Math.max(1, north - south),
  );
  return {
    k,
    x: width / 2 - (k * (west + east)) / 2,
    y: height / 2 + (k * (south + north)) / 2,
    turn: 0,
  };
}

/**
 * The largest round length whose bar is at most this many pixels; round in a unit of so many
 * metres.
 */
export function scaleBarMetres(k: number, mostPixels: number, unitMetres: Metres = 1): Metres {
  const most = mostPixels / k / unitMetres;
  const power = 10 ** Math.floor(Math.log10(most));
  const step = [5, 2, 1].find((candidate) => candidate * power <= most) ?? 1;
  return step * power * unitMetres;
}
