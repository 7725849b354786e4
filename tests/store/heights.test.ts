import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { degreesOf, fieldWithin, mayReach, tilesOf } from '@/core/navigation/ground/heights-here';
import { planePointOf, positionAt } from '@/core/place/geodesic';
import { mapGrid } from '@/core/place/map-grid';
import { heightInGrid, type HeightGrid } from '@/core/terrain/height-grid';
import { readHeights } from '@/formats/heights';
import { heightSheets, removeSheet } from '@/store/heights/heights';
import { KeptHeights, type GroundRequest } from '@/workers/heights/heights-run';
import { closeAfterEach, openDatabase } from '../support/databases';

closeAfterEach();

const UTM = '+proj=utm +zone=20 +datum=WGS84';
const DOCK = { latitude: 54.1935, longitude: -63.4992 };
const demo = () => ({
  files: [{ name: 'ormsay-lake.asc', content: new Blob([readFileSync('demo/ormsay-lake.asc')]) }],
  map: UTM,
});
const demoGrid = async (): Promise<HeightGrid> => {
  const bytes = new Uint8Array(readFileSync('demo/ormsay-lake.asc'));
  const read = await readHeights('ormsay-lake.asc', bytes, UTM);
  return read.ok ? read.value[0]!.grid : expect.fail('it is read');
};
const REQUEST: GroundRequest = {
  layers: ['contours'],
  origin: DOCK,
  bounds: { west: -600, south: -300, east: 700, north: 900 },
  metresPerPixel: 1.5,
  unitMetres: 1,
};
const none = () => undefined;
const utm = () => {
  const plane = mapGrid(DOCK, UTM);
  return plane.ok ? plane.value : expect.fail('the grid is one');
};

/** A grid of degrees, large enough for several tiles each way. */
function wide(columns = 700, rows = 530): HeightGrid {
  const metres = Float32Array.from({ length: columns * rows }, (_, post) => (post * 37) % 1009);
  const steps = { stepEast: 1 / 1200, stepSouth: 1 / 1200 };
  return { projection: null, west: -64, north: 54.6, ...steps, columns, rows, metres };
}

describe('tiles of heights', () => {
  it('have the heights of the whole grid everywhere, also where they meet', () => {
    const grid = wide();
    const tiles = [...tilesOf(grid)];
    expect(tiles).toHaveLength(9);
    for (let k = 0; k < 2000; k++) {
      const [x, y] = [(k * 0.6180339) % 1, (k * 0.7548777) % 1];
      const east = grid.west + x * (grid.columns - 1) * grid.stepEast;
      const north = grid.north - y * (grid.rows - 1) * grid.stepSouth;
      const found = tiles
        .map((tile) => heightInGrid(tile, east, north))
        .filter((height) => !Number.isNaN(height));
      expect(found.length).toBeGreaterThan(0);
      for (const height of found) expect(height).toBeCloseTo(heightInGrid(grid, east, north), 3);
    }
  });

  it('say where they are, so that none that is needed is left out', async () => {
    const grid = await demoGrid();
    const { inverse } = utm();
    const area = degreesOf(grid);
    for (const [column, row] of [
      [0, 0],
      [50, 0],
      [100, 51],
      [31, 103],
    ] as const) {
      const at = inverse({ east: grid.west + 30 * column, north: grid.north - 30 * row });
      expect(at.latitude).toBeGreaterThan(area.south - 1e-4);
      expect(at.latitude).toBeLessThan(area.north + 1e-4);
      const { east, north } = planePointOf(DOCK, at);
      const bounds = { west: east - 1, east: east + 1, south: north - 1, north: north + 1 };
      expect(mayReach(area, DOCK, bounds)).toBe(true);
    }
    const far = { west: 90_000, east: 90_100, south: 0, north: 100 };
    expect(mayReach(area, DOCK, far)).toBe(false);
  });
});

