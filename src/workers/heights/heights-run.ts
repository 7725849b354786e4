import { legHeights, type LegHeights } from '../../core/navigation/route/leg-heights';
import { fail, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../../formats/format';
import { readHeights } from '../../formats/heights';
import type { HeightFile } from '../../formats/heights/height-format';
import type { Position } from '../../core/readings/position';

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
}

/** Reads a file; one that isn't whole is told as a fault: the package for TIFF throws at it. */
async function readWhole(
  name: string,
  content: Blob,
  map: string,
): Promise<Result<HeightFile[], FileFault[]>> {
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
  const read: HeightFile[] = [];
  for (const { name, content } of files) {
    const file = await readWhole(name, content, map);
    if (!file.ok) return { kind: 'unread', name, faults: file.fault };
    read.push(...file.value);
  }
  const grids = read.map(({ grid }) => grid);
  const legs = positions.slice(1).map((to, index) => {
    onProgress(index / (positions.length - 1));
    return legHeights(grids, positions[index]!, to);
  });
  return { kind: 'read', legs, isOfMap: read.some(({ isOfMap }) => isOfMap) };
}
