import equal from 'fast-deep-equal';
import type { Area, AreaStation } from '../../core/model/area';
import type { CairnDatabase } from '../database';
import { storedArea } from './areas';

/** An area whose outings have other ids here. */
export function withIds(area: Area, renamed: ReadonlyMap<string, string>): Area {
  const here = (id: string) => renamed.get(id) ?? id;
  const group = ({ stations, ...rest }: { stations: AreaStation[] }) => ({
    ...rest,
    stations: stations.map((each) => ({ ...each, outing: here(each.outing) })),
  });
  return {
    ...area,
    outings: area.outings.map(here),
    same: area.same.map(group),
    apart: area.apart.map(group),
    ...(area.known && {
      known: area.known.map((each) => ({ ...each, outing: here(each.outing) })),
    }),
  };
}

/**
 * Adds an area of a file, inside the transaction of the import; resolves to its id here, or null
 * where the same one is there already. One with other contents is added beside it.
 */
export async function importArea(
  database: CairnDatabase,
  area: Area,
  now: Date,
  newId: () => string,
): Promise<string | null> {
  const { state, damaged } = await storedArea(database, area.id);
  if (state && !state.discarded && equal(state.area, area)) return null;
  const id = state || damaged ? newId() : area.id;
  const change = { kind: 'create' as const, area: { ...area, id } };
  await database.areas.add({ area: id, number: 0, at: now.toISOString(), change });
  return id;
}
