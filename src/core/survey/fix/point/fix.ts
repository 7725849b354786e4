import { ellipse, type Ellipse } from '../../../errors/ellipse';
import { signedDifference } from '../../../units/angle';
import { lengthOf, vectorBetween, type PlanePoint } from '../../../units/plane';
import { degrees, radians, type Degrees, type Metres, type Radians } from '../../../units/units';
import type { Covariance } from '../../../errors/covariance';
import { atLeast } from '../../network/chi-square';
import { equationCount, type Observation } from '../../observations';
import { predictedBearing, sightLine, type BearingReadAt } from '../../observations/bearing';
import { readAt, type Mark, type StationCovariance } from '../../observations/observation';
import { pointFix, type PointFix, type PointOptions } from '../../observations/point-fix';
import { rowsOf } from '../../observations/rows';
import { crossing, cutsAt, guesses } from './cuts';
import { DANGER_SHARE, offDangerCircle } from './danger-circle';
import { regionOf } from './region';
import { warningOf, type FixWarning } from './warnings';

/** What is asked: everything that was read, and whether the compass is in question here. */
export interface FixQuestion {
  readonly observations: readonly Observation[];
  readonly stations: StationCovariance;
  /** True to solve for an error of the compass at this place, as by iron. */
  readonly solveCompass: boolean;
  /** Where one is nearly, where that is known; without it every crossing is tried. */
  readonly near?: PlanePoint;
}

/** A bearing of a fix, and how it fits. */
export interface FixedBearing {
  readonly observation: number;
  readonly mark: Mark;
  /** From the plane's north: as it was read, and how far it is off the line to the mark. */
  readonly readDegrees: Degrees;
  readonly residualDegrees: Degrees;
  /** The error of this reading, if it is the wrong one; null where nothing checks it. */
  readonly offDegrees: Degrees | null;
  /** Standard normal where nothing is wrong. */
  readonly w: number | null;
  readonly metres: Metres;
}

export interface Fix {
  readonly place: PlanePoint;
  readonly covariance: Covariance;
  readonly ellipse: Ellipse;
  readonly bearings: readonly FixedBearing[];
  readonly cuts: { readonly least: Degrees; readonly best: Degrees } | null;
  /** The compass's error at this place; null where it wasn't solved for. */
  readonly compass: { readonly degrees: Degrees; readonly sigmaDegrees: Degrees } | null;
  /** Whether the readings agree; null where nothing checks anything. */
  readonly test: {
    readonly chiSquare: number;
    readonly freedom: number;
    readonly p: number;
  } | null;
  /** The reading that was left out, since all others agree without it; undefined for none. */
  readonly leftOut?: number;
}

/** A fix, or null with a warning that says why there is none. */
export interface FixAnswer {
  readonly fix: Fix | null;
  readonly warnings: readonly FixWarning[];
}

/** A flatter cut is refused; one flatter than the other is reported. Common practice, no source. */
export const REFUSED_CUT: Degrees = 12;
const FLAT_CUT: Degrees = 30;

/** One sigma of a compass's error that nothing is known of: so wide that it says nothing. */
const UNKNOWN_COMPASS: Radians = 20;
/** Readings that come out so rarely by their errors disagree. */
const ALARM = 0.01;
/** Nearer to a mark than this, a direction to it says little. Common practice, no source. */
const AT_MARK_METRES: Metres = 15;

const isBearing = (each: Observation): each is BearingReadAt => each.kind === 'bearing';

