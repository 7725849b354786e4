import { radians } from '../units/units';
import { NormalStream } from './ziggurat';

/**
 * Simulates an outing and its way home many times with random errors.
 *
 * | symbol | meaning                                    | unit   | equation                      |
 * | b, d   | bearing and length of a leg                | rad, m |                               |
 * | p, s   | σ of its length over it, of its bearing    | 1, rad |                               |
 * | n1, n2 | standard normals, new for each leg walked  | 1      |                               |
 * | e      | the leg as walked                          | m      | d(1+p·n1)·(sin, cos)(b+s·n2)  |
 *
 * Sine and cosine of b are taken once a leg and turned by s·n2 with a polynomial whose error is
 * below 1.1e-6 up to 0.8 rad; for σ above 8° the full functions are used. Trials run in chunks with
 * a stream of normals each, so that the result is the same to the bit however the chunks are shared
 * among workers.
 */
export interface Walk {
  /** Columns, a row a leg: radians, metres, and the two sigmas. The last row is the walk home. */
  readonly bearing: Float64Array;
  readonly length: Float64Array;
  readonly alongSigma: Float64Array;
  readonly acrossSigma: Float64Array;
}

/** Trials that share a stream of normals: so many that their columns stay in the L1 cache. */
export const CHUNK_TRIALS = 1024;
/** Beyond this sigma the full functions are used. */
const LARGEST_SIGMA = radians(8);
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
}

/** Simulates one chunk; where each walk ends, in metres against home, is in the buffers. */
export function walkChunk(walk: Walk, seed: number, chunk: number, buffers: ChunkBuffers): void {
  const { east, north, normals } = buffers;
  const stream = new NormalStream(seed, chunk);
  east.fill(0);
  north.fill(0);
  for (let row = 0; row < walk.length.length; row++) {
    stream.fill(normals);
    const s = walk.acrossSigma[row]!;
    if (s > LARGEST_SIGMA) {
      walkExactly(walk, row, buffers);
      continue;
    }
    turnAndAdd(
      buffers,
      s,
      walk.length[row]!,
      walk.alongSigma[row]! * walk.length[row]!,
      Math.sin(walk.bearing[row]!),
      Math.cos(walk.bearing[row]!),
    );
  }
}

/**
 * One leg: its sine and cosine are turned by s times a normal. The powers of s go into the
 * coefficients once. The polynomials are the best of their degree up to 0.8 rad: at 8° the rarest
 * turn of a million walks, 5.5 sigma, is 0.77 rad.
 */
function turnAndAdd(
  buffers: ChunkBuffers,
  s: number,
  d: number,
  p: number,
  sine: number,
  cosine: number,
): void {
  const { east, north, normals } = buffers;
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

/** One leg with the full functions, for a sigma that is too large for the polynomials. */
function walkExactly(walk: Walk, row: number, buffers: ChunkBuffers): void {
  const { east, north, normals } = buffers;
  const d = walk.length[row]!;
  for (let i = 0; i < CHUNK_TRIALS; i++) {
    const length = d * (1 + walk.alongSigma[row]! * normals[2 * i + 1]!);
    const angle = walk.bearing[row]! + walk.acrossSigma[row]! * normals[2 * i]!;
    east[i]! += length * Math.sin(angle);
    north[i]! += length * Math.cos(angle);
  }
}
