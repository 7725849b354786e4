/**
 * The traverse: legs into plane coordinates with their covariance, in columns of numbers.
 *
 * | symbol | meaning                                        | unit    | equation                  |
 * | b      | bearing of the leg from the reference north    | degrees |                           |
 * | d      | horizontal length of the leg                   | metres  |                           |
 * | p      | σ of the length over the length                | 1       |                           |
 * | s      | σ of the bearing                               | radians |                           |
 * | dx, dy | the leg east and north                         | metres  | d·sin b, d·cos b          |
 * | Cxx    | variance east, Cyy north, Cxy between them     | metres² | Cxx += p²dx² + s²dy²      |
 * |        | (p·d along the leg, s·d across it)             |         | Cxy += (p² - s²)·dx·dy    |
 * | q, t   | nearest quarter turn to b, and the rest        | radians | sin, cos of t, turned     |
 *
 * Sine and cosine come from one fused pair of polynomials: the kernels of fdlibm, k_sin.c and
 * k_cos.c (Sun Microsystems, 1993), good on [-π/4, π/4]. Taking the quarter off in degrees is
 * exact, so 000, 090, 180 and 270 are exact too. Error at most 2.3e-16 for b in [0, 360]
 * (tests/core/survey/dead-reckoning/traverse.test.ts holds it).
 */
const RADIANS_PER_DEGREE = Math.PI / 180;
const S1 = -1.66666666666666324348e-1;
const S2 = 8.33333333332248946124e-3;
const S3 = -1.98412698298579493134e-4;
const S4 = 2.75573137070700676789e-6;
const S5 = -2.50507602534068634195e-8;
const S6 = 1.58969099521155010221e-10;
const C1 = 4.16666666666666019037e-2;
const C2 = -1.38888888888741095749e-3;
const C3 = 2.48015872894767294178e-5;
const C4 = -2.75573143513906633035e-7;
const C5 = 2.0875723212981748279e-9;
const C6 = -1.13596475577881948265e-11;

/** What quarters turn sine and cosine into: tables, since random bearings mispredict branches. */
const KEEPS = Float64Array.of(1, 0, -1, 0, 1);
const SWAPS = Float64Array.of(0, 1, 0, -1, 0);

/**
 * Points are numbered by leg: point 0 is the start, leg k ends at point k. Row k of the leg columns
 * (k from 1; row 0 stays empty) is leg k. Columns may be longer than the legs they hold.
 */
export interface Traverse {
  readonly legs: number;
  readonly from: Int32Array;
  readonly bearingDegrees: Float64Array;
  readonly lengthMetres: Float64Array;
  readonly alongVariance: Float64Array;
  readonly acrossVariance: Float64Array;
  readonly east: Float64Array;
  readonly north: Float64Array;
}

/** Empty columns with the capacity for this many legs: views of one buffer. */
export function emptyTraverse(capacity: number): Traverse {
  const rows = capacity + 1;
  const bytes = 8 * rows;
  const buffer = new ArrayBuffer(7 * bytes);
  return {
    legs: 0,
    bearingDegrees: new Float64Array(buffer, 0, rows),
    lengthMetres: new Float64Array(buffer, bytes, rows),
    alongVariance: new Float64Array(buffer, 2 * bytes, rows),
    acrossVariance: new Float64Array(buffer, 3 * bytes, rows),
    east: new Float64Array(buffer, 4 * bytes, rows),
    north: new Float64Array(buffer, 5 * bytes, rows),
    from: new Int32Array(buffer, 6 * bytes, rows),
  };
}

/** Computes the points of all legs, whose columns are filled in, in the order of the legs. */
export function computePoints(traverse: Traverse): void {
  const { legs, from, bearingDegrees, lengthMetres, east, north } = traverse;
  for (let k = 1; k <= legs; k++) {
    const b = bearingDegrees[k]!;
    const q = (b * (1 / 90) + 0.5) | 0;
    const t = (b - q * 90) * RADIANS_PER_DEGREE;
    const z = t * t;
    const sine = t + t * z * (S1 + z * (S2 + z * (S3 + z * (S4 + z * (S5 + z * S6)))));
    const cosine = 1 - 0.5 * z + z * z * (C1 + z * (C2 + z * (C3 + z * (C4 + z * (C5 + z * C6)))));
    const d = lengthMetres[k]!;
    const keep = KEEPS[q]! * d;
    const swap = SWAPS[q]! * d;
    const origin = from[k]!;
    east[k] = east[origin]! + keep * sine + swap * cosine;
    north[k] = north[origin]! + keep * cosine - swap * sine;
  }
}

/** Variance east and north of each point against the start, and the covariance of the two. */
export interface PointVariances {
  readonly east: Float64Array;
  readonly north: Float64Array;
  readonly covariance: Float64Array;
}

/** The variances of all points, from the legs' own errors; made once a place's is asked for. */
export function pointVariances(traverse: Traverse): PointVariances {
  const { legs, from, alongVariance, acrossVariance, east, north } = traverse;
  const bytes = 8 * (legs + 1);
  const buffer = new ArrayBuffer(3 * bytes);
  const xx = new Float64Array(buffer, 0, legs + 1);
  const yy = new Float64Array(buffer, bytes, legs + 1);
  const xy = new Float64Array(buffer, 2 * bytes, legs + 1);
  for (let k = 1; k <= legs; k++) {
    const origin = from[k]!;
    const dx = east[k]! - east[origin]!;
    const dy = north[k]! - north[origin]!;
    const along = alongVariance[k]!;
    const across = acrossVariance[k]!;
    xx[k] = xx[origin]! + along * dx * dx + across * dy * dy;
    yy[k] = yy[origin]! + along * dy * dy + across * dx * dx;
    xy[k] = xy[origin]! + (along - across) * dx * dy;
  }
  return { east: xx, north: yy, covariance: xy };
}
