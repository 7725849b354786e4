import {
  cellOf,
  degreesOf,
  fieldWithin,
  mayReach,
  tilesOf,
} from '../../core/navigation/ground/heights-here';
import type { HeightGrid } from '../../core/terrain/height-grid';
import type { Bounds } from '../../core/units/plane';
import { LAYERS, type LayerName } from '../../sketch/layers';
import type { GroundScale } from '../../sketch/layers/contours';
import type { Layer } from '../../sketch/layer';
import type { CairnDatabase } from '../../store/database';
import { heightSheets, heightTile, keepSheet } from '../../store/heights/heights';
import { legHeights, type LegHeights } from '../../core/navigation/route/leg-heights';
import { fail, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../../formats/format';
import { readHeights, type ReadHeights } from '../../formats/heights';
import type { Position } from '../../core/readings/position';
import { nth } from '../../core/units/nth';

/** Files of heights, and the points of a route. Plain data, so that it can be posted. */
export interface HeightsJob {
  readonly files: readonly { readonly name: string; readonly content: Blob }[];
  /** The projection of the route's map, for a file that names none. */
  readonly map: string;
  readonly positions: readonly Position[];
}

export type HeightsAnswer =
  | {
      readonly kind: 'read';
      /** Of each leg; null where none of its heights is known. */
      readonly legs: readonly (LegHeights | null)[];
      /** True where a file's metres were taken for those of the map. */
      readonly isOfMap: boolean;
    }
  /** The first file that could not be read. */
  | { readonly kind: 'unread'; readonly name: string; readonly faults: readonly FileFault[] };

/** What the worker that reads heights offers. */
export interface HeightsWorker {
  /** Tells the share of the legs that is done. */
  read(job: HeightsJob, onProgress: (share: number) => void): Promise<HeightsAnswer>;
  /** Keeps files on the device: each sheet is durable when it is done. */
  keep(job: KeepJob, onProgress: (share: number) => void): Promise<KeepAnswer>;
  draw(request: GroundRequest): Promise<GroundAnswer>;
}

/** Reads a file; one that isn't whole is reported as a fault: the package for TIFF throws at it. */
async function readWhole(
  name: string,
  content: Blob,
  map: string,
): Promise<Result<ReadHeights[], FileFault[]>> {
  try {
    return await readHeights(name, new Uint8Array(await content.arrayBuffer()), map);
  } catch (error) {
    console.error('Heights could not be read:', error);
    return fail([fileFault('This file can’t be read: it is not whole.')]);
  }
}

/** Reads files of heights, and what they say of each leg. */
export async function runHeights(
  { files, map, positions }: HeightsJob,
  onProgress: (share: number) => void,
): Promise<HeightsAnswer> {
  const read: ReadHeights[] = [];
  for (const { name, content } of files) {
    const file = await readWhole(name, content, map);
    if (!file.ok) return { kind: 'unread', name, faults: file.fault };
    read.push(...file.value);
  }
  const grids = read.map(({ grid }) => grid);
  const legs = positions.slice(1).map((to, index) => {
    onProgress(index / (positions.length - 1));
    return legHeights(grids, nth(positions, index), to);
  });
  return { kind: 'read', legs, isOfMap: read.some(({ isOfMap }) => isOfMap) };
}

/** Files to be kept on the device. */
export type KeepJob = Omit<HeightsJob, 'positions'>;

export type KeepAnswer =
  | {
      readonly kind: 'kept';
      readonly sheets: number;
      /** True where a file's metres were taken for those of the map. */
      readonly isOfMap: boolean;
    }
  | Extract<HeightsAnswer, { kind: 'unread' }>;

/** A part of the ground to be drawn, in the plane about a position, true north up. */
export interface GroundRequest extends GroundScale {
  readonly layers: readonly LayerName[];
  readonly origin: Position;
  readonly bounds: Bounds;
}

export type GroundAnswer =
  | { readonly kind: 'drawn'; readonly layers: readonly Layer[] }
  /** No heights are kept at all; none there; or too large a part to be drawn from these posts. */
  | { readonly kind: 'no-heights' | 'none-here' | 'too-wide' };

const NO_MAP = fileFault(
  'This file is in metres and does not say of which grid, and no outing says where you are. ' +
    'Give one a position first.',
);

/** A field that is drawn has at most so many posts; so many tiles are read for it. */
const MOST_DRAWN_POSTS = 250_000;
const MOST_TILES = 120;

/** The heights that the device keeps: what the worker does with them. */
export class KeptHeights {
  private readonly read = new Map<string, HeightGrid>();

  constructor(private readonly database: CairnDatabase) {}

  /** Reads files and keeps them; a sheet is whole when its turn is over. */
  async keep({ files, map }: KeepJob, onProgress: (share: number) => void): Promise<KeepAnswer> {
    let [sheets, ofMap] = [0, false];
    for (const [index, { name, content }] of files.entries()) {
      const file = await readWhole(name, content, map);
      if (!file.ok) return { kind: 'unread', name, faults: file.fault };
      for (const { name: inside, source, grid, isOfMap } of file.value) {
        if (isOfMap && map === '') return { kind: 'unread', name, faults: [NO_MAP] };
        ofMap ||= isOfMap;
        const tiles = [...tileBounds(grid)];
        const area = degreesOf(grid);
        const middle = {
          latitude: (area.south + area.north) / 2,
          longitude: (area.west + area.east) / 2,
        };
        const sheet = {
          id: crypto.randomUUID(),
          name: inside,
          addedAt: new Date().toISOString(),
          source,
          area,
          posts: grid.metres.length,
          cellMetres: cellOf(grid, middle),
          bytes: grid.metres.byteLength,
          tiles,
        };
        await keepSheet(this.database, sheet, tilesOf(grid), (tile) =>
          onProgress((index + tile / tiles.length) / files.length),
        );
        sheets++;
      }
    }
    return { kind: 'kept', sheets, isOfMap: ofMap };
  }

  /** What the layers draw within bounds. */
  async draw({ layers, origin, bounds, ...scale }: GroundRequest): Promise<GroundAnswer> {
    const sheets = await heightSheets(this.database);
    if (sheets.length === 0) return { kind: 'no-heights' };
    const wanted = sheets.flatMap(({ id, area, tiles }) =>
      mayReach(area, origin, bounds)
        ? tiles.flatMap((each, tile) => (mayReach(each, origin, bounds) ? [{ id, tile }] : []))
        : [],
    );
    if (wanted.length === 0) return { kind: 'none-here' };
    if (wanted.length > MOST_TILES) return { kind: 'too-wide' };
    const grids: HeightGrid[] = [];
    for (const { id, tile } of wanted) {
      const grid = await this.tile(id, tile);
      if (grid) grids.push(grid);
    }
    const field = fieldWithin(grids, origin, bounds, MOST_DRAWN_POSTS);
    if (!field) return { kind: 'none-here' };
    return { kind: 'drawn', layers: layers.map((each) => LAYERS[each](field, scale)) };
  }

  private async tile(sheet: string, tile: number): Promise<HeightGrid | undefined> {
    const key = `${sheet} ${tile}`;
    const grid = this.read.get(key) ?? (await heightTile(this.database, sheet, tile));
    if (this.read.size >= MOST_TILES) this.read.clear();
    if (grid) this.read.set(key, grid);
    return grid;
  }
}

function* tileBounds(grid: HeightGrid) {
  for (const tile of tilesOf(grid)) yield degreesOf(tile);
}
