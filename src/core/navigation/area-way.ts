import { ellipse } from '../errors/ellipse';
import { walkerOf } from '../survey/party/party';
import type { Survey } from '../survey/party/survey';
import type { Solution } from '../survey/solution';
import { slopeTangent } from '../readings/slope';
import { lengthOf, vectorBetween } from '../units/plane';
import type { Metres } from '../units/units';
import { homeMeans } from '../survey/home-means';
import { positionError } from './position-error';
import { NAISMITH_KMH, walkMinutes } from './ways/walk-time';
import { wayAlong, type Way } from './ways/way';
import { nth } from '../units/nth';

/** The straight way between two places of a survey, and how far off its end may be. */
export interface AreaWay extends Way {
  readonly within95Metres: Metres;
}

/** The outing of a walker with the places of a survey: nodes are its stations. */
const solutionOf = ({ party, places }: Survey, walker: number): Solution => {
  const { solution, by } = nth(party.members, walker);
  return { ...solution, places: places.forWalker(walkerOf(by, walker)) };
};

/** The way from one node to another, walked by the compass and the stride of an outing. */
export function areaWay(survey: Survey, walker: number, from: number, to: number): AreaWay {
  const solution = solutionOf(survey, walker);
  const vector = solution.places.relative(from, to);
  const { paceMetres } = homeMeans(solution.end);
  return {
    ...wayAlong(nth(survey.party.members, walker).solution.places.frame, vector, paceMetres),
    within95Metres: ellipse(positionError(solution, from, to)).semiMajorMetres,
  };
}

/** A way over legs that were walked, known to go: the nodes on it, its metres, its minutes. */
export interface WalkedWay {
  readonly nodes: readonly number[];
  readonly metres: Metres;
  readonly minutes: number;
}

/** What a walked way is chosen by. */
export type Shortest = 'metres' | 'minutes';

/** A leg as a stretch of a way, in one of its directions. */
interface Joint extends Record<Shortest, number> {
  readonly to: number;
}

/** What each place is joined to by legs, both ways; a climb takes its time one way. */
function jointsOf({ party, places }: Survey): ReadonlyMap<number, readonly Joint[]> {
  const joints = new Map<number, Joint[]>();
  const add = (from: number, to: number, metres: Metres, climb: Metres) => {
    const joint = { to, metres, minutes: walkMinutes(metres, NAISMITH_KMH, climb) };
    const others = joints.get(from);
    if (others) others.push(joint);
    else joints.set(from, [joint]);
  };
  for (const [index, { from, to }] of party.network.lines.entries()) {
    const { outing, leg } = nth(party.sources, index);
    if (leg === null) continue;
    const metres = lengthOf(vectorBetween(places.at(from), places.at(to)));
    const { reading } = nth(party.members, outing).solution.legs.leg(leg);
    const rise = metres * slopeTangent(reading);
    add(from, to, metres, rise);
    add(to, from, metres, -rise);
  }
  return joints;
}

interface Reached extends Record<Shortest, number> {
  readonly before: number | null;
}

/**
 * The shortest way over legs that were walked, in either direction, by metres or by time. Source:
 * E. W. Dijkstra, A note on two problems in connexion with graphs, Numerische Mathematik 1 (1959).
 */
export function walkedWay(
  survey: Survey,
  from: number,
  to: number,
  by: Shortest = 'metres',
): WalkedWay | null {
  const joints = jointsOf(survey);
  const reached = new Map<number, Reached>([[from, { metres: 0, minutes: 0, before: null }]]);
  const open = new Set([from]);
  while (open.size > 0) {
    let at = -1;
    for (const each of open) {
      if (at < 0 || reached.get(each)![by] < reached.get(at)![by]) at = each;
    }
    const here = reached.get(at)!;
    if (at === to) return wayTo(reached, to);
    open.delete(at);
    for (const joint of joints.get(at) ?? []) {
      if (here[by] + joint[by] >= (reached.get(joint.to)?.[by] ?? Infinity)) continue;
      const metres = here.metres + joint.metres;
      reached.set(joint.to, { metres, minutes: here.minutes + joint.minutes, before: at });
      open.add(joint.to);
    }
  }
  return null;
}

function wayTo(reached: ReadonlyMap<number, Reached>, to: number): WalkedWay {
  const nodes: number[] = [];
  for (let at: number | null = to; at !== null; at = reached.get(at)!.before) nodes.push(at);
  const { metres, minutes } = reached.get(to)!;
  return { nodes: nodes.reverse(), metres, minutes };
}
