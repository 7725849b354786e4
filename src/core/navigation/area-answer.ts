import type { Area, AreaStation } from '../model/area';
import type { Adjusted } from '../survey/network/adjust';
import { areaMembers, proposedByName, type AreaMembers } from '../survey/party/area-members';
import { suspectsOf, type Suspect } from '../survey/blunder/suspects';
import { proposedByNearness, type NearPair } from '../survey/party/near';
import { joinOutings, type PartyFault } from '../survey/party/party';
import { leastSquares } from '../survey/party/places-by';
import { survey, type Survey } from '../survey/party/survey';
import type { Solution } from '../survey/solution';

/** What takes time: it may be found in another thread, and posted. */
export interface AreaParts {
  readonly adjusted: Adjusted | null;
  readonly suspects: readonly Suspect[];
  readonly near: readonly NearPair[];
}

/** All that follows from an area and its outings. */
export interface AreaAnswer {
  readonly found: AreaMembers;
  /** Stations of one name to ask about. */
  readonly named: readonly (readonly AreaStation[])[];
  readonly joined:
    | (Pick<AreaParts, 'suspects' | 'near'> & { readonly ok: true; readonly survey: Survey })
    | { readonly ok: false; readonly fault: PartyFault };
}

type Solutions = ReadonlyMap<string, Solution>;

/** As walked, and nothing looked for: what is shown while the rest is found, or was cancelled. */
export const NO_PARTS: AreaParts = { adjusted: null, suspects: [], near: [] };

/** Adjusts an area, and looks for what disagrees; `onRound` may throw to end it. */
export function areaParts(
  area: Area,
  solutions: Solutions,
  onRound?: (round: number) => void,
): AreaParts {
  const found = areaMembers(area, solutions);
  const party = joinOutings(found.members, found.same, found.known);
  if (!party.ok) return NO_PARTS;
  const adjusted = leastSquares(party.value.network, onRound ? { onRound } : {});
  const solved = survey(party.value, area.method, adjusted);
  const near = proposedByNearness(area, found, solved);
  return { adjusted, suspects: suspectsOf(solved), near };
}

/** Solves an area: its outings as one survey, what disagrees, and what to ask the person. */
export function areaAnswer(
  area: Area,
  solutions: Solutions,
  { adjusted, suspects, near }: AreaParts = areaParts(area, solutions),
): AreaAnswer {
  const found = areaMembers(area, solutions);
  const named = proposedByName(area, found);
  const party = joinOutings(found.members, found.same, found.known);
  if (!party.ok) return { found, named, joined: party };
  const solved = survey(party.value, area.method, adjusted);
  return { found, named, joined: { ok: true, survey: solved, suspects, near } };
}
