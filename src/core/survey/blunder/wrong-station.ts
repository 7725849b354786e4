import { adjustNetwork, spare, type Adjusted } from '../network/adjust';
import { atLeast } from '../network/chi-square';
import type { Network } from '../network/readings';
import { stationsOf } from '../party/closures';
import { Joined } from '../party/components';
import type { Slip, SlipLeg } from '../slips/slip';
import type { Party } from '../party/party';
import { givenName } from '../party/stations';
import { nth } from '../../units/nth';

/** A leg that left from, or came to, another station than is written. */
const wrongStation: Slip = {
  id: 'wrong-station',
  prior: 0.005,
  lookAt: 'which station it was: its mark, and what is noted of it',
  // What is joined changes, which no leg tells by itself: see `wrongStations`.
  of: () => [],
};

/** A survey with more lines than this is not searched. */
const MOST_LINES = 300;
/** Of the stations nearest to where the others put the end, so many are tried. */
const MOST_TRIED = 4;

/** Ends of lines that may be at another station, all at the same one. */
interface Moving {
  /** The line that names the station. */
  readonly line: number;
  readonly end: 'from' | 'to';
  readonly ends: readonly (readonly [line: number, end: 'from' | 'to'])[];
  /** True where writing another name there says it all: what follows hangs on the name. */
  readonly isNameAlone: boolean;
}

/** Every way in which a leg of a survey may hang on a wrong station. */
function* movings({ members, sources, network }: Party): Generator<Moving> {
  const lineOf = new Map(
    sources.flatMap(({ outing, leg }, line) => (leg === null ? [] : [[`${outing} ${leg}`, line]])),
  );
  for (const [line, { outing, leg }] of sources.entries()) {
    if (leg === null) continue;
    const { legs } = nth(members, outing).solution;
    const { from, to, returns, reading } = legs.leg(leg);
    const before = leg === 1 ? 0 : legs.leg(leg - 1).to;
    if (from !== before) yield { line, end: 'from', ends: [[line, 'from']], isNameAlone: false };
    if (reading.to === undefined) continue;
    const named = [line, 'to'] as const;
    const next = leg < legs.count && legs.leg(leg + 1).from === to ? leg + 1 : null;
    const following = lineOf.get(`${outing} ${next}`);
    // What goes on from the wrong name moves with it.
    const thisTime = following === undefined ? [named] : [named, [following, 'from'] as const];
    yield { line, end: 'to', ends: thisTime, isNameAlone: true };
    if (returns) {
      if (thisTime.length > 1) yield { line, end: 'to', ends: [named], isNameAlone: false };
      continue;
    }
    // Or whatever this outing has at the station that it named.
    const here = nth(network.lines, line).to;
    const ends: (readonly [number, 'from' | 'to'])[] = [];
    for (const [other, source] of sources.entries()) {
      if (source.outing !== outing || source.leg === null || other === line) continue;
      if (nth(network.lines, other).from === here) ends.push([other, 'from']);
      if (nth(network.lines, other).to === here) ends.push([other, 'to']);
    }
    if (ends.length >= thisTime.length) {
      yield { line, end: 'to', ends: [named, ...ends], isNameAlone: false };
    }
  }
}

/** The network with some ends of lines at another node. */
function withEnds(network: Network, { ends }: Moving, node: number): Network {
  const lines = [...network.lines];
  for (const [line, end] of ends) lines[line] = { ...nth(lines, line), [end]: node };
  return { ...network, lines };
}

/** True where lines join all nodes that they join now, and none begins where it ends. */
function isWhole({ nodes, lines }: Network): boolean {
  const joined = new Joined(nodes);
  let parts = nodes;
  for (const { from, to } of lines) {
    if (from === to) return false;
    if (joined.join(from, to)) parts--;
  }
  return parts === 1;
}

/** Why the ends are looked at: nothing where another station would leave the test failing. */
function apart(network: Network, moving: Moving): Adjusted | null {
  // A place of its own, whose readings say where it is: as good as any other station can be. It
  // comes after the stations, and before the landmarks.
  const own = stationsOf(network);
  const behind = (node: number) => (node < own ? node : node + 1);
  const lines = network.lines.map((line) => ({
    ...line,
    from: behind(line.from),
    to: behind(line.to),
  }));
  const free = withEnds({ ...network, lines, nodes: network.nodes + 1 }, moving, own);
  if (!isWhole(free)) return null;
  const adjusted = adjustNetwork(free, undefined, { mostRounds: 1 });
  const freedom = spare(free);
  const passes = freedom <= 0 || atLeast(adjusted.chiSquare, freedom) >= LEAST_PASSING;
  return passes ? adjusted : null;
}
/** A round as the lines were read is not the last word: rather more are tried. */
const LEAST_PASSING = 1e-4;

