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
  readonly eastVariance: Float64Array;
  readonly covariance: Float64Array;
  readonly northVariance: Float64Array;
}

/** Empty columns with the capacity for this many legs. */
export function emptyTraverse(capacity: number): Traverse {
  const column = () => new Float64Array(capacity + 1);
  return {
    legs: 0,
    from: new Int32Array(capacity + 1),
    bearingDegrees: column(),
    lengthMetres: column(),
    alongVariance: column(),
    acrossVariance: column(),
    east: column(),
    north: column(),
    eastVariance: column(),
    covariance: column(),
    northVariance: column(),
  };
}

/**
 * Computes the points of legs first..last (inclusive, first >= 1), whose leg columns are filled in
 * and whose earlier points are computed. Each leg costs the same, however many come before it.
 */
export function computePoints(traverse: Traverse, first: number, last: number): void {
  const { from, bearingDegrees, lengthMetres, alongVariance, acrossVariance } = traverse;
  const { east, north, eastVariance, covariance, northVariance } = traverse;
  for (let k = first; k <= last; k++) {
    const b = bearingDegrees[k]!;
    const q = (b * (1 / 90) + 0.5) | 0;
    const t = (b - q * 90) * RADIANS_PER_DEGREE;
    const z = t * t;
    const sine = t + t * z * (S1 + z * (S2 + z * (S3 + z * (S4 + z * (S5 + z * S6)))));
    const cosine = 1 - 0.5 * z + z * z * (C1 + z * (C2 + z * (C3 + z * (C4 + z * (C5 + z * C6)))));
    const d = lengthMetres[k]!;
    const keep = KEEPS[q]! * d;
    const swap = SWAPS[q]! * d;
    const dx = keep * sine + swap * cosine;
    const dy = keep * cosine - swap * sine;
    const along = alongVariance[k]!;
    const across = acrossVariance[k]!;
    const origin = from[k]!;
    east[k] = east[origin]! + dx;
    north[k] = north[origin]! + dy;
    eastVariance[k] = eastVariance[origin]! + along * dx * dx + across * dy * dy;
    covariance[k] = covariance[origin]! + (along - across) * dx * dy;
    northVariance[k] = northVariance[origin]! + along * dy * dy + across * dx * dx;
  }
}

const grown = <Column extends Float64Array | Int32Array>(
  column: Column,
  capacity: number,
): Column => {
  const wider = new (column.constructor as new (length: number) => Column)(capacity + 1);
  wider.set(column);
  return wider;
};

/** The same legs with capacity for more; columns are copied. */
function withCapacity(traverse: Traverse, capacity: number): Traverse {
  return {
    legs: traverse.legs,
    from: grown(traverse.from, capacity),
    bearingDegrees: grown(traverse.bearingDegrees, capacity),
    lengthMetres: grown(traverse.lengthMetres, capacity),
    alongVariance: grown(traverse.alongVariance, capacity),
    acrossVariance: grown(traverse.acrossVariance, capacity),
    east: grown(traverse.east, capacity),
    north: grown(traverse.north, capacity),
    eastVariance: grown(traverse.eastVariance, capacity),
    covariance: grown(traverse.covariance, capacity),
    northVariance: grown(traverse.northVariance, capacity),
  };
}

/** One leg from the reference north, ready for the columns. */
export interface PlaneLeg {
  readonly from: number;
  readonly bearingDegrees: number;
  readonly lengthMetres: number;
  readonly alongVariance: number;
  readonly acrossVariance: number;
}

/**
 * The traverse with one more leg, at a cost that doesn't grow with the log: the columns are shared,
 * and widened by doubling. The given traverse keeps its legs; append to the newest one only.
 */
export function appendLeg(traverse: Traverse, leg: PlaneLeg): Traverse {
  const k = traverse.legs + 1;
  const capacity = traverse.east.length - 1;
  const wide = k > capacity ? withCapacity(traverse, Math.max(8, capacity * 2)) : traverse;
  setLeg(wide, k, leg);
  computePoints(wide, k, k);
  return { ...wide, legs: k };
}

/** Fills row k of the leg columns. */
export function setLeg(traverse: Traverse, k: number, leg: PlaneLeg): void {
  traverse.from[k] = leg.from;
  traverse.bearingDegrees[k] = leg.bearingDegrees;
  traverse.lengthMetres[k] = leg.lengthMetres;
  traverse.alongVariance[k] = leg.alongVariance;
  traverse.acrossVariance[k] = leg.acrossVariance;
}
