import { radians } from '../units/units';
import { normalBelow } from './normal';
import { NormalStream } from './ziggurat';

/**
 * Simulates an outing and its way home many times with random errors.
 *
 * | symbol | meaning                                    | unit   | equation                       |
 * | b, d   | bearing and length of a leg                | rad, m |                                |
 * | p, s   | σ of its length over it, of its bearing    | 1, rad |                                |
 * | n1, n2 | standard normals, new for each leg walked  | 1      |                                |
 * | c      | uniform over a compass point's sector      | rad    | new for each leg read so       |
 * | S, T   | what legs share: scale and turn, drawn     | 1, rad | Σ share·σ·n, n once a walk     |
 * |        | once a walk                                |        |                                |
 * | e      | the leg as walked                          | m      | d(1+p·n1)(1+S)·(sin, cos)      |
 * |        |                                            |        | (b+s·n2+c+T)                   |
 *
 * Sine and cosine of b are taken once a leg and turned by s·n2 with a polynomial whose error is
 * below 1.1e-6 up to 0.8 rad; for σ above 8° the full functions are used. Legs that share T and S
 * are turned and scaled by them together: p·n1·S, a thousandth of the length, is left in. Trials
 * run in chunks with a stream of normals each, so that the result is the same to the bit however
 * the chunks are shared among workers.
 */
export interface Walk {
  /** Columns, a row a leg: radians, metres, and the two sigmas. The last row is the walk home. */
  readonly bearing: Float64Array;
  readonly length: Float64Array;
  readonly alongSigma: Float64Array;
  readonly acrossSigma: Float64Array;
  /** Radians of the sector that a bearing was read to, where that is a compass point; else 0. */
  readonly sector: Float64Array;
  /** Which of the mixtures turns a row, and which scales it: 0 for none, else one more. */
  readonly turn: Int32Array;
  readonly scale: Int32Array;
  /** One sigma of each shared error: radians, or over the length. */
  readonly sharedSigma: Float64Array;
  /** Mixtures of shared errors, by how much of each a row has. */
  readonly mixtures: readonly Float64Array[];
}

/** Trials that share a stream of normals: so many that their columns stay in the L1 cache. */
export const CHUNK_TRIALS = 1024;
/** Beyond this sigma the full functions are used. */
const LARGEST_SIGMA = radians(8);
/** How far the polynomials reach, in radians. */
const LARGEST_TURN = 0.8;
/** The stream of what a walk's legs share, and of coarse readings: apart from the legs' own. */
const SHARED_STREAM = 0x7368;
/**
 * sin t ≈ t + a3·t³ + a5·t⁵ and cos t ≈ 1 + b2·t² + b4·t⁴ + b6·t⁶: least greatest error over ±0.8,
 * fitted for this project.
 */
const SINE_3 = -0.1666254282767113;
const SINE_5 = 0.008146295317684245;
const COSINE_2 = -0.49999882549124597;
const COSINE_4 = 0.04165550681981174;
const COSINE_6 = -0.0013587007283193584;

/** Buffers for a chunk, reused: allocating them each time would cost as much as the walk. */
export class ChunkBuffers {
  readonly east = new Float64Array(CHUNK_TRIALS);
  readonly north = new Float64Array(CHUNK_TRIALS);
  readonly normals = new Float64Array(2 * CHUNK_TRIALS);
  /** The legs of a group, before they are turned and scaled by what they share. */
  readonly groupEast = new Float64Array(CHUNK_TRIALS);
  readonly groupNorth = new Float64Array(CHUNK_TRIALS);
  /** What a chunk's walks have of each mixture; the first is none. */
  readonly mixed: Float64Array[] = [new Float64Array(CHUNK_TRIALS)];
  /** The sector's part of a bearing, drawn for a row that was read to a compass point. */
  readonly coarse = new Float64Array(CHUNK_TRIALS);
}

/** Simulates one chunk; where each walk ends, in metres against home, is in the buffers. */
export function walkChunk(walk: Walk, seed: number, chunk: number, buffers: ChunkBuffers): void {
  const { east, north, normals, groupEast, groupNorth } = buffers;
  const stream = new NormalStream(seed, chunk);
  const shared = new NormalStream(seed ^ SHARED_STREAM, chunk);
  mix(walk, shared, buffers);
  east.fill(0);
  north.fill(0);
  groupEast.fill(0);
  groupNorth.fill(0);
  const rows = walk.length.length;
  for (let row = 0; row < rows; row++) {
    stream.fill(normals);
    const s = walk.acrossSigma[row]!;
    const isCoarse = walk.sector[row]! > 0;
    if (isCoarse) drawSector(walk.sector[row]!, shared, buffers);
    if (isCoarse || s > LARGEST_SIGMA) walkExactly(walk, row, buffers, isCoarse);
    else turnAndAdd(walk, row, buffers);
    const isLast = row + 1 === rows;
    const goesOn = walk.turn[row + 1] === walk.turn[row] && walk.scale[row + 1] === walk.scale[row];
    if (isLast || !goesOn) addGroup(walk.turn[row]!, walk.scale[row]!, buffers);
  }
}

