import { adjustNetwork, orderOf, spare, type Adjusted } from '../network/adjust';
import { atLeast } from '../network/chi-square';
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
import { nth } from '../../units/nth';

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
  /** The slip as a sentence, with the second one where only two together explain it. */
  readonly message: string;
  /** The second slip, in a leg of its own; null where one is enough. */
  readonly second: { readonly source: LineSource; readonly slip: SlipId } | null;
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
  /** What explains it together with this one. */
  readonly second?: Weighed;
}

/** What the errors that were stated come out as in one of so many surveys is looked into. */
const ALARM = 0.01;

/** The slips that may explain a survey; none while its errors do. */
export const suspectsOf = ({ party, test }: Survey): Suspect[] =>
  test === null || test.p >= ALARM ? [] : suspects(party);

/** So many of the likeliest are adjusted in full. */
const MOST_ADJUSTED = 12;

/** Where one slip is not enough, the likeliest of so many legs are tried with a second. */
const MOST_FIRST = 6;

/** Rounds for one of them: where a slip was made its mending settles in a few. */
const MOST_MENDED_ROUNDS = 10;

/** Legs of an outing up to which slips that go on from a leg are looked for. */
const MOST_GOING_ON = 300;

/**
 * How often a leg is wrong in a way that is none of these, by any angle and length: it takes part
 * in the odds, and is never named. Common practice, no source.
 */
const OTHER_PRIOR = 0.002;

/**
 * The slips that explain a network that its errors do not: the likeliest first. One is offered only
 * where the loops pass with it; where none is enough, two that are enough together.
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
  const { weighed, logOddsOfOther } = weigh(party);
  const single = inFull(party.network, weighed);
  const explains = ({ chiSquareLeft, instead, joined }: Weighed) => {
    // What says nothing any more leaves two readings less.
    const freedom = spare(joined ?? party.network) - (instead.missingMetres === undefined ? 0 : 2);
    return freedom <= 0 || atLeast(chiSquareLeft, freedom) >= ALARM;
  };
  const enough = single.filter(explains);
  const found =
    enough.length > 0
      ? enough
      : firstOf(weighed)
          .flatMap((first) => pairs(party, first))
          .filter(explains);
  const all = [...found, ...(enough.length > 0 ? [] : single)].map(({ logOdds }) => logOdds);
  const top = Math.max(0, logOddsOfOther, ...all);
  const none = Math.exp(-top) + Math.exp(logOddsOfOther - top);
  const sum = all.reduce((total, logOdds) => total + Math.exp(logOdds - top), none);
  return found
    .sort((a, b) => b.logOdds - a.logOdds)
    .slice(0, MOST_ADJUSTED)
    .map((each) => suspectOf(party, each, Math.exp(each.logOdds - top) / sum));
}

/** Every slip of every line, as it would gain, and what some other mistake would. */
function weigh(party: Party) {
  // As read: a mistake distorts the adjustment, so the other lines are not turned around it.
  const adjusted = adjustNetwork(party.network, undefined, { mostRounds: 1 });
  const legs = slipLegs(party);
  const { weighed, logOddsOfOther } = ofOneLine(legs, adjusted, checkedLines(adjusted));
  const all = [
    ...weighed,
    ...goingOn(party, legs, adjusted),
    ...wrongStations(party, adjusted, legs),
  ];
  return { weighed: all, logOddsOfOther };
}

/** The likeliest of them, adjusted as the network then is. */
function inFull(network: Network, weighed: readonly Weighed[]): Weighed[] {
  const elimination = orderOf(network);
  return [...weighed]
    .sort((a, b) => b.logOdds - a.logOdds)
    .slice(0, MOST_ADJUSTED)
    .map((each) => adjustedInFull(network, each, elimination))
    .sort((a, b) => b.logOdds - a.logOdds);
}

/** The slips that may be the first of two: in legs of their own, the likeliest of each leg. */
function firstOf(weighed: readonly Weighed[]): Weighed[] {
  const lines = new Set<number>();
  return [...weighed]
    .sort((a, b) => b.logOdds - a.logOdds)
    .filter(({ line, goesOn, instead }) => {
      if (goesOn || instead.missingMetres !== undefined || lines.has(line)) return false;
      lines.add(line);
      return true;
    })
    .slice(0, MOST_FIRST);
}

/** A slip with each of those that are likeliest once it is mended, in another leg. */
function pairs(party: Party, first: Weighed): Weighed[] {
  const network = first.joined ?? withLine(party.network, first.line, first.instead);
  const { weighed } = weigh({ ...party, network });
  const others = weighed.filter(({ line, goesOn }) => line !== first.line && !goesOn);
  return inFull(network, others)
    .slice(0, MOST_FIRST)
    .map((second) => ({
      ...first,
      second,
      joined: second.joined ?? withLine(network, second.line, second.instead),
      logOdds: first.logOdds + second.logOdds,
      chiSquareLeft: second.chiSquareLeft,
    }));
}

