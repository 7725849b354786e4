import { checkedLines, isUnchecked } from './checked';
import type { LineSource } from './party';
import type { Survey } from './survey';
import { nth } from '../../units/nth';

/** The legs that nothing checks: no loop goes over them, and they were not read back. */
export function uncheckedOf({ party, adjusted }: Survey): LineSource[] {
  const legs = party.sources.map(({ outing, leg }) =>
    leg === null ? null : nth(party.members, outing).solution.legs.leg(leg),
  );
  const checked = adjusted && checkedLines(adjusted);
  return party.sources.filter((_, line) => {
    const leg = legs[line];
    if (!leg || leg.reading.back !== undefined) return false;
    return !checked || isUnchecked(nth(checked, line));
  });
}
