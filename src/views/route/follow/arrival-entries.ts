import type { Entry } from '@/core/entries/entry';
import type { Followed } from '@/core/navigation/route/follow';
import type { RouteLeg } from '@/core/navigation/route/leg';

const WHOLE = 1;

/** Roughly which way the next leg should go: as the person said, else as the plan has it. */
export const expectedEntry = (next: RouteLeg): Entry => ({
  kind: 'expect',
  wind: next.plan.expect?.point ?? next.compassPoint,
});

/**
 * The lines that log the way to the next point as it was to be walked: roughly which way it goes,
 * and the leg that ends there. Null where no way is known.
 */
export function arrivalEntries({ next, way, direct }: Followed): Entry[] | null {
  if (!next || !way || !direct) return null;
  const value = Math.max(WHOLE, Math.round(way.distanceMetres));
  return [
    expectedEntry(next),
    {
      kind: 'leg',
      bearing: { unit: 'degrees', value: Math.round(direct.degrees) % 360, north: direct.north },
      distance:
        way.paces === null
          ? { unit: 'metres', value }
          : { unit: 'paces', value: Math.max(WHOLE, Math.round(way.paces)) },
      to: next.to,
      ...(next.plan.ground !== undefined && way.paces !== null && { ground: next.plan.ground }),
    },
  ];
}
