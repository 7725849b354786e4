import type { Fault } from '../../faults/fault';
import type { MapPicture } from '../../model/map-picture';
import type { Position } from '../../readings/position';
import { normalised } from '../../units/angle';
import { azimuthOf, lengthOf, vectorBetween } from '../../units/plane';
import { fail, ok, type Result } from '../../units/result';
import { mapGrid, type MapGrid } from '../map-grid';
import type { MapTie } from '../map-tie';
import { fitPicture, type Fit, type FitFault } from './fit';
import { suspectPoint, type SuspectPoint } from './suspect';
import { inverted, metresPerPixel, toPixel, toPlane, weightAt } from './transform';
import type { Homography, Pixel } from './transform';

/** A picture that is tied to the earth: its bearings are from the grid of its map. */
export interface PictureTie extends MapTie {
  /** Null for a picture whose file has its place. */
  readonly fit: Fit | null;
  readonly suspect: SuspectPoint | null;
}

export type TieFault =
  | { readonly code: 'grid'; readonly fault: Fault }
  /** The file tells metres, and not of which grid. */
  | { readonly code: 'no-projection' }
  | FitFault;

/** Longitude and latitude as if they were a plane: what some files are in. */
const DEGREES: MapGrid = {
  definition: 'degrees',
  forward: ({ latitude, longitude }) => ({ east: longitude, north: latitude }),
  inverse: ({ east, north }) => ({ latitude: north, longitude: east }),
};

const guarded = <Found>(find: () => Found): Found | null => {
  try {
    return find();
  } catch {
    return null;
  }
};

const isOnEarth = ({ latitude, longitude }: Position) =>
  Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180;

/** A tie by a map from the picture to a grid. */
function tieBy(
  { width, height }: MapPicture,
  grid: MapGrid,
  map: Homography,
  fit: Fit | null,
  suspect: SuspectPoint | null,
): PictureTie {
  const back = fit?.toPicture ?? inverted(map);
  const middle = { x: width / 2, y: height / 2 };
  const side = Math.sign(weightAt(map, middle));
  const isSeen = (pixel: Pixel) => Math.sign(weightAt(map, pixel)) === side;
  const isPlane = grid !== DEGREES;
  const above = toPlane(map, { x: middle.x, y: middle.y - 1 });
  return {
    fit,
    suspect,
    north: 'grid',
    positionOf(pixel) {
      if (!isSeen(pixel)) return null;
      const position = guarded(() => grid.inverse(toPlane(map, pixel)));
      return position && isOnEarth(position) ? position : null;
    },
    pixelOf(position) {
      const point = guarded(() => grid.forward(position));
      const pixel = point && toPixel(back, point);
      return pixel && isSeen(pixel) ? pixel : null;
    },
    measured(from, to) {
      if (!isPlane || !isSeen(from) || !isSeen(to)) return null;
      const vector = vectorBetween(toPlane(map, from), toPlane(map, to));
      return { degrees: azimuthOf(vector), metres: lengthOf(vector) };
    },
    finenessMetres(pixel, tapPixels = 1) {
      const metres = metresPerPixel(map, pixel) * (isPlane ? 1 : METRES_PER_DEGREE);
      return Math.max(metres * Math.max(1, tapPixels), fit?.sigmaMetres ?? fit?.rmsMetres ?? 0);
    },
    upDegrees: normalised(azimuthOf(vectorBetween(toPlane(map, middle), above))),
  };
}

/** Along a meridian: near enough for how fine a pixel is. */
const METRES_PER_DEGREE = 111_200;

/** The middle of the first pixel is at half a pixel from the picture's corner. */
function worldMap([a = 0, d = 0, b = 0, e = 0, c = 0, f = 0]: readonly number[]): Homography {
  return [
    [a, b, c - (a + b) / 2],
    [d, e, f - (d + e) / 2],
    [0, 0, 1],
  ];
}

/** A projection by its definition needs no place to choose it by. */
const NOWHERE: Position = { latitude: 0, longitude: 0 };

/** What ties a picture to the earth: its file, or the points that were tapped. */
export function tieOf(picture: MapPicture): Result<PictureTie, TieFault> {
  const { world, controls, projection } = picture;
  if (world) {
    const map = worldMap(world.numbers);
    if (world.degrees) return ok(tieBy(picture, DEGREES, map, null, null));
    if (projection === undefined) return fail({ code: 'no-projection' });
    const grid = mapGrid(NOWHERE, projection);
    if (!grid.ok) return fail({ code: 'grid', fault: grid.fault });
    return ok(tieBy(picture, grid.value, map, null, null));
  }
  const [first] = controls;
  if (!first) return fail({ code: 'too-few', needed: 2 });
  const grid = mapGrid(first.position, projection);
  if (!grid.ok) return fail({ code: 'grid', fault: grid.fault });
  const points = guarded(() =>
    controls.map(({ x, y, position }) => ({
      pixel: { x, y },
      plane: grid.value.forward(position),
    })),
  );
  if (!points) return fail({ code: 'grid', fault: { code: 'no-grid-there' } });
  const fit = fitPicture(points);
  if (!fit.ok) return fit;
  return ok(tieBy(picture, grid.value, fit.value.toPlane, fit.value, suspectPoint(points)));
}