/** Where a traveller is by all that was read. */
export function fixBy(question: FixQuestion): FixAnswer {
  const { observations } = question;
  const unusable = unusableReadings(observations);
  if (unusable) return { fix: null, warnings: [unusable] };
  const found = bestFix(question);
  const bearings = observations.filter(isBearing);
  if (!found || (observations.length === 2 && bearings.length === 2)) {
    const without = noCrossing(bearings);
    if (without) return { fix: null, warnings: [without] };
  }
  const fix = found && fixOf(question, found);
  const odd = (!fix || disagrees(fix, observations)) && oddOne(question);
  if (odd) return odd;
  if (!fix) return { fix: null, warnings: [warningOf({ code: 'no-crossing' })] };
  const flat = flatCut(fix, observations);
  if (flat?.refused) return { fix: null, warnings: [flat.warning] };
  return { fix, warnings: [...(flat ? [flat.warning] : []), ...warningsOf(fix, question)] };
}

/** True where the readings don't agree, or some point away from their marks. */
const disagrees = ({ test, place }: Fix, observations: readonly Observation[]): boolean =>
  (test !== null && test.p < ALARM) || behindAt(observations, place).length > 0;

/** Fewer bearings than these leave nothing that tells which of them is wrong. */
const LEAST_ROBUST = 4;

/**
 * The fix of all readings but one bearing, where that one alone keeps them from agreeing, and by
 * far: an error that no residual of all together shows. Null where none does, or several may.
 */
function oddOne(question: FixQuestion): FixAnswer | null {
  const { observations } = question;
  const bearings = [...observations.entries()].filter(([, each]) => isBearing(each));
  if (bearings.length < LEAST_ROBUST || observations.length > MOST_TRIED) return null;
  const agreeing = bearings.flatMap(([index]) => {
    const without = { ...question, observations: observations.toSpliced(index, 1) };
    const found = bestFix(without);
    const fix = found && fixOf(without, found);
    if (!fix || disagrees(fix, without.observations) || flatCut(fix, without.observations))
      return [];
    return [{ index, fix, without }];
  });
  const [only, ...others] = agreeing;
  if (!only || others.length > 0) return null;
  const { index, fix, without } = only;
  const each = observations[index] as BearingReadAt;
  const at = readAt(fix.place, each.from);
  const offDegrees = signedDifference(
    degrees(predictedBearing(at, each.mark, each.back)),
    degrees(each.bearing),
  );
  // What is off by less is reported, and named, by the residuals of all of them.
  if (Math.abs(offDegrees) < FAR_OFF) return null;
  const own = fix.bearings.map((bearing) => ({
    ...bearing,
    observation: bearing.observation + (bearing.observation >= index ? 1 : 0),
  }));
  const metres = lengthOf(vectorBetween(at, each.mark));
  const readDegrees = degrees(each.bearing);
  const left = { observation: index, mark: each.mark, readDegrees, w: null, metres };
  const odd = { ...left, residualDegrees: offDegrees, offDegrees };
  const all = [...own, odd].sort((a, b) => a.observation - b.observation);
  const suspects = [{ name: each.mark.name, offDegrees }];
  return {
    fix: { ...fix, bearings: all, leftOut: index },
    warnings: [
      warningOf({ code: 'bearing-disagrees', suspects, isLeftOut: true }),
      ...warningsOf(fix, without),
    ],
  };
}
/** An error of this many degrees is no error of reading. Common practice, no source. */
const FAR_OFF: Degrees = 30;
/** Of more readings none is left out in turn. */
const MOST_TRIED = 30;

/** The fix with a region that holds 95 % as its readings bend, and a warning where none does. */
export function bounded(fix: Fix, question: FixQuestion): { fix: Fix; warnings: FixWarning[] } {
  const options = optionsOf(question);
  const { leftOut } = fix;
  const { observations } = question;
  const used = leftOut === undefined ? observations : observations.toSpliced(leftOut, 1);
  const found = pointFix(used, fix.place, options);
  if (!found) return { fix, warnings: [] };
  const { covariance, isBounded } = regionOf(used, found, options);
  return {
    fix: { ...fix, covariance, ellipse: ellipse(covariance) },
    warnings: isBounded ? [] : [warningOf({ code: 'no-bound' })],
  };
}

