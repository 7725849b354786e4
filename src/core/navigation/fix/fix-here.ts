import { readBearingText } from '../../readings/texts/read-bearing-text';
import { readDistanceText } from '../../readings/texts/read-distance-text';
import type { Fault } from '../../faults/fault';
import { planePointOf } from '../../place/geodesic';
import { isLine, type KnownPlace } from '../../model/known-place';
import { convertedReading } from '../../north/norths';
import { bearingDegrees, type BearingReading } from '../../readings/bearing';
import type { DistanceReading } from '../../readings/distance';
import type { Position } from '../../readings/position';
import { nameKey } from '../../readings/name';
import { comparedWith, startSight, type Comparison } from '../../survey/fix/log-fix';
import { logSights } from '../../survey/fix/log-sights';
import { nextMark, type NextMark } from '../../survey/fix/next-mark';
import {
  crossingsOnEarth,
  fixOnEarth,
  type EarthAnswer,
  type EarthFix,
  type LineCrossing,
} from '../../survey/fix/on-earth';
import { readSight } from '../../survey/fix/read-sight';
import {
  NO_STATIONS,
  squareSigma,
  StationsAround,
  type KnownMark,
  type LineFeature,
  type Sight,
} from '../../survey/fix/sights';
import { slipsHere, type FixSlip, type WrittenSight } from '../../survey/fix/slips-here';
import { sharedScale } from '../../survey/shared-scale';
import { asWalked, type Solution } from '../../survey/solution';
import { lengthOf } from '../../units/plane';
import { fail, ok, type Result } from '../../units/result';
import type { Degrees } from '../../units/units';
import { nth } from '../../units/nth';

/** A bearing of the draft of a fix, as it was typed. */
export interface DraftSight {
  /** The known place, by id. */
  readonly place: string;
  readonly bearing: string;
  /** True where the bearing was read at the place, towards here. */
  readonly back: boolean;
  /** A paced or measured distance from it; empty for none. */
  readonly distance: string;
}

/** What is typed of a fix, and not logged. */
export interface FixDraft {
  readonly sights: readonly DraftSight[];
  /** The line that one is on, by id; null for none. */
  readonly line: string | null;
  readonly solveCompass: boolean;
  /** True to use what the log tells of where one is. */
  readonly withLog: boolean;
  /** Of a fix without an outing, as it was typed; empty for the model's. */
  readonly declination: string;
}

/** A sight of the draft: read, or why it can't be. */
export interface SightRead {
  readonly draft: DraftSight;
  readonly place: KnownPlace | null;
  readonly bearing: BearingReading | null;
  readonly fault: { readonly of: 'bearing' | 'distance'; readonly fault: Fault } | null;
  readonly sight: Sight | null;
}

/** A direction from true north as it was typed. */
export function directionRead(text: string, { end, places }: Solution): Result<Degrees, Fault> {
  const read = readBearingText(text, end.readingNorth);
  if (!read.ok) return read;
  const { frame } = places;
  const bearing = { degrees: bearingDegrees(read.value), north: read.value.north };
  const found = convertedReading(bearing, 'true', frame.norths);
  return found ? ok(found.degrees) : fail({ code: 'no-declination', north: 'true' });
}

/** All that a fix view shows. */
export interface FixHere extends EarthAnswer {
  readonly sights: readonly SightRead[];
  readonly crossings: readonly LineCrossing[];
  /** How many sights and places of the log were used. */
  readonly fromLog: number;
  readonly next: NextMark | null;
  readonly slips: readonly FixSlip[];
  readonly reckoned: Comparison | null;
}

export const markOf = ({ name, positions, withinMetres }: KnownPlace): KnownMark => ({
  name,
  position: nth(positions, 0),
  sigmaMetres: squareSigma(withinMetres),
});

/** Known places by how near they are; as they are where nobody knows from where. */
export function nearestFirst(known: readonly KnownPlace[], at: Position | null): KnownPlace[] {
  if (!at) return [...known];
  const metres = new Map(
    known.map((place) => [place, lengthOf(planePointOf(at, nth(place.positions, 0)))]),
  );
  return [...known].sort((a, b) => (metres.get(a) ?? 0) - (metres.get(b) ?? 0));
}

/** How well a line of a map is drawn and read, one sigma: the width of a pen. Common practice. */
const LINE_METRES = 15;

export const lineOf = ({ name, positions, withinMetres }: KnownPlace): LineFeature => ({
  name,
  positions,
  sigmaMetres: withinMetres === undefined ? LINE_METRES : squareSigma(withinMetres),
});

