import type { Leg } from '../entries/entry';
import type { Covariance } from '../errors/covariance';
import type { SharedSum } from '../errors/shared-errors';
import type { ErrorSettings } from '../model/error-settings';
import type { Method } from '../model/method';
import type { Outing } from '../model/outing';
import type { GridReader } from '../readings/place/grid-reader';
import type { Position } from '../readings/position';
import { shownNorth } from '../north/norths';
import type { North } from '../units/bearing';
import type { PlanePoint } from '../units/plane';
import type { Degrees, Metres } from '../units/units';
import type { LogState } from './log-state';
import type { Places } from './places';
import type { Stations } from './stations';
import type { Mark } from './observations/observation';

/** A leg that came back to a station: where it ended, less the station. */
export interface Closure {
  readonly entry: number;
  readonly leg: number;
  readonly station: string;
  readonly misclosure: PlanePoint;
  readonly metres: Metres;
  /** The misclosure over all that was walked until then. */
  readonly ofWalked: number;
}

/** A leg where it was walked. */
export interface SolvedLeg {
  /** From 1. */
  readonly number: number;
  /** Its entry in the outing, and what was read. */
  readonly entry: number;
  readonly reading: Leg;
  /** The station where it leaves, and the one where it ended. */
  readonly from: number;
  readonly to: number;
  /** True when it came back to a station, and so made none. */
  readonly returns: boolean;
  readonly start: PlanePoint;
  /** Where it ended as walked, which is off its station when it came back to one. */
  readonly end: PlanePoint;
  /** From the frame's north. */
  readonly bearingDegrees: Degrees;
  readonly metres: Metres;
  /** Metres on the level for one of its paces; NaN where no pace is known. */
  readonly paceMetres: Metres;
  /** Variance by itself: of its length over the square, and of its bearing in radians². */
  readonly alongVariance: number;
  readonly acrossVariance: number;
  readonly covariance: Covariance;
}

/** The legs of an outing, as walked. */
export interface Legs extends Iterable<SolvedLeg> {
  readonly count: number;
  /** The leg with this number, from 1 to `count`; throws RangeError for any other. */
  leg(number: number): SolvedLeg;
  /** The leg at an entry; null where another kind of line is. */
  atEntry(entry: number): SolvedLeg | null;
  /** What a leg has of each shared error. */
  sharedOf(number: number): readonly SharedSum[];
  /** The legs on the path from the start to a station, in the order in which they were walked. */
  pathTo(station: number): SolvedLeg[];
}

/** All that follows from an outing. Station 0 is the start; leg k makes station k. */
export interface Solution {
  readonly outing: Outing;
  readonly errors: ErrorSettings;
  readonly places: Places;
  readonly legs: Legs;
  readonly closures: readonly Closure[];
  readonly names: Stations;
  readonly walkedMetres: Metres;
  /** The station where the traveller is. */
  readonly current: number;
  /** The one that the next leg leaves from: the same, unless a `from` line says another one. */
  readonly leaving: number;
  /** What the lines have set by the end of the log. */
  readonly end: Readonly<LogState>;
  /** The method by which loops became places; as walked without it. */
  readonly method?: Method;
  /** The same outing as walked, where places were adjusted. */
  readonly walked?: Solution;
  /** What it was solved with; null where its known places were left out. */
  readonly tools: SurveyTools | null;
}

/**
 * What adjusts an outing, solves its fixes and reads its places by a grid. It is passed in, since
 * few outings ask for it and the pages that one begins with do without its weight: the real ones
 * are in adjusted/survey-tools.ts.
 */
export interface SurveyTools {
  readonly readGrid: GridReader;
  /** The solution of an outing by a method, of the one as walked. */
  readonly adjusted: (walked: Solution, method: Method) => Solution;
  /** Where the start is by all that was sighted; null for nowhere. */
  readonly startOf: (solution: Solution) => Position | null;
  /** Where its known places are in its plane, by the key of their name; none without positions. */
  readonly marksOf: (solution: Solution) => ReadonlyMap<string, Mark>;
  /** The fixes at its stations. */
  readonly fixesOf: (solution: Solution) => readonly CheckedFix[];
}

/** A fix at a station, with what is wrong with it. */
interface CheckedFix {
  readonly station: number;
  /** The line of its last sighting. */
  readonly entry: number;
  readonly warnings: readonly { readonly message: string }[];
  /** Dead reckoning against it; null where the log has no position to compare with. */
  readonly reckoned: { readonly apartMetres: Metres; readonly asExpected: boolean } | null;
}

/** An outing as it was walked: what its loops and its errors are estimated from. */
export const asWalked = (solution: Solution): Solution => solution.walked ?? solution;

/** The north that an outing's ways are shown in. */
export const northShown = ({ outing, places }: Pick<Solution, 'outing' | 'places'>): North =>
  shownNorth(outing.show.north, places.frame.norths);

/** What a station is called: its given name, or its leg's number. */
export function stationName({ outing, legs }: Solution, station: number): string {
  if (station === 0) return outing.start.name;
  return legs.leg(station).reading.to ?? String(station);
}

/** The station with a name among all of the log; undefined when none has it. */
export const stationNamed = ({ names, legs }: Solution, name: string): number | undefined =>
  names.find(name, legs.count);
