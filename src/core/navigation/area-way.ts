import { ellipse } from '../errors/ellipse';
import { walkerOf } from '../survey/party/party';
import type { Survey } from '../survey/party/survey';
import type { Solution } from '../survey/solution';
import { vectorBetween } from '../units/plane';
import type { Metres } from '../units/units';
import { homeMeans } from '../survey/home-means';
import { positionError } from './position-error';
import { wayAlong, type Way } from './ways/way';

/** The straight way between two places of a survey, and how far off its end may be. */
export interface AreaWay extends Way {
  readonly within95Metres: Metres;
}

/** The outing of a walker with the places of a survey: nodes are its stations. */
const solutionOf = ({ party, places }: Survey, walker: number): Solution => {
  const { solution, by } = party.members[walker]!;
  return { ...solution, places: places.forWalker(walkerOf(by, walker)) };
};

/** The way from one node to another, walked by the compass and the stride of an outing. */
export function areaWay(survey: Survey, walker: number, from: number, to: number): AreaWay {
  const solution = solutionOf(survey, walker);
  const vector = solution.places.relative(from, to);
  const { paceMetres } = homeMeans(solution.end);
  return {
    ...wayAlong(survey.party.members[walker]!.solution.places.frame, vector, paceMetres),
    within95Metres: ellipse(positionError(solution, from, to)).semiMajorMetres,
  };
}

/** A way over legs that were walked, known to go: the nodes on it, and its metres. */
export interface WalkedWay {
  readonly nodes: readonly number[];
  readonly metres: Metres;
}

/**
 * The shortest way over legs that were walked, in either direction. Source: E. W. Dijkstra, A note
 * on two problems in connexion with graphs, Numerische Mathematik 1 (1959).
 */
export function walkedWay({ party, places }: Survey, from: number, to: number): WalkedWay | null {
  const joins = new Map<number, Map<number, Metres>>();
  const join = (a: number, b: number, metres: Metres) => {
    const known = joins.get(a) ?? new Map<number, Metres>();
    joins.set(a, known.set(b, Math.min(metres, known.get(b) ?? Infinity)));
  };
  for (const [index, line] of party.network.lines.entries()) {
    if (party.sources[index]!.leg === null) continue;
    const { east, north } = vectorBetween(places.at(line.from), places.at(line.to));
    const metres = Math.hypot(east, north);
    join(line.from, line.to, metres);
    join(line.to, line.from, metres);
  }
  const reached = new Map<number, { metres: Metres; before: number | null }>();
  reached.set(from, { metres: 0, before: null });
  const open = new Set([from]);
  while (open.size > 0) {
    let at = -1;
    for (const each of open) {
      if (at < 0 || reached.get(each)!.metres < reached.get(at)!.metres) at = each;
    }
    if (at === to) return wayTo(reached, to);
    open.delete(at);
    const { metres } = reached.get(at)!;
    for (const [next, length] of joins.get(at) ?? []) {
      if (metres + length >= (reached.get(next)?.metres ?? Infinity)) continue;
      reached.set(next, { metres: metres + length, before: at });
      open.add(next);
    }
  }
  return null;
}

function wayTo(
  reached: ReadonlyMap<number, { metres: Metres; before: number | null }>,
  to: number,
): WalkedWay {
  const nodes: number[] = [];
  for (let at: number | null = to; at !== null; at = reached.get(at)!.before) nodes.push(at);
  return { nodes: nodes.reverse(), metres: reached.get(to)!.metres };
}