/** One sight of the draft, by the compass and the paces at the end of the log. */
function sightRead(
  draft: DraftSight,
  marks: ReadonlyMap<string, { place: KnownPlace; mark: KnownMark }>,
  solution: Solution,
): SightRead {
  const { place = null, mark = null } = marks.get(draft.place) ?? {};
  const unread = { draft, place, bearing: null, fault: null, sight: null };
  const { end, places } = solution;
  const typed = draft.bearing.trim();
  const bearing = typed === '' ? null : readBearingText(typed, end.readingNorth);
  if (bearing && !bearing.ok) return { ...unread, fault: { of: 'bearing', fault: bearing.fault } };
  const reading = bearing?.value ?? null;
  const distance = readDistanceOf(draft.distance);
  if (distance && !distance.ok) {
    return { ...unread, bearing: reading, fault: { of: 'distance', fault: distance.fault } };
  }
  if (!mark || (!reading && !distance)) return { ...unread, bearing: reading };
  const asked = { mark, bearing: reading, back: draft.back, distance: distance?.value ?? null };
  const sight = readSight(asked, end, places.frame.norths);
  if (sight) return { ...unread, bearing: reading, sight };
  return { ...unread, bearing: reading, fault: unusable(reading, asked.distance) };
}

const readDistanceOf = (text: string) => (text.trim() === '' ? null : readDistanceText(text));

/** Why a sight that was read can't be used. */
function unusable(
  bearing: BearingReading | null,
  distance: DistanceReading | null,
): SightRead['fault'] {
  if (distance && (distance.unit === 'paces' || distance.unit === 'steps')) {
    return { of: 'distance', fault: { code: 'no-pace', unit: distance.unit } };
  }
  const north = bearing?.north === 'grid' ? 'grid' : 'true';
  return { of: 'bearing', fault: { code: 'no-declination', north } };
}

/** What the log tells of where one is: its start, and what was sighted from its stations. */
function sightsOfLog(solution: Solution, here: readonly SightRead[]): Sight[] {
  const taken = new Set(here.flatMap(({ sight }) => (sight ? [nameKey(sight.mark.name)] : [])));
  // How far it is from where the others were read is known in paces alone.
  const isInPaces = solution.places.frame.unit === 'pace';
  const logged = logSights(solution).filter(({ station, mark }) => {
    if (station !== solution.current) return !isInPaces;
    // What is being read again here counts once.
    return !taken.has(nameKey(mark.name));
  });
  const [walked] = here.flatMap(({ sight }) => sight?.walked ?? []);
  const start = walked && !isInPaces ? startSight(solution, walked) : null;
  return [...(start ? [start] : []), ...logged];
}

/** Where one is at the end of a log, by a draft and what the log tells. */
export function fixHere(
  solution: Solution,
  draft: FixDraft,
  known: readonly KnownPlace[],
): FixHere {
  const marks = new Map(
    known.flatMap((place) =>
      isLine(place) ? [] : [[place.id, { place, mark: markOf(place) }] as const],
    ),
  );
  const sights = draft.sights.map((each) => sightRead(each, marks, solution));
  const here = sights.flatMap(({ sight }) => sight ?? []);
  const fromLog = draft.withLog ? sightsOfLog(solution, sights) : [];
  const around =
    fromLog.length > 0 ? new StationsAround(asWalked(solution).places, solution.current) : null;
  const question = {
    sights: [...here, ...fromLog],
    scale: sharedScale(solution.errors, solution.places.frame.norths),
    around,
    solveCompass: draft.solveCompass,
  };
  const line = known.find(({ id }) => id === draft.line);
  const onLine = line && isLine(line) ? crossingsOnEarth(question, lineOf(line)) : null;
  const answer: EarthAnswer = onLine
    ? { found: onLine.crossings[0] ?? null, warnings: onLine.warnings }
    : fixOnEarth(question);
  const { found } = answer;
  const options = {
    stations: around?.covariance ?? NO_STATIONS,
    compassHere: draft.solveCompass ? Math.PI ** 2 : 0,
  };
  return {
    ...answer,
    sights,
    crossings: onLine?.crossings ?? [],
    fromLog: fromLog.length,
    next:
      found &&
      nextMark(
        found,
        [...marks.values()].map(({ mark }) => mark),
        options,
      ),
    slips: slipsOf(sights, question, solution),
    reckoned: found && comparison(solution, here, found, draft),
  };
}

/** Dead reckoning against the bearings that were read here, by themselves. */
function comparison(
  solution: Solution,
  here: readonly Sight[],
  found: EarthFix,
  { withLog, line }: FixDraft,
): Comparison | null {
  if (!withLog) return comparedWith(solution, solution.current, found);
  if (line !== null) return null;
  const scale = sharedScale(solution.errors, solution.places.frame.norths);
  const alone = fixOnEarth({ sights: here, scale, around: null, solveCompass: false }).found;
  return alone && comparedWith(solution, solution.current, alone);
}

function slipsOf(
  sights: readonly SightRead[],
  question: Parameters<typeof fixOnEarth>[0],
  { places }: Solution,
): FixSlip[] {
  const written = sights.flatMap(({ sight, bearing }): WrittenSight[] =>
    sight && bearing ? [{ ...sight, reading: bearing }] : [],
  );
  if (question.solveCompass) return [];
  return slipsHere({ ...question, around: null, sights: written }, places.frame.norths);
}