const optionsOf = ({ stations, solveCompass }: FixQuestion): PointOptions => ({
  stations,
  compassHere: solveCompass ? UNKNOWN_COMPASS ** 2 : 0,
});

/** Why readings tell no place, before anything is computed. */
function unusableReadings(observations: readonly Observation[]): FixWarning | null {
  if (observations.length > MOST_READINGS) {
    return warningOf({ code: 'too-many', most: MOST_READINGS });
  }
  const here = observations.filter(isBearing).filter(({ from }) => from === null);
  for (const [i, one] of here.entries()) {
    for (const other of here.slice(i + 1)) {
      const isOne = lengthOf(vectorBetween(one.mark, other.mark)) < SAME_MARK_METRES;
      const [name, second] = [one.mark.name, other.mark.name];
      if (isOne) return warningOf({ code: 'same-mark', name, second });
    }
  }
  const lines = observations.reduce((sum, each) => sum + equationCount(each), 0);
  return lines < 2 ? warningOf({ code: 'too-few' }) : null;
}
const SAME_MARK_METRES: Metres = 1;

/** Why two bearings don't meet in front of the traveller; null where they do. */
function noCrossing(bearings: readonly BearingReadAt[]): FixWarning | null {
  const [one, other] = bearings;
  if (!one || !other || bearings.length > 2) return null;
  const met = crossing(sightLine(one), sightLine(other));
  if (!met) return warningOf({ code: 'bearings-alike', names: [one.mark.name, other.mark.name] });
  const behind = [
    ...(met.metres < 0 ? [one.mark.name] : []),
    ...(met.metresOfOther < 0 ? [other.mark.name] : []),
  ];
  return behind.length > 0 ? warningOf({ code: 'behind', names: behind }) : null;
}

/** The work grows with the cube of the readings: so many take a tenth of a second or so. */
export const MOST_READINGS = 100;
/** So many of the guesses are solved from, where two readings at a time give more. */
const MOST_GUESSES = 12;

/**
 * The guesses to solve from: all of a few; of many those that fit best as they are, with the fewest
 * bearings that point away from their marks. Shared errors are left out of that, which only ranks.
 */
function likelyGuesses({ observations, solveCompass }: FixQuestion): PlanePoint[] {
  // With the compass in question the lines cross elsewhere: as they would by errors that it has.
  const all = solveCompass
    ? TURNS.flatMap((turn) => guesses(observations.map((each) => turnedBy(each, turn))))
    : guesses(observations);
  if (all.length <= MOST_GUESSES) return all;
  return all
    .map((guess) => ({ guess, ...misfit(observations, guess) }))
    .sort((a, b) => a.behind - b.behind || a.square - b.square)
    .slice(0, MOST_GUESSES)
    .map(({ guess }) => guess);
}

const TURNS: readonly Radians[] = [0, -10, 10, -20, 20].map(radians);
const turnedBy = (each: Observation, turn: Radians): Observation =>
  each.kind === 'bearing' && each.from === null && !each.back
    ? { ...each, bearing: each.bearing + turn }
    : each;

/** How badly readings fit a place, by their own errors alone; and how many point away. */
export function misfit(observations: readonly Observation[], place: PlanePoint) {
  let square = 0;
  for (const [i, each] of observations.entries()) {
    for (const { w, own } of rowsOf(each, i, place)) square += w ** 2 / Math.max(own, LEAST_OWN);
  }
  return { square, behind: behindAt(observations, place).length };
}
/** Standing at a place has no error of its own: as if it were read to a metre. */
const LEAST_OWN = 1e-6;

/** The best of the places that the guesses lead to: ahead of every mark, and fitting best. */
function bestFix(question: FixQuestion): PointFix | null {
  const { observations, near } = question;
  const options = optionsOf(question);
  const found = (near ? [near] : likelyGuesses(question)).flatMap((guess) => {
    const fix = pointFix(observations, guess, options);
    return fix?.settled ? [{ fix, behind: behindAt(observations, fix.place).length }] : [];
  });
  found.sort((a, b) => a.behind - b.behind || a.fix.chiSquare - b.fix.chiSquare);
  return found[0]?.fix ?? null;
}

