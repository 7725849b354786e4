import type { Covariance } from '../../errors/covariance';
import { whiten } from '../../errors/whiten';
import { lengthOf, sumOf, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Metres, Radians } from '../../units/units';
import type { Observation } from './index';
import { readAt, type StationCovariance } from './observation';
import { covarianceOf, rowsOf, type Row } from './rows';
import { nth } from '../../units/nth';

/**
 * A place by least squares of all that was read.
 *
 * | symbol  | meaning                                       | equation                     |
 * | A, w, Q | rows g', what they miss by, their covariance  | rows.ts                      |
 * | ΔP      | how far the place moves in a round            | (A'Q⁻¹A)⁻¹·A'Q⁻¹w            |
 * | C       | covariance of the place                       | (A'Q⁻¹A)⁻¹                   |
 * | R       | what the rows say of each other               | Q⁻¹ - Q⁻¹A·C·A'Q⁻¹           |
 * | t_i     | w-test of row i; its error if it is the one   | (Rw)_i/√R_ii; (Rw)_i/R_ii    |
 * | β, σ_β² | the compass's error here, of prior variance v | v·a'Rw; v - v²·a'Ra          |
 *
 * Sources: E. M. Mikhail and F. Ackermann, Observations and Least Squares, 1976; W. Baarda, A
 * testing procedure for use in geodetic networks, 1968 (both from memory).
 */
interface RowTest {
  readonly row: Row;
  /** Standard normal if nothing is wrong; null where no other reading checks the row. */
  readonly w: number | null;
  /** How far the reading is off, if it is the one that is wrong: radians or metres. */
  readonly off: number | null;
}

export interface PointFix {
  readonly place: PlanePoint;
  readonly covariance: Covariance;
  readonly tests: readonly RowTest[];
  readonly chiSquare: number;
  readonly redundancy: number;
  /** The compass's error at this place; null where it was not asked for. */
  readonly compassHere: { readonly value: Radians; readonly sigma: Radians } | null;
  /** False where the place still moved in the last round. */
  readonly settled: boolean;
}

/** How a fix is solved. */
export interface PointOptions {
  readonly stations: StationCovariance;
  /** Variance of an error that the compass has at this place alone, in radians²; 0 for none. */
  readonly compassHere: number;
}

const SETTLED_METRES: Metres = 1e-4;
const MOST_ROUNDS = 60;
/** A step is at most this share of the way to the nearest mark, whose direction else turns over. */
const LONGEST_STEP = 0.5;

/** Whitened rows: columns of A, of w, and of the compass's error. */
interface Whitened {
  readonly east: readonly number[];
  readonly north: readonly number[];
  readonly w: readonly number[];
  readonly here: readonly number[];
}

const dot = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0);

function whitened(rows: readonly Row[], q: readonly (readonly number[])[]): Whitened | null {
  const found = whiten(
    q,
    rows.map(({ g, w, compassHere }) => [g.east, g.north, w, compassHere]),
  );
  if (!found) return null;
  const column = (index: number) => found.map((line) => line[index] ?? 0);
  return { east: column(0), north: column(1), w: column(2), here: column(3) };
}

/** (A'Q⁻¹A)⁻¹; null where the rows tell no place. */
function inverseOf({ east, north }: Whitened): Covariance | null {
  const [xx, xy, yy] = [dot(east, east), dot(east, north), dot(north, north)];
  const determinant = xx * yy - xy * xy;
  if (!(determinant > LEAST_DETERMINANT * xx * yy)) return null;
  return { xx: yy / determinant, xy: -xy / determinant, yy: xx / determinant };
}
/** Rows nearer to parallel than this tell one coordinate only. */
const LEAST_DETERMINANT = 1e-12;

/** Solves for the place, from a first guess; null where the readings give none. */
export function pointFix(
  observations: readonly Observation[],
  guess: PlanePoint,
  options: PointOptions,
): PointFix | null {
  let place = guess;
  for (let round = 1; ; round++) {
    const rows = observations.flatMap((each, i) => rowsOf(each, i, place));
    const q = covarianceOf(rows, options.stations, options.compassHere);
    const white = whitened(rows, q);
    const covariance = white && inverseOf(white);
    if (!white || !covariance) return null;
    const [e, n] = [dot(white.east, white.w), dot(white.north, white.w)];
    const step = {
      east: covariance.xx * e + covariance.xy * n,
      north: covariance.xy * e + covariance.yy * n,
    };
    const settled = lengthOf(step) < SETTLED_METRES;
    if (settled || round === MOST_ROUNDS) {
      return { ...judged(rows, q, white, covariance, options), place, covariance, settled };
    }
    place = sumOf(place, shortened(step, place, observations));
    if (!Number.isFinite(place.east + place.north)) return null;
  }
}

function shortened(
  step: PlanePoint,
  place: PlanePoint,
  observations: readonly Observation[],
): PlanePoint {
  const away = observations.flatMap((each) =>
    each.kind === 'bearing' ? [lengthOf(vectorBetween(readAt(place, each.from), each.mark))] : [],
  );
  const most = LONGEST_STEP * Math.max(1, Math.min(...away));
  const length = lengthOf(step);
  const share = length > most ? most / length : 1;
  return { east: step.east * share, north: step.north * share };
}

/** What the rows say of each other. */
function judged(
  rows: readonly Row[],
  q: readonly (readonly number[])[],
  white: Whitened,
  covariance: Covariance,
  { compassHere }: PointOptions,
): Pick<PointFix, 'tests' | 'chiSquare' | 'redundancy' | 'compassHere'> {
  const { w, here } = white;
  // Unit rows, whitened: L⁻¹ itself, whose columns give Q⁻¹ by their products.
  const units = whiten(
    q,
    rows.map((_, i) => rows.map((__, j) => (i === j ? 1 : 0))),
  )!;
  const columns = rows.map((_, i) => units.map((line) => line[i] ?? 0));
  const within = (a: readonly number[], b: readonly number[]) => {
    const [ae, an] = [dot(a, white.east), dot(a, white.north)];
    const [be, bn] = [dot(b, white.east), dot(b, white.north)];
    const { xx, xy, yy } = covariance;
    return dot(a, b) - (ae * (xx * be + xy * bn) + an * (xy * be + yy * bn));
  };
  const tests = rows.map((row, i) => {
    const column = nth(columns, i);
    const [pull, weight] = [within(column, w), within(column, column)];
    // A row of its own, with nothing that checks it, leaves no weight but rounding.
    const isChecked = weight > UNCHECKED * dot(column, column);
    return {
      row,
      w: isChecked ? pull / Math.sqrt(weight) : null,
      off: isChecked ? pull / weight : null,
    };
  });
  return {
    tests,
    chiSquare: within(w, w),
    redundancy: rows.length - 2,
    compassHere:
      compassHere > 0
        ? {
            value: compassHere * within(here, w),
            sigma: Math.sqrt(Math.max(0, compassHere - compassHere ** 2 * within(here, here))),
          }
        : null,
  };
}
const UNCHECKED = 1e-6;
