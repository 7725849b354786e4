import { adjustNetwork, type Adjusted } from '../network/adjust';
import type { Network, NetworkLine } from '../network/readings';
import type { Slip, SlipLeg } from '../slips/slip';
import type { Party } from '../party/party';
import { givenName } from '../party/stations';

/** A leg that left from, or came to, another station than is written. */
const wrongStation: Slip = {
  id: 'wrong-station',
  prior: 0.005,
  lookAt: 'which station it was: its mark, and what is noted of it',
  // What is joined changes, which no leg tells by itself: see `wrongStations`.
  of: () => [],
};

/** So many other stations are tried; a survey with more lines than this is not searched. */
const MOST_TRIED = 60;
const MOST_LINES = 300;

/** Another station that a line may have left from or come to. */
interface Other {
  readonly line: number;
  readonly end: 'from' | 'to';
  readonly node: number;
}

/**
 * Lines that may hang on a wrong station: those that a `from` line led, and those that came back to
 * a station by its name. Tried at every other named station of their outing.
 */
function* others({ members, sources, network, nodes }: Party): Generator<Other> {
  for (const [line, { outing, leg }] of sources.entries()) {
    if (leg === null) continue;
    const { solution } = members[outing]!;
    const { from, to, returns } = solution.legs.leg(leg);
    const before = leg === 1 ? 0 : solution.legs.leg(leg - 1).to;
    const read = network.lines[line]!;
    for (const station of solution.places.stations()) {
      if (station >= leg) break;
      const node = nodes.of({ outing, station });
      const isNamed = station === 0 || givenName(solution, station) !== null;
      const canLeave = from !== before && station !== from && (isNamed || station === before);
      if (canLeave && node !== read.to) yield { line, end: 'from', node };
      if (returns && isNamed && station !== to && node !== read.from) {
        yield { line, end: 'to', node };
      }
    }
  }
}

/** What wrong stations would gain: each is adjusted as if it had been the other one. */
export function wrongStations(party: Party, adjusted: Adjusted, legs: readonly (SlipLeg | null)[]) {
  const { network, nodes } = party;
  if (network.lines.length > MOST_LINES) return [];
  const tried = [...others(party)].slice(0, MOST_TRIED);
  return tried.flatMap(({ line, end, node }) => {
    const leg = legs[line];
    if (!leg) return [];
    const joined = withEnd(network, line, { [end]: node });
    const { chiSquare } = adjustNetwork(joined, undefined, { mostRounds: 1 });
    const { name } = nodes.all[node]!;
    const was = nodes.all[network.lines[line]![end]]!.name;
    const instead = {
      bearingDegrees: leg.bearingDegrees,
      metres: leg.metres,
      suggested: end === 'to' ? { ...leg.reading, to: name } : null,
      says:
        end === 'to'
          ? `it came to ${name}, not to ${was}`
          : `it left from ${name}, not from ${was}`,
    };
    const odds = Math.log(wrongStation.prior / tried.length) + (adjusted.chiSquare - chiSquare) / 2;
    const weighed = { slip: wrongStation, line, instead, goesOn: false, logOdds: odds };
    return [{ ...weighed, chiSquareLeft: chiSquare, joined }];
  });
}

const withEnd = (network: Network, line: number, end: Partial<NetworkLine>): Network => ({
  ...network,
  lines: network.lines.with(line, { ...network.lines[line]!, ...end }),
});
