import { ChunkBuffers, walkChunk, type Walk } from './random-walks';

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

/** When home counts as found: within range of where the walk ends, or of the line it follows. */
export interface HomeDetection {
  readonly rangeMetres: number;
  readonly line?: LineHome;
}

/** The results of many walks. */
export interface Arrivals {
  readonly trials: number;
  /** Trials that came within range of home, along the line when there is one. */
  readonly detected: number;
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
  { rangeMetres: range, line }: HomeDetection,
  drawn: number,
): Arrivals {
  const { east, north } = buffers;
  let [detected, x, y, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  const range2 = range * range;
  for (let i = 0; i < trials; i++) {
    const e = east[i]!;
    const n = north[i]!;
    if (line ? detectedAlongLine(walk, buffers, i, range, line) : e * e + n * n <= range2)
      detected++;
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