describe('the ground within bounds', () => {
  it('has at most so many posts, and the heights of the grid at each', async () => {
    const grid = await demoGrid();
    const field = fieldWithin([grid], DOCK, REQUEST.bounds, 500)!;
    expect(field.columns * field.rows).toBeLessThanOrEqual(500);
    expect(field.cellMetres).toBeGreaterThan(30);
    const fine = fieldWithin([grid], DOCK, REQUEST.bounds, 1e6)!;
    expect(fine.cellMetres).toBe(30);
    const { forward } = utm();
    for (const [column, row] of [
      [0, 0],
      [7, 20],
      [41, 33],
    ] as const) {
      const point = { east: -600 + 30 * column, north: -300 + 30 * row };
      const at = forward(positionAt(DOCK, point));
      expect(fine.metres[row * fine.columns + column]).toBeCloseTo(
        heightInGrid(grid, at.east, at.north),
        3,
      );
    }
  });

  it('is nothing where no grid has a height', async () => {
    const far = { west: 50_000, south: 0, east: 50_900, north: 900 };
    expect(fieldWithin([await demoGrid()], DOCK, far, 1e4)).toBeNull();
    expect(fieldWithin([], DOCK, REQUEST.bounds, 1e4)).toBeNull();
  });
});

describe('heights on the device', () => {
  it('are kept whole, listed, drawn at their heights, and removed', async () => {
    const database = openDatabase();
    const kept = new KeptHeights(database);
    expect(await kept.draw(REQUEST)).toEqual({ kind: 'no-heights' });
    expect(await kept.keep(demo(), none)).toEqual({ kind: 'kept', sheets: 1, isOfMap: true });
    const [sheet] = await heightSheets(database);
    expect(sheet).toMatchObject({ name: 'ormsay-lake.asc', posts: 101 * 104, cellMetres: 30 });

    const answer = await kept.draw(REQUEST);
    const lines =
      answer.kind === 'drawn'
        ? answer.layers.flatMap(({ lines }) => lines)
        : expect.fail(answer.kind);
    const marked = lines.filter(({ heightMetres }) => heightMetres !== undefined);
    expect(marked.length).toBeGreaterThan(0);
    // By the file itself, in its own grid: contours follow the posts, thirty metres apart.
    const grid = await demoGrid();
    const { forward } = utm();
    for (const { points, heightMetres } of marked) {
      for (const point of points) {
        const at = forward(positionAt(DOCK, point));
        expect(Math.abs(heightInGrid(grid, at.east, at.north) - heightMetres!)).toBeLessThan(2);
      }
    }

    const far = { ...REQUEST, origin: { latitude: 10, longitude: 10 } };
    expect(await kept.draw(far)).toEqual({ kind: 'none-here' });
    await removeSheet(database, sheet!.id);
    expect(await heightSheets(database)).toEqual([]);
    expect(await database.heightTiles.count()).toBe(0);
    expect(await kept.draw(REQUEST)).toEqual({ kind: 'no-heights' });
  });

  it('replace the same file, and nothing is left of one that was stopped', async () => {
    const database = openDatabase();
    const kept = new KeptHeights(database);
    await kept.keep(demo(), none);
    await kept.keep(demo(), none);
    expect(await heightSheets(database)).toHaveLength(1);
    expect(await database.heightTiles.count()).toBe(1);
    const stop = () => {
      throw new Error('stopped');
    };
    await expect(kept.keep({ ...demo(), map: '+proj=utm +zone=21' }, stop)).rejects.toThrow();
    expect(await heightSheets(database)).toHaveLength(1);
    expect(await database.heightTiles.count()).toBe(1);
  });

  it('in metres of no known grid are asked back, and not guessed', async () => {
    const answer = await new KeptHeights(openDatabase()).keep({ ...demo(), map: '' }, none);
    expect(answer).toMatchObject({ kind: 'unread', name: 'ormsay-lake.asc' });
  });

  it('are not drawn of more ground than can be read at once', async () => {
    const database = openDatabase();
    const kept = new KeptHeights(database);
    await kept.keep(demo(), none);
    const [sheet] = await heightSheets(database);
    const many = Array.from({ length: 121 }, () => sheet!.area);
    await database.heightSheets.put({ ...sheet!, tiles: many });
    expect(await kept.draw(REQUEST)).toEqual({ kind: 'too-wide' });
  });
});