/** A slip in words, with what would be left. */
function suspectOf(party: Party, weighed: Weighed, probability: number): Suspect {
  const { slip, line, instead, goesOn, chiSquareLeft, second } = weighed;
  const { members } = party;
  const source = nth(party.sources, line);
  const says = (each: Weighed) => {
    const { leg, outing } = nth(party.sources, each.line);
    const whose = members.length > 1 ? ` of ${nameOf(party, outing)}` : '';
    return `Leg ${leg}${whose}: ${each.instead.says}.`;
  };
  const left = closuresOf(mendedParty(party, weighed)).map(({ metres }) => metres);
  return {
    slip: slip.id,
    source,
    lookAt: slip.lookAt,
    instead,
    goesOn,
    probability,
    chiSquareLeft,
    metresLeft: Math.max(0, ...left),
    message: [weighed, ...(second ? [second] : [])].map(says).join(' And '),
    second: second ? { source: nth(party.sources, second.line), slip: second.slip.id } : null,
  };
}

/** The party as its loops are with a slip mended; without a line that says nothing any more. */
function mendedParty(party: Party, { line, instead, joined }: Weighed): Party {
  const { network, sources } = party;
  if (joined || instead.missingMetres === undefined) {
    return { ...party, network: joined ?? withLine(network, line, instead) };
  }
  const lines = network.lines.toSpliced(line, 1);
  return { ...party, network: { ...network, lines }, sources: sources.toSpliced(line, 1) };
}

/** Slips of one line each, and some other mistake of any line. */
function ofOneLine(
  legs: readonly (SlipLeg | null)[],
  adjusted: Adjusted,
  checked: readonly CheckedLine[],
) {
  const weighed: Weighed[] = [];
  const other: number[] = [];
  for (const [line, check] of checked.entries()) {
    const leg = legs[line];
    const out = leg && takenOut(adjusted, line, check);
    if (!leg || !out) continue;
    const asWritten = { ...leg, suggested: null, says: '' };
    const before = likelihood(out, adjusted, line, asWritten);
    const missingMetres = leg.metres / Math.SQRT2;
    const anywhere = likelihood(out, adjusted, line, { ...asWritten, missingMetres });
    other.push(Math.log(OTHER_PRIOR) + anywhere.log - before.log);
    for (const slip of SLIPS) {
      for (const instead of slip.of(leg)) {
        const after = likelihood(out, adjusted, line, instead);
        weighed.push({
          slip,
          line,
          instead,
          goesOn: false,
          logOdds: Math.log(slip.prior) + after.log - before.log,
          chiSquareLeft: adjusted.chiSquare - before.square + after.square,
        });
      }
    }
  }
  const most = Math.max(...other, -Infinity);
  const sum = other.reduce((total, logOdds) => total + Math.exp(logOdds - most), 0);
  return { weighed, logOddsOfOther: other.length === 0 ? -Infinity : most + Math.log(sum) };
}

/** Slips that go on from a leg to the end of its outing, on every leg after it alike. */
function goingOn(party: Party, legs: readonly (SlipLeg | null)[], adjusted: Adjusted): Weighed[] {
  if (party.network.lines.length > MOST_GOING_ON) return [];
  return SLIPS.filter(({ goesOn }) => goesOn).flatMap((slip) =>
    party.sources.flatMap((source, line) => {
      const next = party.sources[line + 1];
      const isLast = next?.outing !== source.outing || next.leg === null;
      if (source.leg === null || isLast || !legs[line]) return [];
      return slip.of(legs[line]).flatMap((instead, way): Weighed[] => {
        const changes = party.sources.flatMap((other, index) => {
          if (other.outing !== source.outing || other.leg === null || index < line) return [];
          const each = legs[index] && slip.of(legs[index])[way];
          return each ? [{ line: index, instead: each }] : [];
        });
        if (changes.length < 2) return [];
        const chiSquareLeft = squareAfter(adjusted, changes);
        const gain = (adjusted.chiSquare - chiSquareLeft) / 2;
        const logOdds = Math.log(slip.prior) + gain;
        const onward = { ...instead, suggested: null, says: `${instead.says}, from here on` };
        return [{ slip, line, instead: onward, goesOn: true, logOdds, chiSquareLeft }];
      });
    }),
  );
}

/** Adjusts a network with a slip mended, every line where it then lies. */
function adjustedInFull(
  network: Network,
  weighed: Weighed,
  elimination: ReturnType<typeof orderOf>,
): Weighed {
  const { instead, line, goesOn } = weighed;
  // What has no reading of its own is checked by the others alone.
  if (goesOn || weighed.joined || instead.missingMetres !== undefined || instead.isNothing)
    return weighed;
  const mended = adjustNetwork(withLine(network, line, instead), elimination, {
    mostRounds: MOST_MENDED_ROUNDS,
  });
  const gain = (weighed.chiSquareLeft - mended.chiSquare) / 2;
  return { ...weighed, logOdds: weighed.logOdds + gain, chiSquareLeft: mended.chiSquare };
}
