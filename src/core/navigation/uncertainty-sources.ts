import {
  legCovariance,
  NO_COVARIANCE,
  sumCovariance,
  totalVariance,
  type Covariance,
} from '../errors/covariance';
import { within95 } from '../errors/ellipse';
import type { Means } from '../errors/means';
import { covarianceOfSum, type SharedSum } from '../errors/shared-errors';
import { ERROR_SOURCES } from '../errors/sources';
import type { ErrorSource, SourceId } from '../errors/sources/source';
import type { ErrorSettings } from '../model/error-settings';
import { homeMeans } from '../survey/home-means';
import { legParts, type Part } from '../survey/leg-parts';
import { asWalked, type Solution, type SolvedLeg } from '../survey/solution';
import { vectorBetween, type PlanePoint } from '../units/plane';
import type { Metres } from '../units/units';
import { missOf, walkedBy, walkErrors } from './walk-errors';

/** What one source adds to the uncertainty where a walk ends. */
export interface Contribution {
  readonly source: SourceId;
  /** The aim or the ground that it is about; empty where it has none. */
  readonly about: string;
  readonly shared: boolean;
  /** True for the walk's own, false for the path's and for what is shared. */
  readonly isWalk: boolean;
  /** How many readings it is made of; 1 for what is shared. */
  readonly count: number;
  readonly covariance: Covariance;
}

/** The legs between two stations: those on one of their paths from the start, not on both. */
export function legsBetween({ legs }: Solution, from: number, to: number): SolvedLeg[] {
  const [one, other] = [legs.pathTo(from), legs.pathTo(to)];
  let common = 0;
  while (common < one.length && one[common]?.number === other[common]?.number) common++;
  return [...one.slice(common), ...other.slice(common)];
}

/** Contributions added up by source, and by what they are about. */
class Sums {
  private readonly sums = new Map<string, Contribution>();

  add(found: Contribution): void {
    const key = `${found.source} ${found.about} ${found.isWalk}`;
    const met = this.sums.get(key);
    this.sums.set(
      key,
      met
        ? {
            ...found,
            count: met.count + found.count,
            covariance: sumCovariance(met.covariance, found.covariance),
          }
        : found,
    );
  }

  get all(): Contribution[] {
    return [...this.sums.values()].filter(({ covariance }) => totalVariance(covariance) > 0);
  }
}

/**
 * Where the uncertainty at the end of the straight walk between two stations comes from: by source,
 * and by aim or ground. Together they are the position error.
 */
export function contributions(
  given: Solution,
  from: number,
  to: number,
  means: Means = homeMeans(given.end),
): Contribution[] {
  // An adjustment makes errors smaller together: what each one was worth is as walked.
  const solution = asWalked(given);
  const sums = new Sums();
  addOwn(sums, solution, legsBetween(solution, from, to));
  const home = solution.places.relative(from, to);
  const metres = Math.hypot(home.east, home.north);
  const walk: Part = { walked: walkedBy(means), back: null, metres, across: false };
  for (const source of OWN) {
    const found = ownOf(source, walk, home, solution.errors);
    if (found) sums.add({ ...found, isWalk: true });
  }
  addShared(sums, missOf(home, walkErrors(solution, [home], means)).shared);
  return sums.all;
}

/** The same of a loop: of some legs, and of what they share on the way around. */
export function contributionsAround(
  solution: Solution,
  legs: readonly SolvedLeg[],
  shared: readonly SharedSum[],
): Contribution[] {
  const sums = new Sums();
  addOwn(sums, solution, legs);
  addShared(sums, shared);
  return sums.all;
}

const OWN = ERROR_SOURCES.filter(({ bearing, distance }) => bearing ?? distance);

function addOwn(sums: Sums, solution: Solution, legs: readonly SolvedLeg[]): void {
  const parts = legParts(solution);
  for (const leg of legs) {
    const vector = vectorBetween(leg.start, leg.end);
    for (const part of parts.get(leg.number) ?? []) {
      for (const source of OWN) {
        const found = ownOf(source, part, vector, solution.errors);
        if (found) sums.add(found);
      }
    }
  }
}

function addShared(sums: Sums, shared: readonly SharedSum[]): void {
  for (const sum of shared) {
    const { source, about } = sum.error;
    const covariance = covarianceOfSum(sum);
    sums.add({ source, about, shared: true, isWalk: false, count: 1, covariance });
  }
}

/** What a source adds by itself to one part of a leg, whose direction is that of `vector`. */
function ownOf(
  { id, bearing, distance, about }: ErrorSource,
  { walked, back, metres, across }: Part,
  vector: PlanePoint,
  errors: ErrorSettings,
): Contribution | null {
  const weight = back?.weight ?? 0;
  const turn =
    (1 - weight) ** 2 * (bearing?.(walked, errors) ?? 0) +
    (back ? weight ** 2 * (bearing?.(back.walked, errors) ?? 0) : 0);
  const scale = distance?.(walked, errors) ?? 0;
  if (turn === 0 && scale === 0) return null;
  const length = Math.hypot(vector.east, vector.north);
  const share = length === 0 ? 0 : metres / length;
  const along = { east: vector.east * share, north: vector.north * share };
  return {
    source: id,
    about: about?.(walked.means) ?? '',
    shared: false,
    isWalk: false,
    count: back ? 2 : 1,
    covariance: across ? legCovariance(along, turn, scale) : legCovariance(along, scale, turn),
  };
}

/** Half-axes of the 95 % ellipses of what comes from distances, from bearings, and from both. */
export interface UncertaintySplit {
  readonly fromPaceMetres: Metres;
  readonly fromBearingsMetres: Metres;
  readonly togetherMetres: Metres;
}

/** Splits contributions into distances and bearings; the two add up as squares, not as metres. */
export function splitOf(found: readonly Contribution[]): UncertaintySplit {
  const ofBearing = new Set(ERROR_SOURCES.flatMap(({ id, of }) => (of === 'bearing' ? id : [])));
  const sum = (some: readonly Contribution[]) =>
    within95(
      some.reduce((total, { covariance }) => sumCovariance(total, covariance), NO_COVARIANCE),
    );
  return {
    fromPaceMetres: sum(found.filter(({ source }) => !ofBearing.has(source))),
    fromBearingsMetres: sum(found.filter(({ source }) => ofBearing.has(source))),
    togetherMetres: sum(found),
  };
}

/** A source with its share of the variance at the end of a walk. */
export interface SourceShare {
  readonly source: SourceId;
  readonly about: string;
  readonly shared: boolean;
  readonly share: number;
}

/** Contributions as shares of their sum, the largest first. */
export function sharesOf(found: readonly Contribution[]): SourceShare[] {
  const total = found.reduce((sum, { covariance }) => sum + totalVariance(covariance), 0);
  const shares = new Map<string, SourceShare>();
  for (const { source, about, shared, covariance } of found) {
    const key = `${source} ${about}`;
    const share = (shares.get(key)?.share ?? 0) + totalVariance(covariance) / total;
    shares.set(key, { source, about, shared, share });
  }
  return [...shares.values()].sort((a, b) => b.share - a.share);
}
