import { ChunkBuffers, walkChunk, type Walk } from './random-walks';
import type { NormalStream } from './ziggurat';

/** A line through home that the walk aims off onto. */
export interface LineHome {
  /** The direction along it from home to the aim, in radians from the frame's north. */
  readonly azimuth: number;
  /** How far to follow it at most before giving up. */
  readonly mostMetres: number;
}

/**
 * Whether a walk comes within sight of home by a line: it goes on, or stops short, on the heading
 * as walked until it meets the line, turns to the side where home must be, and follows the line.
 */
function detectedAlongLine(
  walk: Walk,
  buffers: ChunkBuffers,
  trial: number,
  range: number,
  line: LineHome,
): boolean {
  const last = walk.length.length - 1;
  const heading =
    walk.bearing[last]! +
    walk.acrossSigma[last]! * buffers.normals[2 * trial]! +
    buffers.mixed[walk.turn[last]!]![trial]!;
  const [ux, uy] = [Math.sin(line.azimuth), Math.cos(line.azimuth)];
  const [hx, hy] = [Math.sin(heading), Math.cos(heading)];
  const e = buffers.east[trial]!;
  const n = buffers.north[trial]!;
  const meeting = hx * uy - hy * ux;
  if (meeting === 0) return false;
  const onward = -(e * uy - n * ux) / meeting;
  const along = (e + onward * hx) * ux + (n + onward * hy) * uy;
  return along >= -range && along <= line.mostMetres + range;
}

/** A search that follows where home was not in sight: columns, a row a leg of the pattern. */
export interface SearchForHome {
  /** Radians from the frame's north, and metres. */
  readonly bearing: Float64Array;
  readonly length: Float64Array;
  /** One sigma of a leg's length over it, and of its bearing in radians. */
  readonly alongSigma: number;
  readonly acrossSigma: number;
}

/** When home counts as found: within range of where the walk ends, or of the line it follows. */
export interface HomeDetection {
  readonly rangeMetres: number;
  readonly line?: LineHome;
  /** The search that is walked from where the walk ends; not after a line. */
  readonly search?: SearchForHome;
}

/** Whether a search, walked with errors of its own and those of the walk, comes within range. */
function foundBySearch(
  walk: Walk,
  buffers: ChunkBuffers,
  trial: number,
  range: number,
  search: SearchForHome,
  normals: Float64Array,
): boolean {
  const last = walk.length.length - 1;
  const turn = buffers.mixed[walk.turn[last]!]![trial]!;
  const scale = buffers.mixed[walk.scale[last]!]![trial]!;
  let east = buffers.east[trial]!;
  let north = buffers.north[trial]!;
  for (let k = 0; k < search.length.length; k++) {
    const b = search.bearing[k]! + turn + search.acrossSigma * normals[2 * k]!;
    const d = search.length[k]! * (1 + scale + search.alongSigma * normals[2 * k + 1]!);
    const dx = d * Math.sin(b);
    const dy = d * Math.cos(b);
    const square = dx * dx + dy * dy;
    const t = square === 0 ? 0 : Math.max(0, Math.min(1, -(east * dx + north * dy) / square));
    if ((east + t * dx) ** 2 + (north + t * dy) ** 2 <= range * range) return true;
    east += dx;
    north += dy;
  }
  return false;
}

/** The results of many walks. */
export interface Arrivals {
  readonly trials: number;
  /** Trials that came within range of home, along the line when there is one. */
  readonly detected: number;
  /** Trials that found home by the search after that. */
  readonly searched: number;
  readonly sumEast: number;
  readonly sumNorth: number;
  readonly sumEastEast: number;
  readonly sumEastNorth: number;
  readonly sumNorthNorth: number;
  /** The first arrivals, to be drawn: east, north, east, north… */
  readonly drawn: Float64Array;
}

/** Adds up a chunk: all of it, or as many trials as are still wanted; keeps the first `drawn`. */
export function chunkArrivals(
  walk: Walk,
  buffers: ChunkBuffers,
  trials: number,
  { rangeMetres: range, line, search }: HomeDetection,
  drawn: number,
  searchers?: NormalStream,
): Arrivals {
  const { east, north } = buffers;
  let [detected, searched, x, y, xx, xy, yy] = [0, 0, 0, 0, 0, 0, 0];
  const range2 = range * range;
  // Normals come in fours.
  const normals = new Float64Array(4 * Math.ceil((search?.length.length ?? 0) / 2));
  for (let i = 0; i < trials; i++) {
    const e = east[i]!;
    const n = north[i]!;
    if (line ? detectedAlongLine(walk, buffers, i, range, line) : e * e + n * n <= range2) {
      detected++;
    } else if (search && searchers && !line) {
      searchers.fill(normals);
      if (foundBySearch(walk, buffers, i, range, search, normals)) searched++;
    }
    x += e;
    y += n;
    xx += e * e;
    xy += e * n;
    yy += n * n;
  }
  const kept = new Float64Array(2 * Math.min(drawn, trials));
  for (let i = 0; i < kept.length / 2; i++) {
    kept[2 * i] = east[i]!;
    kept[2 * i + 1] = north[i]!;
  }
  return {
    trials,
    detected,
    searched,
    sumEast: x,
    sumNorth: y,
    sumEastEast: xx,
    sumEastNorth: xy,
    sumNorthNorth: yy,
    drawn: kept,
  };
}

/** The sums of chunks, added in the order of their numbers. */
export function sumArrivals(parts: readonly Arrivals[]): Arrivals {
  const sum = (of: (part: Arrivals) => number) =>
    parts.reduce((total, part) => total + of(part), 0);
  const drawn = new Float64Array(sum((part) => part.drawn.length));
  let at = 0;
  for (const part of parts) {
    drawn.set(part.drawn, at);
    at += part.drawn.length;
  }
  return {
    trials: sum((part) => part.trials),
    detected: sum((part) => part.detected),
    searched: sum((part) => part.searched),
    sumEast: sum((part) => part.sumEast),
    sumNorth: sum((part) => part.sumNorth),
    sumEastEast: sum((part) => part.sumEastEast),
    sumEastNorth: sum((part) => part.sumEastNorth),
    sumNorthNorth: sum((part) => part.sumNorthNorth),
    drawn,
  };
}

/** Where a thousand walks end, in metres against home: east, north, east, north… One chunk. */
export function thousandArrivals(walk: Walk): Float64Array {
  const buffers = new ChunkBuffers();
  walkChunk(walk, 1, 0, buffers);
  return chunkArrivals(walk, buffers, 1000, { rangeMetres: 0 }, 1000).drawn;
}
