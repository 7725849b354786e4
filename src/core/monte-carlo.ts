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
 * Sine and cosine of b are taken once a leg and turned by s·n2 with a polynomial whose error is below 1.1e-6 up to 0.8 rad;
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
/** sin t ≈ t + a3·t³ + a5·t⁵ and cos t ≈ 1 + b2·t² + b4·t⁴ + b6·t⁶: least greatest error over ±0.8, fitted for this project. */
const SINE_3 = -0.1666254282767113;
const SINE_5 = 0.008146295317684245;
const COSINE_2 = -0.49999882549124597;
const COSINE_4 = 0.04165550681981174;
const COSINE_6 = -0.0013587007283193584;

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
  readonly normals = new Float64Array(2 * CHUNK_TRIALS);
}

/** Walks the trials of one chunk; where each ends, in metres against home, stands in the room's east and north. */
export function walkChunk(walk: Walk, seed: number, chunk: number, room: ChunkRoom): void {
  const { east, north, normals } = room;
  const stream = new NormalStream(seed, chunk);
  east.fill(0);
  north.fill(0);
  for (let row = 0; row < walk.length.length; row++) {
    stream.fill(normals);
    const s = walk.acrossSigma[row]!;
    if (s > LARGEST_SIGMA) {
      walkFully(walk, row, room);
      continue;
    }
    turnAndAdd(
      room,
      s,
      walk.length[row]!,
      walk.alongSigma[row]! * walk.length[row]!,
      Math.sin(walk.bearing[row]!),
      Math.cos(walk.bearing[row]!),
    );
  }
}

/**
 * One leg: its sine and cosine are turned by s times a normal. The powers of s are taken into the coefficients once.
 * The polynomials are the best of their degree up to 0.8 rad, where they are 1.1e-6 off: at 8° the rarest turn of a million
 * walks, 5.5 sigma, is 0.77 rad.
 */
function turnAndAdd(
  room: ChunkRoom,
  s: number,
  d: number,
  p: number,
  sine: number,
  cosine: number,
): void {
  const { east, north, normals } = room;
  const z = s * s;
  const s3 = SINE_3 * s * z;
  const s5 = SINE_5 * s * z * z;
  const c2 = COSINE_2 * z;
  const c4 = COSINE_4 * z * z;
  const c6 = COSINE_6 * z * z * z;
  for (let i = 0; i < CHUNK_TRIALS; i++) {
    const n = normals[2 * i]!;
    const n2 = n * n;
    const st = n * (s + n2 * (s3 + n2 * s5));
    const ct = 1 + n2 * (c2 + n2 * (c4 + n2 * c6));
    const length = d + p * normals[2 * i + 1]!;
    east[i]! += length * (sine * ct + cosine * st);
    north[i]! += length * (cosine * ct - sine * st);
  }
}

/** One leg with the full functions, for a sigma that the polynomial does not serve. */
function walkFully(walk: Walk, row: number, room: ChunkRoom): void {
  const { east, north, normals } = room;
  const d = walk.length[row]!;
  for (let i = 0; i < CHUNK_TRIALS; i++) {
    const length = d * (1 + walk.alongSigma[row]! * normals[2 * i + 1]!);
    const angle = walk.bearing[row]! + walk.acrossSigma[row]! * normals[2 * i]!;
    east[i]! += length * Math.sin(angle);
    north[i]! += length * Math.cos(angle);
  }
}

/** A line through home that one aims off onto. */
export interface LineHome {
  /** The direction along it from home to the aim, in radians from the working north. */
  readonly azimuth: number;
  /** How far one follows it at most before giving up. */
  readonly mostMetres: number;
}

/**
 * Whether each walk of a chunk comes within sight of home by a line: it goes on, or stops short, on the heading as walked
 * until it meets the line, turns to the side where home must be, and follows the line so far at most.
 */
function foundByLine(
  walk: Walk,
  room: ChunkRoom,
  trial: number,
  sight: number,
  line: LineHome,
): boolean {
  const last = walk.length.length - 1;
  const heading = walk.bearing[last]! + walk.acrossSigma[last]! * room.normals[2 * trial]!;
  const [ux, uy] = [Math.sin(line.azimuth), Math.cos(line.azimuth)];
  const [hx, hy] = [Math.sin(heading), Math.cos(heading)];
  const e = room.east[trial]!;
  const n = room.north[trial]!;
  const meeting = hx * uy - hy * ux;
  if (meeting === 0) return false;
  const onward = -(e * uy - n * ux) / meeting;
  const along = (e + onward * hx) * ux + (n + onward * hy) * uy;
  return along >= -sight && along <= line.mostMetres + sight;
}

/** When home counts as found: within sight of where the walk ends, or of the line that is followed to it. */
export interface HomeInSight {
  readonly sightMetres: number;
  readonly line?: LineHome;
}

/** What many walks come to. */
export interface Arrivals {
  readonly trials: number;
  /** Trials that came within sight of home, by the line when there is one. */
  readonly inSight: number;
  readonly sumEast: number;
  readonly sumNorth: number;
  readonly sumEastEast: number;
  readonly sumEastNorth: number;
  readonly sumNorthNorth: number;
  /** The first arrivals, to be drawn: east, north, east, north… */
  readonly drawn: Float64Array;
}

/** Adds up a chunk just walked: all of it, or as many trials as are still wanted. The first `drawn` arrivals are kept. */
export function chunkArrivals(
  walk: Walk,
  room: ChunkRoom,
  trials: number,
  { sightMetres: sight, line }: HomeInSight,
  drawn: number,
): Arrivals {
  const { east, north } = room;
  let [inSight, x, y, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  const sight2 = sight * sight;
  for (let i = 0; i < trials; i++) {
    const e = east[i]!;
    const n = north[i]!;
    if (line ? foundByLine(walk, room, i, sight, line) : e * e + n * n <= sight2) inSight++;
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

/** Where a thousand walks end, to be drawn: east, north, east, north… in metres against home. One chunk, less than a frame. */
export function thousandArrivals(walk: Walk): Float64Array {
  const room = new ChunkRoom();
  walkChunk(walk, 1, 0, room);
  return chunkArrivals(walk, room, 1000, { sightMetres: 0 }, 1000).drawn;
}
