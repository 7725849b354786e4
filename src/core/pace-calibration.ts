import { DISTANCE_SIGMA, LEAST_PACE_SIGMA } from './error-model';
import type { Calibration, EntryOf, PaceProfile } from './logbook';
import { fail, ok, type Result } from './result';
import { METRES_PER_FOOT, METRES_PER_YARD, type Metres } from './units';

/**
 * Calibration of a pace on a course of known length.
 *
 * | symbol | meaning                                    | unit   | equation                                   |
 * | L      | length of the course                       | metres |                                            |
 * | n      | walks over it                              | 1      |                                            |
 * | c_i    | count of walk i, in paces (two steps each) | 1      |                                            |
 * | p      | length of a pace                           | metres | n·L / Σc_i                                 |
 * | s      | spread: one sigma over the length          | 1      | sample deviation of L/c_i over its mean    |
 * | r      | rounding of one count                      | 1      | 0.5 / (√3 · mean c), the least that s can be |
 */
export interface PaceLength {
  readonly paceMetres: Metres;
  readonly pacesPer100Metres: number;
  /** One sigma over the length; null for a single walk, which can't tell. */
  readonly spread: number | null;
  /** The length of a pace in each walk. */
  readonly walks: readonly Metres[];
  /** What looks wrong about the walks: it warns, and changes nothing. */
  readonly warnings: readonly CalibrationWarning[];
}

export type CalibrationFault =
  | { readonly code: 'no-course' }
  | { readonly code: 'no-walks' }
  | { readonly code: 'too-few-counted'; readonly walk: number; readonly count: number };

export type CalibrationWarning =
  | { readonly code: 'one-walk' }
  | { readonly code: 'short-course'; readonly paces: number }
  | { readonly code: 'walk-stands-out'; readonly walk: number; readonly times: number }
  | { readonly code: 'unlikely-length'; readonly paceMetres: Metres };

/** A count of fewer paces than this is rounding more than length. Common practice, no source. */
const SHORT_COURSE_PACES = 20;
/** A walk this many times the middle one is a slip: one foot for both, or a lost ten. */
const STANDS_OUT = 1.3;
/** Two steps of a grown person lie between these. Common practice, no source. */
const LIKELY_METRES = { least: 0.6, most: 2.4 };

const METRES_IN = { metres: 1, feet: METRES_PER_FOOT, yards: METRES_PER_YARD } as const;

const middle = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
};

/** Sample standard deviation over the mean, at least the rounding of one count; null for one walk. */
function spreadOf(walks: readonly Metres[], counts: readonly number[], inOnePace: number) {
  if (walks.length < 2) return null;
  const mean = walks.reduce((sum, walk) => sum + walk, 0) / walks.length;
  const squares = walks.reduce((sum, walk) => sum + (walk - mean) ** 2, 0);
  const meanCount = (inOnePace * counts.reduce((sum, count) => sum + count, 0)) / counts.length;
  const rounding = 0.5 / (Math.sqrt(3) * meanCount);
  return Math.max(rounding, Math.sqrt(squares / (walks.length - 1)) / mean);
}

/** Works out the length of a pace from the walks of a calibration. Walks are numbered from 1. */
export function calibrated(
  calibration: Pick<Calibration, 'course' | 'counted' | 'counts'>,
): Result<PaceLength, CalibrationFault> {
  const course = calibration.course.value * METRES_IN[calibration.course.unit];
  const inOnePace = calibration.counted === 'steps' ? 2 : 1;
  const counts = calibration.counts.map((count) => count / inOnePace);
  if (!(course > 0)) return fail({ code: 'no-course' });
  if (counts.length === 0) return fail({ code: 'no-walks' });
  const few = counts.findIndex((count) => !(count > 1));
  if (few >= 0) {
    return fail({ code: 'too-few-counted', walk: few + 1, count: calibration.counts[few]! });
  }
  const total = counts.reduce((sum, count) => sum + count, 0);
  const paceMetres = (counts.length * course) / total;
  const walks = counts.map((count) => course / count);
  const warnings: CalibrationWarning[] = [];
  const usual = middle(counts);
  counts.forEach((count, index) => {
    const times = Math.max(count / usual, usual / count);
    if (times >= STANDS_OUT) {
      warnings.push({ code: 'walk-stands-out', walk: index + 1, times: count / usual });
    }
  });
  if (usual < SHORT_COURSE_PACES) warnings.push({ code: 'short-course', paces: usual });
  if (paceMetres < LIKELY_METRES.least || paceMetres > LIKELY_METRES.most) {
    warnings.push({ code: 'unlikely-length', paceMetres });
  }
  if (counts.length === 1) warnings.push({ code: 'one-walk' });
  const spread = spreadOf(walks, counts, inOnePace);
  return ok({ paceMetres, pacesPer100Metres: 100 / paceMetres, spread, walks, warnings });
}

/** One sigma of a distance paced with a calibration: its spread, at least 2 %; 5 % where one walk can't tell. */
export const distanceSigma = ({ spread }: Pick<PaceLength, 'spread'>): number =>
  spread === null ? DISTANCE_SIGMA : Math.max(LEAST_PACE_SIGMA, spread);

/** The calibration in force on each ground of a profile, the newest; undefined stands for the general one. */
export function inForce(profile: PaceProfile): Map<string | undefined, Calibration> {
  const newest = new Map<string | undefined, Calibration>();
  for (const calibration of profile.calibrations) {
    const standing = newest.get(calibration.ground);
    if (!standing || Date.parse(calibration.at) >= Date.parse(standing.at)) {
      newest.set(calibration.ground, calibration);
    }
  }
  return newest;
}

const tenths = (value: number) => Math.round(value * 10) / 10;

/** The `pace` lines that an outing is given of a profile: the numbers it is walked with stay with it. */
export function paceLines(profile: PaceProfile): EntryOf<'pace'>[] {
  const lines: EntryOf<'pace'>[] = [];
  for (const [ground, calibration] of inForce(profile)) {
    const found = calibrated(calibration);
    if (!found.ok) continue;
    lines.push({
      kind: 'pace',
      unit: 'per-100-m',
      value: tenths(found.value.pacesPer100Metres),
      ...(ground === undefined ? {} : { ground }),
      spreadPercent: tenths(100 * distanceSigma(found.value)),
    });
  }
  // The general one first: it stands in for every ground that has none.
  return lines.sort((a, b) => Number(a.ground !== undefined) - Number(b.ground !== undefined));
}