/** The bearings that point away from their marks at a place. */
const behindAt = (observations: readonly Observation[], place: PlanePoint): BearingReadAt[] =>
  observations.filter(isBearing).filter(({ bearing, mark, from, back }) => {
    const predicted = predictedBearing(readAt(place, from), mark, back);
    return Math.cos(bearing - predicted) < 0;
  });

function fixOf({ observations }: FixQuestion, found: PointFix): Fix {
  const { place, covariance, compassHere, chiSquare } = found;
  const freedom = found.redundancy - (compassHere ? 1 : 0);
  const bearings = found.tests.flatMap(({ row, w, off }): FixedBearing[] => {
    const each = observations[row.observation];
    if (each?.kind !== 'bearing') return [];
    const here = compassHere && each.from === null && !each.back ? compassHere.value : 0;
    return [
      {
        observation: row.observation,
        mark: each.mark,
        readDegrees: degrees(each.bearing),
        residualDegrees: degrees(row.w - here),
        offDegrees: off === null ? null : degrees(off),
        w,
        metres: lengthOf(vectorBetween(readAt(place, each.from), each.mark)),
      },
    ];
  });
  return {
    place,
    covariance,
    ellipse: ellipse(covariance),
    bearings,
    cuts: cutsAt(observations, place),
    compass: compassHere && {
      degrees: degrees(compassHere.value),
      sigmaDegrees: degrees(compassHere.sigma),
    },
    test: freedom > 0 ? { chiSquare, freedom, p: atLeast(chiSquare, freedom) } : null,
  };
}

/** A cut that is too flat; not asked where the traveller stood somewhere that is known. */
function flatCut({ cuts }: Fix, observations: readonly Observation[]) {
  if (!cuts || observations.some(({ kind }) => kind === 'at')) return null;
  const refused = cuts.best < REFUSED_CUT;
  if (!refused && cuts.best >= FLAT_CUT) return null;
  return { refused, warning: warningOf({ code: 'cut-flat', cutDegrees: cuts.best, refused }) };
}

function warningsOf(fix: Fix, { observations, solveCompass }: FixQuestion): FixWarning[] {
  const found: FixWarning[] = [];
  const behind = behindAt(observations, fix.place).map(({ mark }) => mark.name);
  if (behind.length > 0) found.push(warningOf({ code: 'behind', names: behind }));
  else if (fix.test && fix.test.p < ALARM) found.push(disagreement(fix.bearings));
  for (const { mark, metres } of fix.bearings) {
    if (metres < AT_MARK_METRES) found.push(warningOf({ code: 'at-mark', name: mark.name }));
  }
  if (solveCompass) {
    const off = offDangerCircle(
      fix.place,
      fix.bearings.map(({ mark }) => mark),
    );
    if (off !== null && off < DANGER_SHARE) found.push(warningOf({ code: 'danger-circle' }));
  }
  return found;
}

/** The bearings that may be the one that disagrees, where that is not as good as all of them. */
function disagreement(bearings: readonly FixedBearing[]): FixWarning {
  const square = ({ w }: FixedBearing) => (w ?? 0) ** 2;
  const most = Math.max(...bearings.map(square));
  const suspects = bearings
    .filter((each) => most - square(each) < 2 * Math.log(PLAINLY_LIKELIER))
    .sort((a, b) => square(b) - square(a));
  return warningOf({
    code: 'bearing-disagrees',
    suspects: suspects.flatMap(({ mark: { name }, offDegrees }) =>
      offDegrees === null || suspects.length > MOST_NAMED ? [] : [{ name, offDegrees }],
    ),
  });
}
/** A bearing is cleared if another is so many times as likely to be the wrong one. */
const PLAINLY_LIKELIER = 5;
const MOST_NAMED = 2;
