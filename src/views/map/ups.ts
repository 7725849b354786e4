import { northEastOf } from '@/core/north/norths';
import { normalised } from '@/core/units/angle';
import type { North } from '@/core/units/bearing';
import type { Degrees } from '@/core/units/units';
import type { MapBase } from './base';
import { legAhead, northsOf, type MapContext } from './layers/context';

/** A direction that can be up, as the turn of the map that it takes. */
export interface Up {
  readonly key: North | 'picture' | 'leg';
  readonly turn: Degrees;
}

const NORTHS: readonly North[] = ['true', 'grid', 'magnetic'];

/** Directions that can be up: norths that are known, the leg ahead, the picture's own. */
export function upsOf(base: MapBase, context: MapContext): Up[] {
  const { tie, opened } = base;
  const first: Up[] = opened ? [{ key: 'picture', turn: 0 }] : [];
  if (!tie) return first;
  const norths = northsOf(context);
  const turn = (azimuth: Degrees) => normalised(azimuth - tie.upDegrees);
  const known = NORTHS.flatMap((key): Up[] => {
    const east = key === tie.north ? 0 : norths && northEastOf(tie.north, key, norths);
    return east === null ? [] : [{ key, turn: turn(east) }];
  });
  const leg = legAhead(context)?.bearing[tie.north] ?? null;
  return [...first, ...known, ...(leg === null ? [] : [{ key: 'leg' as const, turn: turn(leg) }])];
}
