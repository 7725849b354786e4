import { earthTie, planeTie, type MapTie } from '@/core/place/map-tie';
import { planePointOf, positionAt } from '@/core/place/geodesic';
import type { PictureTie, TieFault } from '@/core/place/picture/tie';
import type { MapPicture } from '@/core/model/map-picture';
import type { Position } from '@/core/readings/position';
import type { North } from '@/core/units/bearing';
import type { Result } from '@/core/units/result';
import { onPlaneOfMetres, placedMarks, type Place } from '@/sketch/paths';
import type { Layer } from '@/sketch/layer';
import type { MapContext } from './layers/context';
import type { ShownLayer } from './layers';
import type { Tiles } from './use-tiles';

/** A picture of a map that is open. */
export interface OpenedPicture {
  readonly picture: MapPicture;
  readonly tie: Result<PictureTie, TieFault>;
  readonly tiles: Tiles;
}

/** What all layers lie on: a picture of a map, the earth about a position, or an outing's plane. */
export interface MapBase {
  readonly opened: OpenedPicture | null;
  /** Null for a picture that has no position yet. */
  readonly tie: MapTie | null;
  /** Where it is on the earth, in its middle or at its origin; null for nowhere. */
  readonly origin: Position | null;
  /** Where the points of a layer are on it; null where that layer is nowhere on it. */
  readonly placeOf: (origin: Position | null) => Place | null;
}

const isSame = (one: Position, other: Position) =>
  one.latitude === other.latitude && one.longitude === other.longitude;

/** One place function for each origin: what is drawn through it is then drawn once. */
function remembered(make: (origin: Position) => Place): (origin: Position | null) => Place | null {
  const places = new Map<string, Place>();
  return (origin) => {
    if (!origin) return null;
    const key = `${origin.latitude} ${origin.longitude}`;
    const place = places.get(key) ?? make(origin);
    places.set(key, place);
    return place;
  };
}

/** A picture as the base: points are projected on it one by one. */
export function pictureBase(opened: OpenedPicture): MapBase {
  const { picture, tie } = opened;
  if (!tie.ok) return { opened, tie: null, origin: null, placeOf: () => null };
  const middle = { x: picture.width / 2, y: picture.height / 2 };
  return {
    opened,
    tie: tie.value,
    origin: tie.value.positionOf(middle),
    placeOf: remembered((origin) => (point) => tie.value.pixelOf(positionAt(origin, point))),
  };
}

/** The earth about a position, true north up; layers about that position are drawn as they are. */
function earthBase(origin: Position): MapBase {
  return {
    opened: null,
    tie: earthTie(origin),
    origin,
    placeOf: remembered((other) =>
      isSame(other, origin)
        ? onPlaneOfMetres
        : (point) => onPlaneOfMetres(planePointOf(origin, positionAt(other, point))),
    ),
  };
}

/** Where the map is without a picture: on the earth, or in a plane with a north of its own. */
type Ground = { readonly origin: Position | null } | { readonly north: North };

/** About the outing's start, or else about the first place that is there. */
export function groundOf({ solution, plan, there }: MapContext): Ground {
  const frame = solution?.places.frame;
  if (frame) return frame.origin ? { origin: frame.origin } : { north: frame.north };
  return { origin: plan?.positions[0] ?? there.known[0]?.positions[0] ?? null };
}

/** The base without a picture. */
export function groundBase(ground: Ground): MapBase {
  if ('north' in ground) {
    return {
      opened: null,
      tie: planeTie(ground.north),
      origin: null,
      placeOf: (origin) => (origin === null ? onPlaneOfMetres : null),
    };
  }
  return ground.origin
    ? earthBase(ground.origin)
    : { opened: null, tie: null, origin: null, placeOf: () => null };
}

/** A layer where it is on the base. */
export interface PlacedLayer extends ShownLayer {
  readonly place: Place;
  /** Its marks alone, as points of the base. */
  readonly marks: Layer;
}

/** The layers that are somewhere on the base. */
export const placedLayers = (base: MapBase, shown: readonly ShownLayer[]): PlacedLayer[] =>
  shown.flatMap((each) => {
    const place = base.placeOf(each.origin);
    return place ? [{ ...each, place, marks: placedMarks(each.layer, place) }] : [];
  });
