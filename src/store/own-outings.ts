import type { Area } from '../core/model/area';
import type { Outing } from '../core/model/outing';
import { nameKey } from '../core/readings/name';
import { Recognition } from './recognised';

/**
 * The outings that tell of one person, each walk once: those `by` them, and those by nobody, unless
 * an area joins them with somebody else's. Without a name only those by nobody are theirs.
 */
export function ownOutings(
  outings: readonly Outing[],
  areas: readonly Area[],
  name: string | null,
): Outing[] {
  const mine = name === null ? null : nameKey(name);
  const others = new Set(
    outings.flatMap(({ id, by }) => (by !== undefined && nameKey(by) !== mine ? [id] : [])),
  );
  const ofAParty = new Set(
    areas.filter((area) => area.outings.some((id) => others.has(id))).flatMap((a) => a.outings),
  );
  const own = outings.filter(({ id, by }) =>
    by === undefined ? !ofAParty.has(id) : !others.has(id),
  );
  const kept: Outing[] = [];
  for (const outing of own) if (!new Recognition(kept).find(outing)) kept.push(outing);
  return kept;
}
