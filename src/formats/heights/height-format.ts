import type { HeightGrid } from '../../core/terrain/height-grid';
import type { Result } from '../../core/units/result';
import type { FileFault } from '../format';

/** The heights of a file. */
export interface HeightFile {
  readonly grid: HeightGrid;
  /** True where the file has metres of a map without its name: the map's grid was taken. */
  readonly isOfMap: boolean;
}

/** A kind of file that holds heights. */
export interface HeightFormat {
  readonly name: string;
  /** True for what is read by this: by its name, and by its first bytes. */
  reads(name: string, bytes: Uint8Array): boolean;
  /** `map` is the projection of the map in use, for a file that names none. */
  read(
    name: string,
    bytes: Uint8Array,
    map: string,
  ): Result<HeightFile, FileFault[]> | Promise<Result<HeightFile, FileFault[]>>;
}

/** More posts than a phone can hold, and than any sheet needs. */
export const MOST_POSTS = 40_000_000;
/** No metres of a map, and no degrees, are more: false origins reach to some 40,000 km. */
export const FARTHEST = 5e7;
/** Below the shore of the Dead Sea, and above Everest: anything beyond is no height. */
const LOWEST = -500;
const HIGHEST = 9000;

/** A height, or NaN where it can't be one. */
export const heightOrVoid = (metres: number): number =>
  metres >= LOWEST && metres <= HIGHEST ? metres : NaN;
