import type { MapTie } from '@/core/place/map-tie';
import type { Position } from '@/core/readings/position';
import { planePointOf } from '@/core/place/geodesic';
import { boundsOf, lengthOf, vectorBetween, type PlanePoint } from '@/core/units/plane';
import type { GroundSeen } from '@/views/shared/sketch/ground';
import { onPlane, onScreen, viewOfBounds, type Pixel, type Size, type View } from '@/sketch/view';

/**
 * A picture as a plane for the views of the sketch: pixels to the right are its east, pixels up its
 * north.
 */
export const planeOf = ({ x, y }: Pixel): PlanePoint => ({ east: x, north: -y });
const pixelOf = ({ east, north }: PlanePoint): Pixel => ({ x: east, y: -north });

/** Where a pixel of the picture is on the screen. */
export const pixelOnScreen = (view: View, pixel: Pixel): Pixel => onScreen(view, planeOf(pixel));

/** The pixel of the picture at a place of the screen. */
export const pixelAt = (view: View, at: Pixel): Pixel => pixelOf(onPlane(view, at));

/** The part of the earth that a view of a picture shows; null beyond the vanishing line. */
export function groundOfPicture(
  tie: MapTie | null,
  origin: Position | null,
  view: View,
  size: Size,
): GroundSeen | null {
  if (!tie || !origin) return null;
  const [x, y] = [size.width / 2, size.height / 2];
  const at = (pixel: Pixel) => {
    const position = tie.positionOf(pixelAt(view, pixel));
    return position && planePointOf(origin, position);
  };
  const around = [0, x, 2 * x].flatMap((i) => [0, y, 2 * y].map((j) => at({ x: i, y: j })));
  const [left, right] = [at({ x: x - 50, y }), at({ x: x + 50, y })];
  const seen = around.filter((point) => point !== null);
  if (seen.length < around.length || !left || !right) return null;
  const metresPerPixel = lengthOf(vectorBetween(left, right)) / 100;
  return { origin, visible: boundsOf(seen), metresPerPixel };
}

const MARGIN = 8;

/** The view that shows the whole picture, as it was taken. */
export const wholePicture =
  ({ width, height }: Size) =>
  (size: Size): View =>
    viewOfBounds(
      boundsOf([planeOf({ x: 0, y: 0 }), planeOf({ x: width, y: height })]),
      { width: Math.max(1, size.width), height: Math.max(1, size.height) },
      MARGIN,
    );
