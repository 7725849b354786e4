import { contextAtEnd } from '@/core/log-text/interpret';
import type { Followed } from '@/core/navigation/route/follow';
import type { Solution } from '@/core/survey/solution';
import { lengthUnit } from '@/ui/units/shown';
import { bearingKeys } from '@/views/outing/entry/bearing-keys';
import { ownLength, type Draft } from '@/views/outing/entry/keypad-draft';

/** The keypad with the way to the next point on it: bearing, and paces or metres. */
export function keypadDraft(solution: Solution, { way, next }: Followed): Draft {
  const { north } = contextAtEnd(solution);
  const degrees = way?.bearing[north] ?? null;
  const paces = way?.paces ?? null;
  const count = paces ?? (way ? way.distanceMetres / lengthUnit().metres : 0);
  return {
    bearing: degrees === null ? '' : bearingKeys().ofDegrees(degrees),
    count: String(Math.max(1, Math.round(count))),
    unit: paces === null ? ownLength() : 'p',
    ground: paces === null ? undefined : next?.plan.ground,
    part: 'count',
  };
}
