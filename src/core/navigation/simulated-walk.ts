import type { LineHome, SearchForHome } from '../errors/arrivals';
import { bearingVariance, distanceVariance } from '../errors/own-errors';
import type { Walk } from '../errors/random-walks';
import type { SharedSum } from '../errors/shared-errors';
import { fineness } from '../errors/sources';
import type { SharedError } from '../errors/sources/source';
import { finenessDegrees } from '../readings/bearing';
import { homeMeans } from '../survey/home-means';
import { sharedAlong } from '../survey/shared-along';
import { sharedScale } from '../survey/shared-scale';
import type { Solution, SolvedLeg } from '../survey/solution';
import { azimuthOf, lengthOf, polar, vectorBetween, type PlanePoint } from '../units/plane';
import { radians } from '../units/units';
import { walkedBy } from './walk-errors';
import type { SearchLeg, SearcherErrors } from './search-pattern';
import { longestAlong, type AimOff } from './ways/aim-off';
import type { WayHome } from './ways/ways-home';

/** A row of a walk, with how much it has of each shared error. */
interface Row {
  readonly vector: PlanePoint;
  readonly along: number;
  readonly across: number;
  readonly sector: number;
  readonly shares: readonly { readonly error: SharedError; readonly share: number }[];
}

/** Shares are distinguished to a hundredth: a column is drawn for each mixture of them. */
function shareOf(sum: SharedSum, { east, north }: PlanePoint) {
  const square = east * east + north * north;
  const share = square === 0 ? 0 : (sum.east * east + sum.north * north) / square;
  return { error: sum.error, share: Math.round(100 * share) / 100 };
}

/** The fineness of a reading doesn't depend on the means. */
const ANY_MEANS = { aim: 'landmark', compass: '', distance: 'measured', pace: null } as const;

/** A bearing read to a compass point is drawn over its sector, not as a normal. */
function rowOfLeg({ legs, errors }: Solution, leg: SolvedLeg): Row {
  const vector = vectorBetween(leg.start, leg.end);
  const coarse = finenessDegrees(leg.reading.bearing);
  const walked = { ...walkedBy(ANY_MEANS), finenessDegrees: coarse };
  const shortened = leg.reading.back ? 0 : (fineness.distance?.(walked, errors) ?? 0);
  const isCoarse = shortened > 0;
  const ofSector = isCoarse ? (fineness.bearing?.(walked, errors) ?? 0) : 0;
  return {
    vector,
    along: Math.sqrt(Math.max(0, leg.alongVariance - shortened)),
    across: Math.sqrt(Math.max(0, leg.acrossVariance - ofSector)),
    sector: isCoarse ? radians(coarse) : 0,
    shares: legs.sharedOf(leg.number).map((sum) => shareOf(sum, vector)),
  };
}

/** The legs from the start to where the traveller is, and the walk from there along a vector. */
export function walkOf(solution: Solution, ...home: readonly PlanePoint[]): Walk {
  const { legs, current, end, errors, places } = solution;
  const walked = walkedBy(homeMeans(end));
  const scale = sharedScale(errors, places.frame.norths);
  const homeRows = home.map((vector): Row => ({
    vector,
    along: Math.sqrt(distanceVariance(walked, errors)),
    across: Math.sqrt(bearingVariance(walked, errors)),
    sector: 0,
    shares: sharedAlong(vector, walked, scale).map((sum) => shareOf(sum, vector)),
  }));
  return columnsOf([...legs.pathTo(current).map((leg) => rowOfLeg(solution, leg)), ...homeRows]);
}

/** Rows in columns; those with the same mixture of shared errors have it drawn once. */
function columnsOf(rows: readonly Row[]): Walk {
  const shared = new Map<string, { readonly index: number; readonly sigma: number }>();
  for (const { shares } of rows) {
    for (const { error } of shares) {
      if (shared.has(error.key)) continue;
      shared.set(error.key, { index: shared.size, sigma: error.sigma });
    }
  }
  const mixtures: Float64Array[] = [];
  const numbers = new Map<string, number>();
  const mixtureOf = ({ shares }: Row, of: SharedError['of']): number => {
    const some = shares.filter(({ error }) => error.of === of);
    if (some.length === 0) return 0;
    const key = some.map(({ error, share }) => `${error.key} ${share}`).join('\n');
    const known = numbers.get(key);
    if (known !== undefined) return known;
    const amounts = new Float64Array(shared.size);
    for (const { error, share } of some) amounts[shared.get(error.key)!.index]! += share;
    mixtures.push(amounts);
    numbers.set(key, mixtures.length);
    return mixtures.length;
  };
  return {
    bearing: Float64Array.from(rows, ({ vector }) => radians(azimuthOf(vector))),
    length: Float64Array.from(rows, ({ vector }) => lengthOf(vector)),
    alongSigma: Float64Array.from(rows, ({ along }) => along),
    acrossSigma: Float64Array.from(rows, ({ across }) => across),
    sector: Float64Array.from(rows, ({ sector }) => sector),
    turn: Int32Array.from(rows, (row) => mixtureOf(row, 'bearing')),
    scale: Int32Array.from(rows, (row) => mixtureOf(row, 'distance')),
    sharedSigma: Float64Array.from([...shared.values()], ({ sigma }) => sigma),
    mixtures,
  };
}

/** The walk out and straight home. */
export const straightWalk = (solution: Solution): Walk =>
  walkOf(solution, solution.places.relative(solution.current, 0));

/** The walk out and the aimed-off walk home. */
export const aimOffWalk = (solution: Solution, aim: AimOff): Walk =>
  walkOf(solution, polar(aim.bearingDegrees, aim.distanceMetres));

/** The walk out, and home by a way: over its stretches, or to the line that it aims off onto. */
export function walkBy(solution: Solution, { aim, stretches }: WayHome): Walk {
  if (aim) return aimOffWalk(solution, aim);
  const { north } = solution.places.frame;
  return walkOf(
    solution,
    ...stretches.map(({ bearing, distanceMetres }) => polar(bearing[north] ?? 0, distanceMetres)),
  );
}

/** A pattern as simulated searchers walk it. */
export const searchForHome = (
  legs: readonly SearchLeg[],
  { along, acrossRadians }: SearcherErrors,
): SearchForHome => ({
  bearing: Float64Array.from(legs, ({ bearingDegrees }) => radians(bearingDegrees)),
  length: Float64Array.from(legs, ({ metres }) => metres),
  alongSigma: along,
  acrossSigma: acrossRadians,
});

/** The line as simulated walks follow it: the aim is the other way along it than home. */
export const lineHome = (aim: AimOff): LineHome => ({
  azimuth: radians(aim.lineDegrees + 180),
  mostMetres: longestAlong(aim),
});