/** Turns and scales the legs of a group by what they share, and adds them to the walks. */
function addGroup(turnOf: number, scaleOf: number, buffers: ChunkBuffers): void {
  const { east, north, groupEast, groupNorth, mixed } = buffers;
  const turn = mixed[turnOf]!;
  const scale = mixed[scaleOf]!;
  for (let i = 0; i < CHUNK_TRIALS; i++) {
    const t = turn[i]!;
    const t2 = t * t;
    const isSmall = t2 < LARGEST_TURN * LARGEST_TURN;
    const st = isSmall ? t * (1 + t2 * (SINE_3 + t2 * SINE_5)) : Math.sin(t);
    const ct = isSmall ? 1 + t2 * (COSINE_2 + t2 * (COSINE_4 + t2 * COSINE_6)) : Math.cos(t);
    const length = 1 + scale[i]!;
    const x = length * groupEast[i]!;
    const y = length * groupNorth[i]!;
    east[i]! += x * ct + y * st;
    north[i]! += y * ct - x * st;
    groupEast[i] = 0;
    groupNorth[i] = 0;
  }
}

/** Draws the shared errors of a chunk's walks, and adds them up as the mixtures have them. */
function mix({ sharedSigma, mixtures }: Walk, stream: NormalStream, buffers: ChunkBuffers): void {
  const { mixed } = buffers;
  while (mixed.length <= mixtures.length) mixed.push(new Float64Array(CHUNK_TRIALS));
  for (let m = 1; m <= mixtures.length; m++) mixed[m]!.fill(0);
  const drawn = new Float64Array(CHUNK_TRIALS);
  for (let k = 0; k < sharedSigma.length; k++) {
    stream.fill(drawn);
    for (const [m, shares] of mixtures.entries()) {
      const amount = shares[k]! * sharedSigma[k]!;
      if (amount === 0) continue;
      const sum = mixed[m + 1]!;
      for (let i = 0; i < CHUNK_TRIALS; i++) sum[i]! += amount * drawn[i]!;
    }
  }
}

/** Uniform over a sector: a normal through its own distribution function. */
function drawSector(sector: number, stream: NormalStream, { coarse }: ChunkBuffers): void {
  stream.fill(coarse);
  for (let i = 0; i < CHUNK_TRIALS; i++) coarse[i] = sector * (normalBelow(coarse[i]!) - 0.5);
}

/**
 * One leg: its sine and cosine are turned by s times a normal. The powers of s go into the
 * coefficients once. The polynomials are the best of their degree up to 0.8 rad: at 8° the rarest
 * turn of a million walks, 5.5 sigma, is 0.77 rad.
 */
function turnAndAdd(walk: Walk, row: number, buffers: ChunkBuffers): void {
  const { groupEast: east, groupNorth: north, normals } = buffers;
  const s = walk.acrossSigma[row]!;
  const d = walk.length[row]!;
  const p = walk.alongSigma[row]!;
  const sine = d * Math.sin(walk.bearing[row]!);
  const cosine = d * Math.cos(walk.bearing[row]!);
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
    const length = 1 + p * normals[2 * i + 1]!;
    east[i]! += length * (sine * ct + cosine * st);
    north[i]! += length * (cosine * ct - sine * st);
  }
}

/** One leg with the full functions, for what is too much for the polynomials. */
function walkExactly(walk: Walk, row: number, buffers: ChunkBuffers, isCoarse: boolean): void {
  const { groupEast: east, groupNorth: north, normals, coarse } = buffers;
  const d = walk.length[row]!;
  for (let i = 0; i < CHUNK_TRIALS; i++) {
    const length = d * (1 + walk.alongSigma[row]! * normals[2 * i + 1]!);
    const own = walk.acrossSigma[row]! * normals[2 * i]! + (isCoarse ? coarse[i]! : 0);
    const angle = walk.bearing[row]! + own;
    east[i]! += length * Math.sin(angle);
    north[i]! += length * Math.cos(angle);
  }
}
