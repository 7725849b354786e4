import { deviation, mean, median, sum } from 'd3-array';
import type { Calibration } from '../model/pace-profile';
import { fail, ok, type Result } from '../units/result';
import { METRES_PER_FOOT, METRES_PER_YARD, type Metres } from '../units/units';

/**
 * Calibration of a pace on a course of known length.
 *
 * | symbol | meaning                              | unit   | equation                            |
 * | L      | length of the course                 | metres |                                     |
 * | n      | walks over it                        | 1      |                                     |
 * | c_i    | count of walk i, in paces (2 steps)  | 1      |                                     |
 * | p      | length of a pace                     | metres | n·L / Σc_i                          |
 * | s      | spread: one sigma over the length    | 1      | deviation of L/c_i over its mean    |
 * | r      | rounding of one count: s is no less  | 1      | 0.5 / (√3 · mean c)                 |
 */
export interface PaceLength {
  readonly paceMetres: Metres;
  readonly pacesPer100Metres: number;
  /** One sigma over the length; null for a single walk, which can't tell. */
  readonly spread: number | null;
  /** The length of a pace in each walk. */
  readonly walks: readonly Metres[];
  /** What looks wrong about the walks; it changes nothing. */
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

/** A count of fewer paces is rounding more than length. Common practice, no source. */
const SHORT_COURSE_PACES = 20;
/** A walk this many times the median is a slip: one foot for both, or a lost ten. */
const STANDS_OUT = 1.3;
/** Two steps of a grown person are between these. Common practice, no source. */
const LIKELY_METRES = { least: 0.6, most: 2.4 };

const METRES_IN = { metres: 1, feet: METRES_PER_FOOT, yards: METRES_PER_YARD } as const;

/** The spread of the walks, at least the rounding of one count; null for one walk. */
function spreadOf(walks: readonly Metres[], counted: readonly number[]): number | null {
  const deviationMetres = deviation(walks);
  const meanMetres = mean(walks);
  if (deviationMetres === undefined || meanMetres === undefined) return null;
  const rounding = 0.5 / (Math.sqrt(3) * (mean(counted) ?? 1));
  return Math.max(rounding, deviationMetres / meanMetres);
}

function warningsOn(counts: readonly number[], paceMetres: Metres): CalibrationWarning[] {
  const warnings: CalibrationWarning[] = [];
  const usual = median(counts) ?? NaN;
  for (const [index, count] of counts.entries()) {
    const standsOut = Math.max(count / usual, usual / count) >= STANDS_OUT;
    if (standsOut) {
      warnings.push({ code: 'walk-stands-out', walk: index + 1, times: count / usual });
    }
  }
  if (usual < SHORT_COURSE_PACES) warnings.push({ code: 'short-course', paces: usual });
  if (paceMetres < LIKELY_METRES.least || paceMetres > LIKELY_METRES.most) {
    warnings.push({ code: 'unlikely-length', paceMetres });
  }
  if (counts.length === 1) warnings.push({ code: 'one-walk' });
  return warnings;
}

/** The length of a pace from the walks of a calibration. Walks are numbered from 1. */
export function calibrate(
  calibration: Pick<Calibration, 'course' | 'counted' | 'counts'>,
): Result<PaceLength, CalibrationFault> {
  const course = calibration.course.value * METRES_IN[calibration.course.unit];
  const inOnePace = calibration.counted === 'steps' ? 2 : 1;
  const counts = calibration.counts.map((count) => count / inOnePace);
  if (!(course > 0)) return fail({ code: 'no-course' });
  if (counts.length === 0) return fail({ code: 'no-walks' });
  const few = counts.findIndex((count) => !(count > 1));
  if (few >= 0) {
    return fail({ code: 'too-few-counted', walk: few + 1, count: calibration.counts[few] ?? 0 });
  }
  const paceMetres = (counts.length * course) / sum(counts);
  const walks = counts.map((count) => course / count);
  return ok({
    paceMetres,
    pacesPer100Metres: 100 / paceMetres,
    spread: spreadOf(walks, calibration.counts),
    walks,
    warnings: warningsOn(counts, paceMetres),
  });
}
