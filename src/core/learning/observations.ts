import type { Covariance } from '../errors/covariance';
import { joinedSums } from '../errors/shared-errors';
import { AIMS, type Aim } from '../entries/reckoning';
import type { SigmaId } from '../model/error-settings';
import type { Calibration } from '../model/pace-profile';
import { contributionsAround, legsBetween } from '../navigation/uncertainty-sources';
import { calibrate } from '../pacing/calibration';
import { bearingDegrees, finenessDegrees, type BearingReading } from '../readings/bearing';
import { asWalked, type Closure, type Solution } from '../survey/solution';
import { legParts } from '../survey/leg-parts';
import { backBearing, signedDifference } from '../units/angle';
import { radians } from '../units/units';

/** The sigmas that a person's own record tells. */
export const LEARNED = [
  'needle',
  'landmark',
  'sighted',
  'compass',
  'paced',
  'pace-length',
] as const satisfies readonly SigmaId[];
export type LearnedId = (typeof LEARNED)[number];

/** What one sigma adds to an observation: its covariance for a variance of 1. */
interface Effect {
  readonly id: LearnedId;
  readonly unit: Covariance;
}

/**
 * Something whose error is known: zero was expected, `east` and `north` came out. One that has a
 * single dimension has it in `east`, and no error in `north`.
 */
export interface Observation {
  readonly east: number;
  readonly north: number;
  /** Covariance of what no sigma here is about. */
  readonly rest: Covariance;
  readonly effects: readonly Effect[];
  /** Values of `east` beyond this would not have been observed. */
  readonly cutAt?: number;
}

const sigmaOf = (source: string, about: string, isCalibrated: boolean): LearnedId | null => {
  if (source === 'following') return AIMS.find((aim) => aim === about) ?? null;
  if (source === 'compass') return 'compass';
  if (isCalibrated) return null;
  return source === 'paced' || source === 'pace-length' ? source : null;
};

const scaled = ({ xx, xy, yy }: Covariance, k: number): Covariance => ({
  xx: k * xx,
  xy: k * xy,
  yy: k * yy,
});

/** One sigma as the variances have it: radians, or over the length. */
export const inUnits = (id: LearnedId, sigma: number): number =>
  id === 'paced' || id === 'pace-length' ? sigma : radians(sigma);

const isShared = (id: LearnedId) => id === 'compass' || id === 'pace-length';
/** What is moved by fewer misclosures than this is moved by the misclosure alone. */
const CLOSED = 2;

/** How far a loop closed off: of its legs, and of what they do not share all around. */
function loopObservation(solution: Solution, closure: Closure): Observation {
  const { legs, places, errors, end } = solution;
  const last = legs.leg(closure.leg);
  const around = legsBetween(solution, last.from, last.to);
  const shared = joinedSums(places.relative(last.to, last.from).shared, legs.sharedOf(closure.leg));
  const isCalibrated = (ground: string) =>
    ((ground === '' ? undefined : end.grounds?.get(ground)) ?? end.general).inUse.spread !== null;
  const effects: Effect[] = [];
  let rest: Covariance = { xx: 1e-6, xy: 0, yy: 1e-6 };
  for (const each of contributionsAround(solution, [...around, last], shared)) {
    const id = sigmaOf(each.source, each.about, isCalibrated(each.about));
    if (id === null || errors[id] === 0) {
      const { xx, xy, yy } = each.covariance;
      rest = { xx: rest.xx + xx, xy: rest.xy + xy, yy: rest.yy + yy };
      continue;
    }
    const unit = scaled(each.covariance, 1 / inUnits(id, errors[id]) ** 2);
    // What all legs share moves a loop that closes by nothing: what is left is the misclosure, and
    // a covariance that is made of it would explain any.
    if (isShared(id) && unit.xx + unit.yy <= (CLOSED * closure.metres) ** 2) continue;
    effects.push({ id, unit });
  }
  const { east, north } = closure.misclosure;
  return { east, north, rest, effects };
}

/** Readings that differ by more are iron or a slip, and not counted: as where they are joined. */
const CUT_DEGREES = 5;
const fine = (reading: BearingReading) => radians(finenessDegrees(reading)) ** 2 / 12;

/** How far the two bearings of a line differ: twice the error of following one. */
function backObservation(forward: BearingReading, back: BearingReading, aim: Aim) {
  const off = signedDifference(bearingDegrees(forward), backBearing(bearingDegrees(back)));
  if (forward.north !== back.north || Math.abs(off) > CUT_DEGREES) return null;
  return {
    east: radians(off),
    north: 0,
    rest: { xx: fine(forward) + fine(back), xy: 0, yy: 1 },
    effects: [{ id: aim, unit: { xx: 2, xy: 0, yy: 0 } }],
    // Readings to a whole degree that differ by 5 may differ by half a degree more.
    cutAt: radians(CUT_DEGREES + Math.max(finenessDegrees(forward), finenessDegrees(back)) / 2),
  } satisfies Observation;
}

/** What an outing tells: its loops, and the lines that were read at both ends. */
export function observationsOf(given: Solution): Observation[] {
  const solution = asWalked(given);
  const loops = solution.closures.map((closure) => loopObservation(solution, closure));
  const parts = legParts(solution);
  const lines = Array.from(solution.legs).flatMap(({ number, reading }) => {
    const aim = parts.get(number)?.[0]?.walked.means.aim;
    return (reading.back && aim && backObservation(reading.bearing, reading.back, aim)) ?? [];
  });
  return [...loops, ...lines];
}

/** Walks over a course about their mean: the spread of a paced distance. */
const walksObservation = (deviation: number): Observation => ({
  east: deviation,
  north: 0,
  rest: { xx: 1e-12, xy: 0, yy: 1 },
  effects: [{ id: 'paced', unit: { xx: 1, xy: 0, yy: 0 } }],
});

/** What calibrations tell, the oldest first: the spread of walks, and how lengths differ. */
export function observationsOfCalibrations(calibrations: readonly Calibration[]): Observation[] {
  const found = calibrations.flatMap((each) => {
    const result = calibrate(each);
    return result.ok ? [{ ground: each.ground, ...result.value }] : [];
  });
  return found.flatMap(({ ground, walks, paceMetres }, index) => {
    // n walks about their own mean are n - 1 independent deviations of the same spread.
    const mean = walks.reduce((sum, walk) => sum + walk, 0) / walks.length;
    const square = walks.reduce((sum, walk) => sum + (walk / mean - 1) ** 2, 0);
    const each = Math.sqrt(square / Math.max(1, walks.length - 1));
    const spread = Array.from({ length: walks.length - 1 }, () => walksObservation(each));
    const before = found.slice(0, index).findLast((other) => other.ground === ground);
    if (!before) return spread;
    const variance = (n: number) => ({ xx: 1 / n, xy: 0, yy: 0 });
    const length: Observation = {
      east: Math.log(paceMetres / before.paceMetres),
      north: 0,
      rest: { xx: 1e-12, xy: 0, yy: 1 },
      effects: [
        { id: 'pace-length', unit: { xx: 2, xy: 0, yy: 0 } },
        { id: 'paced', unit: variance(walks.length) },
        { id: 'paced', unit: variance(before.walks.length) },
      ],
    };
    return [...spread, length];
  });
}
