import type { PlanePoint } from '@/core/units/plane';
import type { Metres } from '@/core/units/units';
import { sceneBounds, sizeOf, type Scene } from './scene';

/** A view of the plane: screen = k·metres + offset, y downward. */
export interface View {
  readonly k: number;
  readonly x: number;
  readonly y: number;
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

export const onScreen = (view: View, { east, north }: PlanePoint): Pixel => ({
  x: view.k * east + view.x,
  y: -view.k * north + view.y,
});

/** Margins in pixels for labels, arrows and the scale bar: smaller on a narrow sheet. */
const margins = ({ width }: Size) => ({
  left: Math.min(70, width * 0.13),
  right: Math.min(110, width * 0.2),
  top: 64,
  bottom: 84,
});
/** A sketch of one short leg is not enlarged beyond this: pixels a metre. */
const LARGEST_SCALE = 4;
const LEAST_ROOM_PIXELS = 80;

/** The view that shows a whole scene, and another point if there is one. */
export function fitView(scene: Scene, size: Size, point: PlanePoint | null): View {
  const bounds = sceneBounds(scene, point);
  const { width, height } = sizeOf(bounds);
  const margin = margins(size);
  const roomX = Math.max(LEAST_ROOM_PIXELS, size.width - margin.left - margin.right);
  const roomY = Math.max(LEAST_ROOM_PIXELS, size.height - margin.top - margin.bottom);
  const k = Math.min(LARGEST_SCALE, roomX / Math.max(1, width), roomY / Math.max(1, height));
  return {
    k,
    x: margin.left + roomX / 2 - (k * (bounds.west + bounds.east)) / 2,
    y: margin.top + roomY / 2 + (k * (bounds.south + bounds.north)) / 2,
  };
}

/** The largest round length whose bar is at most this many pixels. */
export function scaleBarMetres(k: number, mostPixels: number): Metres {
  const most = mostPixels / k;
  const power = 10 ** Math.floor(Math.log10(most));
  const step = [5, 2, 1].find((candidate) => candidate * power <= most) ?? 1;
  return step * power;
}
