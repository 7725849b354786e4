import { adjustNetwork, orderOf, type Adjusted } from '../network/adjust';
import type { Network } from '../network/readings';
import type { Metres } from '../../units/units';
import { checkedLines, type CheckedLine } from '../party/checked';
import { squareAfter, withLine } from './mended';
import { likelihood, takenOut } from './taken-out';
import { SLIPS } from '../slips';
import type { Instead, Slip, SlipId, SlipLeg } from '../slips/slip';
import { slipLegs } from './slip-legs';
import { nameOf, type LineSource, type Party } from '../party/party';
import { closuresOf } from '../party/closures';
import type { Survey } from '../party/survey';
import { wrongStations } from './wrong-station';

/** A slip that would explain what the loops came out as. */
export interface Suspect {
  readonly slip: SlipId;
  readonly source: LineSource;
  readonly lookAt: string;
  readonly instead: Instead;
  /** True where the slip goes on to the end of the outing. */
  readonly goesOn: boolean;
  /** Among all slips, and no slip at all. */
  readonly probability: number;
  /** Chi-square without it. */
  readonly chiSquareLeft: number;
  /** The largest misclosure that would be left, as walked. */
  readonly metresLeft: Metres;
  /** The slip as a sentence. */
  readonly message: string;
}

/** A slip, what it gains, and what stands instead: weighed, not yet said. */
interface Weighed {
  readonly slip: Slip;
  readonly line: number;
  readonly instead: Instead;
  readonly goesOn: boolean;
  readonly logOdds: number;
  readonly chiSquareLeft: number;
  /** The network with a line at another station. */
  readonly joined?: Network;
}

/** What the errors that were stated come out as in one of so many surveys is looked into. */
const ALARM = 0.01;

/** The slips that may explain a survey; none while its errors do. */
export const suspectsOf = ({ party, test }: Survey): Suspect[] =>
  test === null || test.p >= ALARM ? [] : suspects(party);

/** So many of the likeliest are adjusted in full. */
const MOST_ADJUSTED = 8;

/** Rounds for one of them: where a slip was made its mending settles in a few. */
const MOST_MENDED_ROUNDS = 10;

/** Legs of an outing up to which slips that go on from a leg are looked for. */
const MOST_GOING_ON = 300;

/**
 * The slips that may explain a network that its errors do not: the likeliest first.
 *
 * | symbol | meaning                                         | equation                            |
 * | h      | the line as its reading should have been        | (x_to - x_from) - J·s               |
 * | C, V   | covariance of its own reading; of h             |                                     |
 * | m, P   | h by all other readings, and its covariance     | by taking the line out: (C - V)⁻¹   |
 * | w'     | the line, if the slip was made; C', J' its own  |                                     |
 * | L      | likelihood of w' by the others                  | N(w' - m; P + C')                   |
 * | odds   | of the slip against none                        | prior · L'/L                        |
 *
 * No new solution is needed for one line. A slip that goes on is solved for, with the factor that
 * is there. Source: W. Baarda, 1968, for taking a reading out (memory); Bayes for the odds.
 */
export function suspects(party: Party): Suspect[] {
  const elimination = orderOf(party.network);
  // As read: where a slip bends the adjustment, the other lines are best left as they are.
  const adjusted = adjustNetwork(party.network, elimination, { mostRounds: 1 });
  const checked = checkedLines(adjusted);
  const legs = slipLegs(party);
  const weighed = [
    ...ofOneLine(legs, adjusted, checked),
    ...goingOn(party, legs, adjusted),
    ...wrongStations(party, adjusted, legs),
  ];
  const best = weighed.sort((a, b) => b.logOdds - a.logOdds).slice(0, MOST_ADJUSTED);
  const whole = best.map((each) => inFull(party.network, each, elimination));
  const top = Math.max(0, ...whole.map(({ logOdds }) => logOdds));
  const rest = weighed.slice(MOST_ADJUSTED);
  const sum = [...whole, ...rest].reduce(
    (total, { logOdds }) => total + Math.exp(logOdds - top),
    Math.exp(-top),
  );
  return whole
    .sort((a, b) => b.logOdds - a.logOdds)
    .map((each) => told(party, each, Math.exp(each.logOdds - top) / sum));
}

