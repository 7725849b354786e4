import type { Position } from '../readings/position';
import type { North } from '../units/bearing';
import { azimuthOf, lengthOf, vectorBetween, type PlanePoint } from '../units/plane';
import type { Degrees, Metres } from '../units/units';
import { planePointOf, positionAt } from './geodesic';
import type { Pixel } from './picture/transform';

/** A straight stretch between two places of a map. */
interface Measured {
  /** From the map's north. */
  readonly degrees: Degrees;
  readonly metres: Metres;
}

/** What the places of a map are on the earth. A place is a pixel, y downward. */
export interface MapTie {
  /** The north that its bearings are from. */
  readonly north: North;
  /** Null where the map is nowhere on the earth: beyond its vanishing line, or its grid. */
  positionOf(pixel: Pixel): Position | null;
  pixelOf(position: Position): Pixel | null;
  /** Bearing from the map's north, and metres of it, between two pixels. */
  measured(from: Pixel, to: Pixel): Measured | null;
  /** How finely a tap tells a place there: its width, at least a pixel, or what a fit is off by. */
  finenessMetres(pixel: Pixel, tapPixels?: number): Metres;
  /** Which way is up on the map, from its north; of a picture in its middle. */
  readonly upDegrees: Degrees;
}

/** A pixel of a plane is a metre of it. */
const planeOf = ({ x, y }: Pixel): PlanePoint => ({ east: x, north: -y });

const measuredInPlane = (from: Pixel, to: Pixel): Measured => {
  const vector = vectorBetween(planeOf(from), planeOf(to));
  return { degrees: azimuthOf(vector), metres: lengthOf(vector) };
};

/** A plane that is nowhere on the earth, in the metres of an outing from its own north. */
export const planeTie = (north: North): MapTie => ({
  north,
  positionOf: () => null,
  pixelOf: () => null,
  measured: measuredInPlane,
  finenessMetres: (_pixel, tapPixels = 1) => Math.max(1, tapPixels),
  upDegrees: 0,
});

/**
 * The plane about a position, true north up. Bearings and lengths are those of the earth between
 * two of its positions (see `positionAt`): right however far they are from the middle.
 */
export function earthTie(origin: Position): MapTie {
  const positionOf = (pixel: Pixel) => positionAt(origin, planeOf(pixel));
  return {
    ...planeTie('true'),
    positionOf,
    pixelOf(position) {
      const { east, north } = planePointOf(origin, position);
      return { x: east, y: -north };
    },
    measured(from, to) {
      const vector = planePointOf(positionOf(from), positionOf(to));
      return { degrees: azimuthOf(vector), metres: lengthOf(vector) };
    },
  };
}
