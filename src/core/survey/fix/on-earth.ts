import { planePointOf, positionAt } from '../../place/geodesic';
import type { SharedScale } from '../../errors/sources/source';
import type { Position } from '../../readings/position';
import { azimuthOf, lengthOf, ORIGIN, vectorBetween, type PlanePoint } from '../../units/plane';
import { degrees, type Degrees } from '../../units/units';
import type { Observation } from '../observations';
import { sightLine, type BearingReadAt } from '../observations/bearing';
import { crossing, cutBetween } from './point/cuts';
import { bounded, fixBy, misfit, REFUSED_CUT, type Fix, type FixAnswer } from './point/fix';
import {
  NO_STATIONS,
  observationsOf,
  type LineFeature,
  type Sight,
  type StationsAround,
} from './sights';
import { warningOf } from './point/warnings';
import { nth } from '../../units/nth';

/** All that was read of known places, and whether the compass is in question. */
export interface EarthQuestion {
  readonly sights: readonly Sight[];
  readonly scale: SharedScale;
  readonly around: StationsAround | null;
  readonly solveCompass: boolean;
}

/** A fix on the earth; the plane of `fix` is the one about its position. */
export interface EarthFix {
  readonly position: Position;
  readonly fix: Fix;
  readonly observations: readonly Observation[];
}

export interface EarthAnswer {
  readonly found: EarthFix | null;
  readonly warnings: FixAnswer['warnings'];
}

/** Rounds until the place is where its plane begins: there bearings are exactly geodesics'. */
const MOST_PLANES = 10;
const SETTLED_METRES = 1e-3;

/** Solves in the plane about the place itself, which is found by taking it again. */
function settle(
  guess: Position,
  ask: (origin: Position, near?: PlanePoint) => FixAnswer & { asked: Observation[] },
) {
  let origin = guess;
  for (let round = 1; ; round++) {
    // The first plane finds the place among all crossings; the others only move a little.
    const { fix, warnings, asked } = ask(origin, round === 1 ? undefined : ORIGIN);
    if (!fix) return { found: null, warnings };
    const isThere = lengthOf(fix.place) < SETTLED_METRES;
    if (isThere || round === MOST_PLANES) {
      return { found: { position: origin, fix, observations: asked }, warnings };
    }
    origin = positionAt(origin, fix.place);
  }
}

/** Where a traveller is by sights of known places, with a region that holds 95 %. */
export function fixOnEarth(question: EarthQuestion): EarthAnswer {
  const { found, warnings } = solvedOnEarth(question);
  if (!found) return { found, warnings };
  const stations = question.around?.covariance ?? NO_STATIONS;
  const { solveCompass } = question;
  const { observations } = found;
  const made = bounded(found.fix, { observations, stations, solveCompass });
  return { found: { ...found, fix: made.fix }, warnings: [...warnings, ...made.warnings] };
}

/** The same by the equations as they are at the place: quick, for trying what else was read. */
export function solvedOnEarth({ sights, scale, around, solveCompass }: EarthQuestion): EarthAnswer {
  const first = sights[0];
  if (!first) return { found: null, warnings: [warningOf({ code: 'too-few' })] };
  const stations = around?.covariance ?? NO_STATIONS;
  return settle(first.mark.position, (origin, near) => {
    const observations = observationsOf(sights, origin, scale, around);
    return { ...fixBy({ observations, stations, solveCompass, near }), asked: observations };
  });
}

/** A place on a line feature that the bearings allow. */
export interface LineCrossing extends EarthFix {
  /** At which the line of sight meets the line feature. */
  readonly cutDegrees: Degrees;
}

/** Nearer than this, two crossings are one: at a corner of the line. */
const SAME_CROSSING_METRES = 1;
/** A line that winds over the lines of sight is tried at so many of its stretches. */
const MOST_STRETCHES = 30;

/**
 * The places on a line feature where the bearings meet it: at most one for each stretch that one
 * of them meets with its mark ahead, those that fit best first. Each is solved from the crossing of
 * its stretch that fits all bearings best, which is found in closed form; of a line with very many
 * such stretches the best 30 are tried.
 */
