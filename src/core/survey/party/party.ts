import { nameKey } from '../../readings/name';
import type { North } from '../../units/bearing';
import { azimuthOf, lengthOf, type PlanePoint } from '../../units/plane';
import { fail, ok, type Result } from '../../units/result';
import { radians, type Metres } from '../../units/units';
import type { Network, NetworkLine } from '../network/readings';
import type { Solution } from '../solution';
import { joinedParts } from './components';
import { OutingLines, SharedSources } from './outing-lines';
import { Nodes, type StationRef } from './stations';
import { nth } from '../../units/nth';

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
  const { solution, by } = nth(members, outing);
  return solution.outing.name || by || `outing ${outing + 1}`;
}

/** Why outings are no survey. */
export type PartyFault =
  | { readonly code: 'no-outings' }
  /** Some know their declination, some do not: these, by index. */
  | { readonly code: 'mixed-norths'; readonly magnetic: readonly number[] }
  /** These are worked in paces, which are no lengths beside another's. */
  | { readonly code: 'in-paces'; readonly outings: readonly number[] }
  /** Nothing joins these groups of outings. */
  | { readonly code: 'not-joined'; readonly parts: readonly (readonly number[])[] };

/** Whose compass and stride an outing was read with: a person's, or its own. */
export const walkerOf = (by: string, outing: number): string =>
  by === '' ? `#${outing}` : by.toLowerCase();

/** A landmark of an outing, by its name. */
interface LandmarkRef {
  readonly outing: number;
  readonly landmark: string;
}

/** A place that a map tells: a station or a landmark, and where the map has it, from the origin. */
export interface KnownPlace {
  readonly at: StationRef | LandmarkRef;
  readonly place: PlanePoint;
  /** How well it is known, one sigma; half of a reference to ten metres without it. */
  readonly sigmaMetres?: Metres;
}

/** Common practice, no source. */
const KNOWN_METRES: Metres = 5;

/** Joins outings at the stations that are one; `known` are places that a map tells. */
export function joinOutings(
  members: readonly Member[],
  same: readonly (readonly StationRef[])[],
  known: readonly KnownPlace[] = [],
): Result<Party, PartyFault> {
  const solutions = members.map(({ solution }) => solution);
  const norths = solutions.map(({ places }) => places.frame.north);
  const [north] = norths;
  if (north === undefined) return fail({ code: 'no-outings' });
  if (norths.some((each) => each !== north)) {
    const magnetic = norths.flatMap((each, index) => (each === 'magnetic' ? [index] : []));
    return fail({ code: 'mixed-norths', magnetic });
  }
  const inPaces = strangersInPaces(members);
  if (inPaces.length > 0) return fail({ code: 'in-paces', outings: inPaces });
  const nodes = new Nodes(solutions, same);
  const parts = joinedParts(members.length, nodes.all);
  if (parts.length > 1) return fail({ code: 'not-joined', parts });
  const sources = new SharedSources();
  const lines: NetworkLine[] = [];
  const from: LineSource[] = [];
  // Landmarks come after the stations. Those of two outings are never taken for one.
  const landmarks = new Map<string, number>();
  for (const [outing, { solution, by }] of members.entries()) {
    const prefix = walkerOf(by, outing);
    const onMap = knownLandmarks(known, outing);
    const landmark = (name: string) => {
      // One that the map has at the origin is the origin: a line to it would have no direction.
      const place = onMap.get(nameKey(name));
      if (place && lengthOf(place) === 0) return 0;
      const key = landmarkKey({ outing, landmark: name });
      const node = landmarks.get(key) ?? nodes.all.length + landmarks.size;
      landmarks.set(key, node);
      return node;
    };
    for (const each of new OutingLines(solution, nodes, outing, sources, prefix, landmark, onMap)) {
      lines.push(each.line);
      from.push({ outing, entry: each.entry, leg: each.leg });
    }
  }
  // Last: by then the outings have come to every place, and a map only checks where they are.
  for (const { at, place, sigmaMetres } of known) {
    const node = 'station' in at ? nodes.of(at) : landmarks.get(landmarkKey(at));
    const line = node === undefined ? null : knownLine(node, place, sigmaMetres);
    if (!line) continue;
    lines.push(line);
    from.push({ outing: at.outing, entry: -1, leg: null });
  }
  const network = {
    nodes: nodes.all.length + landmarks.size,
    landmarks: landmarks.size,
    lines,
    sources: sources.all,
    locals: sources.locals,
  };
  return ok({ members, north, nodes, network, sources: from });
}

/** The outings that are worked in paces, unless all are, and in those of one person. */
function strangersInPaces(members: readonly Member[]): number[] {
  const found = members.flatMap(({ solution }, outing) =>
    solution.places.frame.unit === 'pace' ? [outing] : [],
  );
  const walkers = new Set(members.map(({ by }, outing) => walkerOf(by, outing)));
  return found.length === members.length && walkers.size === 1 ? [] : found;
}

const landmarkKey = ({ outing, landmark }: LandmarkRef) => `${outing} ${nameKey(landmark)}`;

/** The landmarks of an outing that are on the map, by the keys of their names. */
function knownLandmarks(known: readonly KnownPlace[], outing: number): Map<string, PlanePoint> {
  const found = new Map<string, PlanePoint>();
  for (const { at, place } of known) {
    if ('landmark' in at && at.outing === outing) found.set(nameKey(at.landmark), place);
  }
  return found;
}

/** Where a map has a place, from the origin; null where the origin is that place. */
function knownLine(
  node: number,
  place: PlanePoint,
  sigmaMetres: Metres = KNOWN_METRES,
): NetworkLine | null {
  const metres = lengthOf(place);
  if (node === 0 || metres === 0) return null;
  const variance = (sigmaMetres / metres) ** 2;
  return {
    from: 0,
    to: node,
    bearing: radians(azimuthOf(place)),
    metres,
    alongVariance: variance,
    acrossVariance: variance,
    shared: [],
  };
}
