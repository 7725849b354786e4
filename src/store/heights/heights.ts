import type { DegreeBounds } from '../../core/navigation/ground/heights-here';
import type { HeightGrid } from '../../core/terrain/height-grid';
import type { CairnDatabase } from '../database';
import type { HeightSheet } from './record';

/** All sheets of heights, the last added first. */
export async function heightSheets(database: CairnDatabase): Promise<HeightSheet[]> {
  const sheets = await database.heightSheets.toArray();
  return sheets.sort((a, b) => b.addedAt.localeCompare(a.addedAt));
}

/**
 * Keeps a sheet with its tiles: all, or nothing. One of the same name and area is replaced. Durable
 * when it resolves; `onTile` throws to cancel, and then nothing is kept.
 */
export async function keepSheet(
  database: CairnDatabase,
  sheet: HeightSheet,
  tiles: Iterable<HeightGrid>,
  onTile: (tile: number) => void,
): Promise<void> {
  const tables = [database.heightSheets, database.heightTiles];
  await database.transaction('rw', tables, async () => {
    for (const old of await database.heightSheets.toArray()) {
      if (old.name === sheet.name && isSameArea(old.area, sheet.area)) {
        await removeBoth(database, old.id);
      }
    }
    let tile = 0;
    for (const grid of tiles) {
      onTile(tile);
      await database.heightTiles.put({ sheet: sheet.id, tile, grid });
      tile++;
    }
    await database.heightSheets.put(sheet);
  });
}

const isSameArea = (one: DegreeBounds, other: DegreeBounds) =>
  one.south === other.south &&
  one.north === other.north &&
  one.west === other.west &&
  one.east === other.east;

/** Removes a sheet and its tiles. */
export const removeSheet = (database: CairnDatabase, id: string): Promise<void> =>
  database.transaction('rw', [database.heightSheets, database.heightTiles], () =>
    removeBoth(database, id),
  );

async function removeBoth(database: CairnDatabase, id: string): Promise<void> {
  await database.heightSheets.delete(id);
  await database.heightTiles.where('[sheet+tile]').between([id, 0], [id, Infinity]).delete();
}

/** A tile of a sheet; undefined for one that was removed meanwhile. */
export const heightTile = async (
  database: CairnDatabase,
  sheet: string,
  tile: number,
): Promise<HeightGrid | undefined> => (await database.heightTiles.get([sheet, tile]))?.grid;