/** A slip in words, with what would be left. */
function told(party: Party, weighed: Weighed, probability: number): Suspect {
  const { slip, line, instead, goesOn, chiSquareLeft } = weighed;
  const { network, members } = party;
  const source = party.sources[line]!;
  const mended = weighed.joined ?? withLine(network, line, instead);
  const left = closuresOf({ ...party, network: mended }).map(({ metres }) => metres);
  const whose = members.length > 1 ? ` of ${nameOf(party, source.outing)}` : '';
  return {
    slip: slip.id,
    source,
    lookAt: slip.lookAt,
    instead,
    goesOn,
    probability,
    chiSquareLeft,
    metresLeft: Math.max(0, ...left),
    message: `Leg ${source.leg}${whose}: ${instead.says}.`,
  };
}

/** Slips of one line each. */
function ofOneLine(
  legs: readonly (SlipLeg | null)[],
  adjusted: Adjusted,
  checked: readonly CheckedLine[],
): Weighed[] {
  return checked.flatMap((check, line) => {
    const leg = legs[line];
    const out = leg && takenOut(adjusted, line, check);
    if (!leg || !out) return [];
    const before = likelihood(out, adjusted, line, { ...leg, suggested: null, says: '' });
    return SLIPS.flatMap((slip) =>
      slip.of(leg).map((instead): Weighed => {
        const after = likelihood(out, adjusted, line, instead);
        return {
          slip,
          line,
          instead,
          goesOn: false,
          logOdds: Math.log(slip.prior) + after.log - before.log,
          chiSquareLeft: adjusted.chiSquare - before.square + after.square,
        };
      }),
    );
  });
}

/** Slips that go on from a leg to the end of its outing, on every leg after it alike. */
function goingOn(party: Party, legs: readonly (SlipLeg | null)[], adjusted: Adjusted): Weighed[] {
  if (party.network.lines.length > MOST_GOING_ON) return [];
  return SLIPS.filter(({ goesOn }) => goesOn).flatMap((slip) =>
    party.sources.flatMap((source, line) => {
      const next = party.sources[line + 1];
      const isLast = next?.outing !== source.outing || next.leg === null;
      if (source.leg === null || isLast || !legs[line]) return [];
      const changes = party.sources.flatMap((other, index) => {
        if (other.outing !== source.outing || other.leg === null || index < line) return [];
        const instead = legs[index] && slip.of(legs[index])[0];
        return instead ? [{ line: index, instead }] : [];
      });
      const [first] = changes;
      if (first?.line !== line || changes.length < 2) return [];
      const chiSquareLeft = squareAfter(adjusted, changes);
      const gain = (adjusted.chiSquare - chiSquareLeft) / 2;
      const logOdds = Math.log(slip.prior) + gain;
      const { instead } = first;
      const onward = { ...instead, suggested: null, says: `${instead.says}, from here on` };
      return [{ slip, line, instead: onward, goesOn: true, logOdds, chiSquareLeft }];
    }),
  );
}

/** Adjusts a network with a slip mended, every line where it then lies. */
function inFull(
  network: Network,
  weighed: Weighed,
  elimination: ReturnType<typeof orderOf>,
): Weighed {
  const { instead, line, goesOn } = weighed;
  // What has no reading of its own is told by the others alone.
  if (goesOn || weighed.joined || instead.missingMetres !== undefined || instead.isNothing)
    return weighed;
  const mended = adjustNetwork(withLine(network, line, instead), elimination, {
    mostRounds: MOST_MENDED_ROUNDS,
  });
  const gain = (weighed.chiSquareLeft - mended.chiSquare) / 2;
  return { ...weighed, logOdds: weighed.logOdds + gain, chiSquareLeft: mended.chiSquare };
}
