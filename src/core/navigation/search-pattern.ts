import type { Covariance } from '../errors/covariance';
import { within95 } from '../errors/ellipse';
import { bearingVariance, distanceVariance } from '../errors/own-errors';
import { normalised } from '../units/angle';
import { normals, uniform } from '../errors/random';
import { ORIGIN, polar, sumOf, type PlanePoint } from '../units/plane';
import { homeMeans } from '../survey/home-means';
import type { Solution } from '../survey/solution';
import type { Degrees, Metres } from '../units/units';
import { walkedBy } from './walk-errors';

/**
 * Searching for home when the walk has ended and it is not in sight. Two patterns of the trade: the
 * expanding square, whose turns are all 90° to the right and whose legs grow by a spacing after
 * every second one; and the sector search, nine legs of one length with turns of 120° that pass the
 * middle three times. Source: IAMSAR Manual, volume III (memory).
 *
 * | symbol | meaning                                                   | equation              |
 * | c0     | chance that home was in sight where the walk ended        |                       |
 * | c      | chance that it has been in sight by the end of a leg      |                       |
 * | found  | chance that the search finds it by then: it began because | (c - c0) / (1 - c0)   |
 * |        | home was not in sight                                     |                       |
 *
 * Where home may be, and where each leg is really walked, are drawn many times: a strip counts with
 * the chance that it was walked where it was meant.
 */
export interface SearchLeg {
  /** From the frame's north. */
  readonly bearingDegrees: Degrees;
  readonly metres: Metres;
  /** Where the leg ends, from where the search began. */
  readonly end: PlanePoint;
  /** Chance that home has come within sight by the end of this leg, not in sight before. */
  readonly found: number;
}

export type SearchPattern = 'square' | 'sector';

/** Tracks are this many ranges of sight apart: a little overlap for tracks that are paced. */
const SPACING_RANGES = 1.6;
/** Enough legs for any search; the square ends sooner when home is found this surely. */
const MOST_LEGS = 24;
const ENOUGH = 0.95;
const SECTOR_TURNS = [0, 120, 240, 240, 0, 120, 120, 240, 0];

/** Headings and lengths of a pattern that begins with a heading. */
function* legsOf(pattern: SearchPattern, heading: Degrees, spacing: Metres, reach: Metres) {
  if (pattern === 'square') {
    for (let k = 0; ; k++) {
      yield { bearing: normalised(heading + 90 * k), metres: spacing * (1 + Math.floor(k / 2)) };
    }
  }
  for (const turn of SECTOR_TURNS) yield { bearing: normalised(heading + turn), metres: reach };
}

/** How well a searcher walks: sigmas of a leg's length over it, and of its bearing. */
export interface SearcherErrors {
  readonly along: number;
  readonly acrossRadians: number;
}

/** How well the search is walked, by the means of the walk home. */
export function searcherErrors({ end, errors }: Solution): SearcherErrors {
  const walked = walkedBy(homeMeans(end));
  return {
    along: Math.sqrt(distanceVariance(walked, errors)),
    acrossRadians: Math.sqrt(bearingVariance(walked, errors)),
  };
}

/** Searches that begin, and draws at most until there are so many: to less than half a per cent. */
const SEARCHES = 12_000;
const MOST_DRAWS = 400_000;
const SEED = 20_260_814;

/** A search under way: where home is, and where the searcher really is, from where it began. */
interface Search {
  homeEast: number;
  homeNorth: number;
  east: number;
  north: number;
  done: boolean;
}

/** Searches from a walk that ended with home not in sight. */
function searches({ xx, xy, yy }: Covariance, range: Metres, normal: () => number): Search[] {
  const sigmaEast = Math.sqrt(Math.max(xx, 1e-9));
  const slant = xy / sigmaEast;
  const rest = Math.sqrt(Math.max(0, yy - slant * slant));
  const begun: Search[] = [];
  for (let draw = 0; draw < MOST_DRAWS && begun.length < SEARCHES; draw++) {
    const a = normal();
    const homeEast = sigmaEast * a;
    const homeNorth = slant * a + rest * normal();
    if (homeEast * homeEast + homeNorth * homeNorth <= range * range) continue;
    begun.push({ homeEast, homeNorth, east: 0, north: 0, done: false });
  }
  return begun;
}

/** Square of the distance of home from a leg as it was walked. */
function squareFromLeg(search: Search, east: number, north: number): number {
  const restEast = search.homeEast - search.east;
  const restNorth = search.homeNorth - search.north;
  const square = east * east + north * north;
  const along = restEast * east + restNorth * north;
  const t = square === 0 ? 0 : Math.max(0, Math.min(1, along / square));
  return (restEast - t * east) ** 2 + (restNorth - t * north) ** 2;
}

/**
 * A search from where the walk ended, leg by leg, with the chance of having found home so far.
 * `error` is the position error at home; `range` how far one sees, in metres, above 0; `heading`
 * that of the walk that ended, from the frame's north.
 */
export function searchPattern(
  pattern: SearchPattern,
  error: Covariance,
  range: Metres,
  heading: Degrees,
  { along, acrossRadians }: SearcherErrors,
): SearchLeg[] {
  const normal = normals(uniform(SEED));
  const begun = searches(error, range, normal);
  const reach = Math.max(2 * range, within95(error));
  const legs: SearchLeg[] = [];
  let [at, seen] = [ORIGIN, 0];
  for (const { bearing, metres } of legsOf(pattern, heading, SPACING_RANGES * range, reach)) {
    const meant = polar(bearing, metres);
    at = sumOf(at, meant);
    for (const search of begun) {
      if (search.done) continue;
      const scale = 1 + along * normal();
      const turn = acrossRadians * normal();
      const [sine, cosine] = [Math.sin(turn), Math.cos(turn)];
      const east = scale * (meant.east * cosine + meant.north * sine);
      const north = scale * (meant.north * cosine - meant.east * sine);
      if (squareFromLeg(search, east, north) <= range * range) {
        search.done = true;
        seen++;
      }
      search.east += east;
      search.north += north;
    }
    const found = begun.length === 0 ? 1 : seen / begun.length;
    legs.push({ bearingDegrees: bearing, metres, end: at, found });
    if (legs.length >= MOST_LEGS || (pattern === 'square' && found >= ENOUGH)) break;
  }
  return legs;
}
