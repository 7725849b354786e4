import { group } from 'd3-array';
import type { Area } from '../../core/model/area';
import type { CairnDatabase } from '../database';
import { isClash, storeFault, type StoreFault } from '../store-fault';
import type { AreaChange, AreaRecord } from './change';
import { replayArea, type AreaState, type ReplayedArea } from './replay';

/** The change log of an area. */
const areaRecords = (database: CairnDatabase, id: string): Promise<AreaRecord[]> =>
  database.areas.where('[area+number]').between([id, 0], [id, Infinity]).toArray();

/** One area by its change log. */
export const storedArea = async (database: CairnDatabase, id: string): Promise<ReplayedArea> =>
  replayArea(await areaRecords(database, id));

/** All areas that aren't deleted, the last changed first. */
export async function storedAreas(database: CairnDatabase): Promise<AreaState[]> {
  const logs = group(await database.areas.toArray(), ({ area }) => area);
  return [...logs.values()]
    .map((records) => replayArea(records).state)
    .filter((state): state is AreaState => state !== null && !state.discarded)
    .sort((a, b) => b.changedAt.localeCompare(a.changedAt));
}

/** How a change ended: durable, nothing to do, or not written. */
export type AreaOutcome =
  | { readonly kind: 'saved' }
  | { readonly kind: 'nothing' }
  | { readonly kind: 'unsaved'; readonly fault: StoreFault };

/** Tabs that keep clashing are few and quick; after this many tries something else is wrong. */
const MOST_TRIES = 64;

/**
 * Changes an area: `make` says how, on the newest state, or null for nothing to do. Durable when it
 * resolves; made again where another tab was quicker.
 */
export async function changeArea(
  database: CairnDatabase,
  id: string,
  make: (state: AreaState | null) => AreaChange | null,
  now: Date,
): Promise<AreaOutcome> {
  try {
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const { state, damaged } = await storedArea(database, id);
      if (damaged) return { kind: 'unsaved', fault: 'failed' };
      const change = make(state);
      if (!change) return { kind: 'nothing' };
      const number = (state?.number ?? -1) + 1;
      try {
        await database.areas.add({ area: id, number, at: now.toISOString(), change });
        return { kind: 'saved' };
      } catch (error) {
        if (!isClash(error)) throw error;
      }
    }
    return { kind: 'unsaved', fault: 'blocked' };
  } catch (error) {
    return { kind: 'unsaved', fault: storeFault(error) };
  }
}

/** Adds an area; one that is there stays as it is. */
export const addArea = (database: CairnDatabase, area: Area, now: Date): Promise<AreaOutcome> =>
  changeArea(database, area.id, (state) => (state ? null : { kind: 'create', area }), now);