export function crossingsOnEarth(
  { sights, scale, around, solveCompass }: EarthQuestion,
  line: LineFeature,
): { crossings: LineCrossing[]; warnings: FixAnswer['warnings'] } {
  const begin = line.positions[0];
  if (!begin || sights.length === 0) {
    return { crossings: [], warnings: [warningOf({ code: 'too-few' })] };
  }
  const stations = around?.covariance ?? NO_STATIONS;
  const warnings: FixAnswer['warnings'][number][] = [];
  const why: FixAnswer['warnings'][number][] = [];
  const crossings: LineCrossing[] = [];
  for (const guess of likelyMeetings(observationsOf(sights, begin, scale, around), line, begin)) {
    const { found, warnings: said } = settle(positionAt(begin, guess.place), (origin) => {
      // A stretch is tried from its own crossing, and not from those of others.
      const [from, to] = guess.stretch.map((position) => planePointOf(origin, position));
      const { sigmaMetres } = line;
      const asked = observationsOf(sights, origin, scale, around);
      if (from && to) asked.push({ kind: 'on-line', from, to, sigmaMetres });
      return { ...fixBy({ observations: asked, stations, solveCompass, near: ORIGIN }), asked };
    });
    const { cutDegrees } = guess;
    const isFlat = cutDegrees < REFUSED_CUT;
    if (!found || isFlat) {
      why.push(...(isFlat ? [warningOf({ code: 'cut-flat', cutDegrees, refused: true })] : said));
      continue;
    }
    const isKnown = crossings.some(
      ({ position }) => lengthOf(planePointOf(position, found.position)) < SAME_CROSSING_METRES,
    );
    if (isKnown) continue;
    crossings.push({ ...found, cutDegrees });
    warnings.push(...said);
  }
  // What was wrong with a crossing that is not offered matters only where none is.
  if (crossings.length === 0) warnings.push(why[0] ?? warningOf({ code: 'no-crossing' }));
  const fit = ({ fix }: LineCrossing) => fix.test?.chiSquare ?? 0;
  return {
    crossings: crossings.sort((a, b) => fit(a) - fit(b)),
    warnings: warnings.filter(
      ({ message }, i) => warnings.findIndex((each) => each.message === message) === i,
    ),
  };
}

/** The best meeting of each stretch, the likeliest stretches first. */
function likelyMeetings(
  observations: readonly Observation[],
  line: LineFeature,
  origin: Position,
): Meeting[] {
  const best = new Map<number, Meeting & { behind: number; square: number }>();
  for (const meeting of meetings(observations, line, origin)) {
    const { behind, square } = misfit(observations, meeting.place);
    const known = best.get(meeting.corner);
    const isBetter =
      !known || behind < known.behind || (behind === known.behind && square < known.square);
    if (isBetter) best.set(meeting.corner, { ...meeting, behind, square });
  }
  return [...best.values()]
    .sort((a, b) => a.behind - b.behind || a.square - b.square || a.corner - b.corner)
    .slice(0, MOST_STRETCHES);
}

/** Where a line of sight meets a stretch of a line. */
interface Meeting {
  readonly place: PlanePoint;
  /** The corner that the stretch leads to. */
  readonly corner: number;
  readonly stretch: readonly [Position, Position];
  readonly cutDegrees: Degrees;
}

/** Where lines of sight meet the stretches of a line, with the mark ahead. */
function* meetings(
  observations: readonly Observation[],
  { positions }: LineFeature,
  origin: Position,
): Generator<Meeting> {
  const points = positions.map((position) => planePointOf(origin, position));
  const bearings = observations.filter((each): each is BearingReadAt => each.kind === 'bearing');
  for (const [i, to] of points.entries()) {
    const from = points[i - 1];
    if (!from) continue;
    const along = vectorBetween(from, to);
    const length = lengthOf(along);
    if (length === 0) continue;
    const toward = { east: along.east / length, north: along.north / length };
    for (const bearing of bearings) {
      const met = crossing(sightLine(bearing), { at: from, toward });
      // `metresOfOther` is how far before its first corner: beyond it is negative.
      const beyond = met ? -met.metresOfOther : NaN;
      if (!met || met.metres < 0 || !(beyond >= -ROUNDING && beyond <= length + ROUNDING)) continue;
      const cutDegrees = cutBetween(degrees(bearing.bearing), azimuthOf(toward));
      const [a, b] = [nth(positions, i - 1), nth(positions, i)];
      yield { place: met.place, corner: i, stretch: [a, b], cutDegrees };
    }
  }
}
/** A crossing at a corner belongs to both of its stretches. */
const ROUNDING = 1e-6;
