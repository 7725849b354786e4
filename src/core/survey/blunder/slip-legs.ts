import { metresAlong } from '../../readings/distance';
import type { Solution, SolvedLeg } from '../solution';
import type { SlipLeg } from '../slips/slip';
import type { Party } from '../party/party';
import { nth } from '../../units/nth';

/** The legs of a survey as slips look at them, by the line of the network; null for a sighting. */
export function slipLegs({ members, sources }: Party): (SlipLeg | null)[] {
  const last: (SlipLeg | null)[] = members.map(() => null);
  return sources.map(({ outing, leg }) => {
    if (leg === null) return null;
    const { solution } = nth(members, outing);
    const found = slipLeg(solution, solution.legs.leg(leg), nth(last, outing));
    // What came before the leg before is of no use, and would be kept alive by it.
    last[outing] = { ...found, before: null };
    return found;
  });
}

function slipLeg(solution: Solution, leg: SolvedLeg, before: SlipLeg | null): SlipLeg {
  const { reading, bearingDegrees, metres, paceMetres } = leg;
  const { norths } = solution.places.frame;
  const box = boxOn(solution, leg);
  return { reading, bearingDegrees, metres, paceMetres, norths, before, box };
}

/** The obstacle that was boxed on a leg; null for none, or for several. */
function boxOn({ outing }: Solution, { entry, paceMetres }: SolvedLeg): SlipLeg['box'] {
  const found: SlipLeg['box'][] = [];
  for (let index = entry + 1; index < outing.entries.length; index++) {
    const line = nth(outing.entries, index);
    if (line.kind === 'leg') break;
    if (line.kind !== 'box') continue;
    found.push({ side: line.side, outMetres: metresAlong(line.out, paceMetres) });
  }
  return found.length === 1 ? nth(found, 0) : null;
}
