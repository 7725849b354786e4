import type { SharedError } from '../../errors/sources/source';
import type { North } from '../../units/bearing';
import { fail, ok, type Result } from '../../units/result';
import { radians } from '../../units/units';
import { landmarkPlaces } from '../landmarks';
import type { Network, NetworkLine, SharedPart } from '../network/readings';
import { stationNamed, type Solution, type SolvedLeg } from '../solution';
import { bearingVariance } from '../../errors/own-errors';
import { sharedAlong } from '../shared-along';
import { sharedScale } from '../shared-scale';
import { lengthOf, polar, vectorBetween } from '../../units/plane';
import { joinedParts } from './components';
import { Nodes, type StationRef } from './stations';

/** An outing of a survey, and whose it is. */
export interface Member {
  readonly solution: Solution;
  /** The person: outings of one person share a compass and a stride. Empty for not known. */
  readonly by: string;
}

/** What a line of the network was read from. */
export interface LineSource {
  readonly outing: number;
  readonly entry: number;
  /** The leg; null for a sighting. */
  readonly leg: number | null;
}

/** Outings as one network. */
export interface Party {
  readonly members: readonly Member[];
  readonly north: North;
  readonly nodes: Nodes;
  readonly network: Network;
  readonly sources: readonly LineSource[];
}

/** What an outing of a survey is called: its name, its person, or its number from 1. */
export function nameOf({ members }: Pick<Party, 'members'>, outing: number): string {
  const { solution, by } = members[outing]!;
  return solution.outing.name || by || `outing ${outing + 1}`;
}

/** Why outings are no survey. */
export type PartyFault =
  | { readonly code: 'no-outings' }
  /** Some know their declination, some do not: these, by index. */
  | { readonly code: 'mixed-norths'; readonly magnetic: readonly number[] }
  /** Nothing joins these groups of outings. */
  | { readonly code: 'not-joined'; readonly parts: readonly (readonly number[])[] };

/** Whose compass and stride an outing was read with: a person's, or its own. */
export const walkerOf = (by: string, outing: number): string =>
  by === '' ? `#${outing}` : by.toLowerCase();

/** Joins outings at the stations that are one. */
export function joinOutings(
  members: readonly Member[],
  same: readonly (readonly StationRef[])[],
): Result<Party, PartyFault> {
  const solutions = members.map(({ solution }) => solution);
  const norths = solutions.map(({ places }) => places.frame.north);
  const [north] = norths;
  if (north === undefined) return fail({ code: 'no-outings' });
  if (norths.some((each) => each !== north)) {
    const magnetic = norths.flatMap((each, index) => (each === 'magnetic' ? [index] : []));
    return fail({ code: 'mixed-norths', magnetic });
  }
  const nodes = new Nodes(solutions, same);
  const parts = joinedParts(members.length, nodes.all);
  if (parts.length > 1) return fail({ code: 'not-joined', parts });
  const sources = new SharedSources();
  const lines: NetworkLine[] = [];
  const from: LineSource[] = [];
  for (const [outing, { solution, by }] of members.entries()) {
    const prefix = walkerOf(by, outing);
    for (const leg of solution.legs) {
      lines.push(legLine(solution, leg, nodes, outing, sources, prefix));
      from.push({ outing, entry: leg.entry, leg: leg.number });
    }
    for (const { entry, line } of sightLines(solution, nodes, outing, sources, prefix)) {
      lines.push(line);
      from.push({ outing, entry, leg: null });
    }
  }
  const network = { nodes: nodes.all.length, lines, sources: sources.all };
  return ok({ members, north, nodes, network, sources: from });
}

/** The shared errors of all outings; those of one person's outings are the same. */
class SharedSources {
  readonly all: SharedError[] = [];
  private readonly byKey = new Map<string, number>();

  indexOf(error: SharedError, prefix: string): number {
    // The earth's field is off alike for all who take it from the model.
    const key = error.source === 'declination' ? error.key : `${prefix}: ${error.key}`;
    const known = this.byKey.get(key);
    if (known !== undefined) return known;
    this.byKey.set(key, this.all.length);
    this.all.push({ ...error, key });
    return this.all.length - 1;
  }
}

function legLine(
  solution: Solution,
  leg: SolvedLeg,
  nodes: Nodes,
  outing: number,
  sources: SharedSources,
  prefix: string,
): NetworkLine {
  const { bearingDegrees, metres } = leg;
  const along = polar(bearingDegrees, 1);
  const shared = solution.legs.sharedOf(leg.number).flatMap(({ error, east, north }) => {
    const share = metres === 0 ? 0 : (east * along.east + north * along.north) / metres;
    const part: SharedPart = { source: sources.indexOf(error, prefix), share };
    return share === 0 ? [] : [part];
  });
  return {
    from: nodes.of({ outing, station: leg.from }),
    to: nodes.of({ outing, station: leg.to }),
    bearing: radians(bearingDegrees),
    metres,
    alongVariance: leg.alongVariance,
    acrossVariance: leg.acrossVariance,
    shared,
  };
}

/** Sightings of stations: each checks a direction, and says nothing of how far. */
function* sightLines(
  solution: Solution,
  nodes: Nodes,
  outing: number,
  sources: SharedSources,
  prefix: string,
): Generator<{ entry: number; line: NetworkLine }> {
  const { places, errors } = solution;
  const scale = sharedScale(errors, places.frame.norths);
  for (const { name, sightings } of landmarkPlaces(solution)) {
    const seen = stationNamed(solution, name);
    if (seen === undefined) continue;
    for (const { entry, station, bearingDegrees, walked } of sightings) {
      const metres = lengthOf(vectorBetween(places.at(station), places.at(seen)));
      if (metres === 0) continue;
      const shared = sharedAlong(polar(bearingDegrees, 1), walked, scale).flatMap(
        ({ error, east, north }) => {
          if (error.of !== 'bearing' || error.sigma === 0) return [];
          return [{ source: sources.indexOf(error, prefix), share: Math.hypot(east, north) }];
        },
      );
      const line: NetworkLine = {
        from: nodes.of({ outing, station }),
        to: nodes.of({ outing, station: seen }),
        bearing: radians(bearingDegrees),
        metres,
        alongVariance: Infinity,
        acrossVariance: bearingVariance(walked, errors),
        shared,
      };
      yield { entry, line };
    }
  }
}
