import type { Bounds, PlanePoint } from '@/core/units/plane';
import type { Metres } from '@/core/units/units';
import type { Scene, SceneLeg, SceneOuting } from './scene';
import { onPlane, type Size, type View } from './view';

/** A scene of fewer legs is drawn whole. */
const LEAST_LEGS = 1000;
/** Points of a line nearer to each other on the screen than this are one. */
const LINE_PIXELS = 0.7;
/** Dots nearer to each other than this are one. */
const DOT_PIXELS = 3;
/** Half a window, in cells: the cell of its middle, a sheet at half scale, and its diagonal. */
const HALF_CELLS = 2;

/** A part of the plane and a fineness in which a long log is drawn. */
interface Window {
  readonly bounds: Bounds;
  readonly pixelMetres: Metres;
}

/**
 * The window around a view. It stays while the view moves within it, and as long as the scale stays
 * below the next power of two, so that a pan or a small zoom draws nothing again.
 */
function windowKey(view: View, size: Size): string {
  const k = 2 ** Math.ceil(Math.log2(view.k));
  const cell = Math.max(size.width, size.height, 1) / k;
  const middle = onPlane(view, { x: size.width / 2, y: size.height / 2 });
  return [k, cell, Math.round(middle.east / cell), Math.round(middle.north / cell)].join(' ');
}

/** The window of a key. */
function windowOf(key: string): Window {
  const [k = 1, cell = 1, column = 0, row = 0] = key.split(' ').map(Number);
  const half = HALF_CELLS * cell;
  const [east, north] = [column * cell, row * cell];
  const bounds = { west: east - half, east: east + half, south: north - half, north: north + half };
  return { bounds, pixelMetres: 1 / k };
}

const isOutside = ({ west, east, south, north }: Bounds, a: PlanePoint, b: PlanePoint) =>
  (a.east < west && b.east < west) ||
  (a.east > east && b.east > east) ||
  (a.north < south && b.north < south) ||
  (a.north > north && b.north > north);

/** Legs that are seen, with those of less than a pixel drawn into the next. */
function thinnedLegs(legs: readonly SceneLeg[], { bounds, pixelMetres }: Window): SceneLeg[] {
  const least = LINE_PIXELS * pixelMetres;
  const kept: SceneLeg[] = [];
  let from: PlanePoint | null = null;
  let end: PlanePoint | null = null;
  for (const [index, leg] of legs.entries()) {
    const joins: boolean = end?.east === leg.from.east && end.north === leg.from.north;
    const begins: PlanePoint = from !== null && joins ? from : leg.from;
    const next = legs[index + 1];
    const isJoined =
      next?.onWay === leg.onWay &&
      next.from.east === leg.to.east &&
      next.from.north === leg.to.north;
    const isShort = Math.hypot(leg.to.east - begins.east, leg.to.north - begins.north) < least;
    end = leg.to;
    if (isShort && isJoined) {
      from = begins;
      continue;
    }
    from = null;
    if (!isOutside(bounds, begins, leg.to)) kept.push({ ...leg, from: begins });
  }
  return kept;
}

/** Stations that are seen, one for each few pixels. */
function thinnedStations(stations: readonly PlanePoint[], { bounds, pixelMetres }: Window) {
  const cell = DOT_PIXELS * pixelMetres;
  const taken = new Set<string>();
  return stations.filter((station) => {
    if (isOutside(bounds, station, station)) return false;
    const key = `${Math.round(station.east / cell)} ${Math.round(station.north / cell)}`;
    if (taken.has(key)) return false;
    taken.add(key);
    return true;
  });
}

const legsIn = ({ outings }: Scene) => outings.reduce((count, { legs }) => count + legs.length, 0);

/** The key of what is drawn: it changes when the view leaves its window; empty for all of it. */
export const drawnKey = (scene: Scene, view: View, size: Size): string =>
  legsIn(scene) < LEAST_LEGS ? '' : windowKey(view, size);

/** A scene as it is drawn: a long one thinned to the screen, and without what is far outside. */
export function drawnScene(scene: Scene, key: string): Scene {
  if (key === '') return scene;
  const window = windowOf(key);
  return {
    outings: scene.outings.map((outing): SceneOuting => ({
      ...outing,
      legs: thinnedLegs(outing.legs, window),
      stations: thinnedStations(outing.stations, window),
    })),
  };
}