/**
 * A leg that came to none of the named stations, but to a place of its own. Where that is nobody
 * knows beforehand: anywhere over the survey, against as finely as the others tell it.
 */
function ownPlace(
  { network, nodes }: Party,
  line: number,
  leg: SlipLeg,
  before: Adjusted,
  free: Adjusted,
  stations: number,
) {
  const was = nth(network.lines, line).to;
  const own = stationsOf(network);
  const gain = before.chiSquare - free.chiSquare;
  const at = (node: number) =>
    [nth(free.places, 2 * node), nth(free.places, 2 * node + 1)] as const;
  const off = Math.hypot(at(own)[0] - at(was)[0], at(own)[1] - at(was)[1]);
  if (!(gain > 0) || off === 0) return null;
  const spread = (axis: 0 | 1) => {
    const all = nodes.all.map((_, node) => at(node)[axis]);
    return Math.max(...all) - Math.min(...all) + AROUND_METRES;
  };
  // How finely, one sigma: so far off is so many sigmas.
  const fine = (2 * Math.PI * off * off) / gain / (spread(0) * spread(1));
  const instead = {
    bearingDegrees: leg.bearingDegrees,
    metres: leg.metres,
    suggested: null,
    says: `it did not come to ${nth(nodes.all, was).name}, but to another place`,
  };
  const logOdds = Math.log(wrongStation.prior / stations) + Math.log(Math.min(1, fine)) + gain / 2;
  const weighed = { slip: wrongStation, line, instead, goesOn: false, logOdds };
  return { ...weighed, chiSquareLeft: free.chiSquare, joined: free.network };
}
/** A place that nobody else came to is on the survey, or about as far beside it as a leg goes. */
const AROUND_METRES = 300;

/**
 * What wrong stations would gain, at any station of any outing: each end is first set free, and
 * where the others then put it the nearest stations are tried.
 */
export function wrongStations(party: Party, before: Adjusted, legs: readonly (SlipLeg | null)[]) {
  const { network, nodes, members } = party;
  if (network.lines.length > MOST_LINES) return [];
  const stations = nodes.all.flatMap((each, node) =>
    node === 0 ||
    each.stations.some(({ outing, station }) => {
      const { solution } = nth(members, outing);
      return station === 0 || givenName(solution, station) !== null;
    })
      ? [node]
      : [],
  );
  return [...movings(party)].flatMap((moving) => {
    const { line, end, isNameAlone } = moving;
    const leg = legs[line];
    const free = leg && apart(network, moving);
    if (!leg || !free) return [];
    const was = nth(network.lines, line)[end];
    const off = (node: number) =>
      Math.hypot(
        nth(free.places, 2 * node) - nth(free.places, 2 * stationsOf(network)),
        nth(free.places, 2 * node + 1) - nth(free.places, 2 * stationsOf(network) + 1),
      );
    const own = end === 'to' ? ownPlace(party, line, leg, before, free, stations.length) : null;
    const nearest = stations
      .filter((node) => node !== was && isWhole(withEnds(network, moving, node)))
      .sort((one, other) => off(one) - off(other))
      .slice(0, MOST_TRIED);
    const named = nearest.map((node) => {
      const joined = withEnds(network, moving, node);
      const { chiSquare } = adjustNetwork(joined, undefined, { mostRounds: 1 });
      const [name, wasNamed] = [nth(nodes.all, node).name, nth(nodes.all, was).name];
      const instead = {
        bearingDegrees: leg.bearingDegrees,
        metres: leg.metres,
        suggested: end === 'to' && isNameAlone ? { ...leg.reading, to: name } : null,
        says:
          end === 'to'
            ? `it came to ${name}, not to ${wasNamed}`
            : `it left from ${name}, not from ${wasNamed}`,
      };
      const prior = Math.log(wrongStation.prior / stations.length);
      const logOdds = prior + (before.chiSquare - chiSquare) / 2;
      const weighed = { slip: wrongStation, line, instead, goesOn: false, logOdds };
      return { ...weighed, chiSquareLeft: chiSquare, joined };
    });
    return own ? [own, ...named] : named;
  });
}
