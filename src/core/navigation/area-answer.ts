import type { Area } from '../model/area';
import { areaMembers, proposedByName, type AreaMembers } from '../survey/party/area-members';
import { proposedByNearness, type NearPair } from '../survey/party/near';
import { joinOutings, type PartyFault } from '../survey/party/party';
import { survey, type Survey } from '../survey/party/survey';
import { suspectsOf, type Suspect } from '../survey/blunder/suspects';
import type { AreaStation } from '../model/area';
import type { Solution } from '../survey/solution';

/** All that follows from an area and its outings. */
export interface AreaAnswer {
  readonly found: AreaMembers;
  /** Stations of one name to ask about. */
  readonly named: readonly (readonly AreaStation[])[];
  readonly joined:
    | {
        readonly ok: true;
        readonly survey: Survey;
        readonly suspects: readonly Suspect[];
        readonly near: readonly NearPair[];
      }
    | { readonly ok: false; readonly fault: PartyFault };
}

/** Solves an area: its outings as one survey, what disagrees, and what to ask the person. */
export function areaAnswer(area: Area, solutions: ReadonlyMap<string, Solution>): AreaAnswer {
  const found = areaMembers(area, solutions);
  const named = proposedByName(area, found);
  const party = joinOutings(found.members, found.same);
  if (!party.ok) return { found, named, joined: party };
  const solved = survey(party.value, area.method);
  const suspects = suspectsOf(solved);
  const near = proposedByNearness(area, found, solved);
  return { found, named, joined: { ok: true, survey: solved, suspects, near } };
}
