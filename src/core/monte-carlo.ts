import { acrossVariance } from './error-model';
import type { Solution } from './solve';
import { radians } from './units';
import { NormalStream } from './ziggurat';

/**
 * Walks an outing and its way home over and over with random errors, and sees where each walk ends.
 *
 * | symbol | meaning                                                     | unit    | equation                                |
 * | b, d   | bearing and length of a leg                                 | rad, m  |                                         |
 * | p, s   | σ of its length over it, and of its bearing                 | 1, rad  |                                         |
 * | n1, n2 | standard normals, fresh for each leg of each walk           | 1       |                                         |
 * | e      | the leg as walked                                           | m       | d(1 + p·n1)·(sin, cos)(b + s·n2)        |
 *
 * Sine and cosine of b are taken once a leg and turned by s·n2 with a polynomial whose error is below 2e-8 up to 0.5 rad;
 * for σ above 8° the full functions are used. Trials go in chunks with a stream of normals each, so that the result
 * is the same to the bit however the chunks are shared among workers.
 */
export interface Walk {
  /** Columns, a row a leg: radians, metres, and the two sigmas. The last row is the walk home. */
  readonly bearing: Float64Array;
  readonly length: Float64Array;
  readonly alongSigma: Float64Array;
  readonly acrossSigma: Float64Array;
}

/** Trials that share a stream of normals: so many that their columns stay in the processor's nearest cache. */
export const CHUNK_TRIALS = 1024;
/** Beyond this sigma the full functions are taken. */
const LARGEST_SIGMA = radians(8);

/** The legs from the start to where one stands, and the walk from there by dx, dy (metres in the working north). */
export function walkOf(solution: Solution, dx: number, dy: number): Walk {
  const { traverse, end } = solution;
  const legs: number[] = [];
  for (let point = solution.current; point > 0; point = traverse.from[point]!) legs.unshift(point);
  const column = () => new Float64Array(legs.length + 1);
  const walk = { bearing: column(), length: column(), alongSigma: column(), acrossSigma: column() };
  legs.forEach((leg, row) => {
    walk.bearing[row] = radians(traverse.bearingDegrees[leg]!);
    walk.length[row] = traverse.lengthMetres[leg]!;
    walk.alongSigma[row] = Math.sqrt(traverse.alongVariance[leg]!);
    walk.acrossSigma[row] = Math.sqrt(traverse.acrossVariance[leg]!);
  });
  walk.bearing[legs.length] = Math.atan2(dx, dy);
  walk.length[legs.length] = Math.hypot(dx, dy);
  walk.alongSigma[legs.length] = Math.sqrt(end.paceVariance);
  walk.acrossSigma[legs.length] = Math.sqrt(acrossVariance(end.aim));
  return walk;
}

/** Room for a chunk, to be used over and over: taking it anew each time would cost as much as the walk. */
export class ChunkRoom {
  readonly east = new Float64Array(CHUNK_TRIALS);
  readonly north = new Float64Array(CHUNK_TRIALS);
  readonly along = new Float64Array(CHUNK_TRIALS);
  readonly across = new Float64Array(CHUNK_TRIALS);
}

/** Walks the trials of one chunk; where each ends, in metres against home, stands in the room's east and north. */
export function walkChunk(walk: Walk, seed: number, chunk: number, room: ChunkRoom): void {
  const { east, north, along, across } = room;
  const stream = new NormalStream(seed, chunk);
  east.fill(0);
  north.fill(0);
  for (let row = 0; row < walk.length.length; row++) {
    stream.fill(along);
    stream.fill(across);
    const s = walk.acrossSigma[row]!;
    if (s > LARGEST_SIGMA) {
      walkFully(walk, row, room);
      continue;
    }
    const d = walk.length[row]!;
    const p = walk.alongSigma[row]! * d;
    const sine = Math.sin(walk.bearing[row]!);
    const cosine = Math.cos(walk.bearing[row]!);
    for (let i = 0; i < CHUNK_TRIALS; i++) {
      // Taylor to t⁷ and t⁸. At 8° the rarest turn of a million walks, 5.5 sigma, is 0.77 rad: 3e-7 off there.
      const t = s * across[i]!;
      const z = t * t;
      const st = t * (1 - z * (1 / 6 - z * (1 / 120 - z * (1 / 5040))));
      const ct = 1 - z * (0.5 - z * (1 / 24 - z * (1 / 720 - z * (1 / 40320))));
      const length = d + p * along[i]!;
      east[i]! += length * (sine * ct + cosine * st);
      north[i]! += length * (cosine * ct - sine * st);
    }
  }
}

/** One leg with the full functions, for a sigma that the polynomial does not serve. */
function walkFully(walk: Walk, row: number, room: ChunkRoom): void {
  const { east, north, along, across } = room;
  const d = walk.length[row]!;
  for (let i = 0; i < CHUNK_TRIALS; i++) {
    const length = d * (1 + walk.alongSigma[row]! * along[i]!);
    const angle = walk.bearing[row]! + walk.acrossSigma[row]! * across[i]!;
    east[i]! += length * Math.sin(angle);
    north[i]! += length * Math.cos(angle);
  }
}

/** What many walks come to. */
export interface Arrivals {
  readonly trials: number;
  /** Trials that ended within sight of home. */
  readonly inSight: number;
  readonly sumEast: number;
  readonly sumNorth: number;
  readonly sumEastEast: number;
  readonly sumEastNorth: number;
  readonly sumNorthNorth: number;
  /** The first arrivals, to be drawn: east, north, east, north… */
  readonly drawn: Float64Array;
}

/** Adds up a chunk: all of it, or as many trials as are still wanted. `drawn` arrivals are kept of the first chunks. */
export function chunkArrivals(
  room: ChunkRoom,
  trials: number,
  sight: number,
  drawn: number,
): Arrivals {
  const { east, north } = room;
  let [inSight, x, y, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  const sight2 = sight * sight;
  for (let i = 0; i < trials; i++) {
    const e = east[i]!;
    const n = north[i]!;
    if (e * e + n * n <= sight2) inSight++;
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
    inSight,
    sumEast: x,
    sumNorth: y,
    sumEastEast: xx,
    sumEastNorth: xy,
    sumNorthNorth: yy,
    drawn: kept,
  };
}

/** The sums of chunks, added in the order of their numbers. */
export function addedArrivals(parts: readonly Arrivals[]): Arrivals {
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
    inSight: sum((part) => part.inSight),
    sumEast: sum((part) => part.sumEast),
    sumNorth: sum((part) => part.sumNorth),
    sumEastEast: sum((part) => part.sumEastEast),
    sumEastNorth: sum((part) => part.sumEastNorth),
    sumNorthNorth: sum((part) => part.sumNorthNorth),
    drawn,
  };
}
