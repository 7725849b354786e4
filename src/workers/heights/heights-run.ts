import { legHeights } from '../../core/navigation/route/leg-heights';
import { fileFault } from '../../formats/format';
import { readHeights } from '../../formats/heights';
import type { HeightsAnswer, HeightsJob } from './heights-protocol';

/** Reads a file of heights, and what it says of each leg. */
export async function runHeights(
  { name, file, map, positions }: HeightsJob,
  onProgress: (share: number) => void,
): Promise<HeightsAnswer> {
  try {
    const read = await readHeights(name, new Uint8Array(await file.arrayBuffer()), map);
    if (!read.ok) return { kind: 'unread', faults: read.fault };
    const { grid, isOfMap } = read.value;
    const legs = positions.slice(1).map((to, index) => {
      onProgress(index / (positions.length - 1));
      return legHeights(grid, positions[index]!, to);
    });
    return { kind: 'read', legs, isOfMap };
  } catch (error) {
    // The package for TIFF throws at files that aren’t whole.
    console.error('Heights could not be read:', error);
    return { kind: 'unread', faults: [fileFault('This file can’t be read: it is not whole.')] };
  }
}
