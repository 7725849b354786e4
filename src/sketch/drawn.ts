import type { Bounds, PlanePoint } from '@/core/units/plane';
import type { Metres } from '@/core/units/units';
import type { Layer, LayerLine } from './layer';
import { onPlane, type Size, type View } from './view';

/** A layer of fewer lines is drawn whole. */
const LEAST_LINES = 1000;
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

/** Lines that are seen, with those of less than a pixel drawn into the next of their kind. */
function thinnedLines(lines: readonly LayerLine[], { bounds, pixelMetres }: Window): LayerLine[] {
  const least = LINE_PIXELS * pixelMetres;
  const kept: LayerLine[] = [];
  let from: PlanePoint | null = null;
  let end: PlanePoint | null = null;
  for (const [index, line] of lines.entries()) {
    const [first, last] = [line.points[0], line.points.at(-1)];
    if (!first || !last) continue;
    const joins: boolean = isSame(end, first);
    const begins: PlanePoint = from !== null && joins ? from : first;
    const next = lines[index + 1];
    const isJoined = next?.kind === line.kind && isSame(last, next.points[0]);
    const isShort = Math.hypot(last.east - begins.east, last.north - begins.north) < least;
    end = last;
    if (isShort && isJoined && line.points.length === 2) {
      from = begins;
      continue;
    }
    from = null;
    if (line.points.length > 2) kept.push(line);
    else if (!isOutside(bounds, begins, last)) kept.push({ ...line, points: [begins, last] });
  }
  return kept;
}

const isSame = (one: PlanePoint | null, other: PlanePoint | undefined) =>
  one !== null && one.east === other?.east && one.north === other.north;

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

/** The key of what is drawn: it changes when the view leaves its window; empty for all of it. */
export const drawnKey = ({ lines }: Layer, view: View, size: Size): string =>
  lines.length < LEAST_LINES ? '' : windowKey(view, size);

/** A layer as it is drawn: a long one thinned to the screen, and without what is far outside. */
export function drawnLayer(layer: Layer, key: string): Layer {
  if (key === '') return layer;
  const window = windowOf(key);
  return {
    ...layer,
    lines: thinnedLines(layer.lines, window),
    dots: thinnedStations(layer.dots, window),
  };
}
