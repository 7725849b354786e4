import type { DegreeBounds } from '../../core/navigation/ground/heights-here';
import type { HeightGrid } from '../../core/terrain/height-grid';
import type { Metres } from '../../core/units/units';

/** A file of heights that is kept, without the heights themselves. */
export interface HeightSheet {
  readonly id: string;
  /** The name of the file. */
  readonly name: string;
  readonly addedAt: string;
  /** What kind of file it was. */
  readonly source: string;
  readonly area: DegreeBounds;
  readonly posts: number;
  /** From post to post, about. */
  readonly cellMetres: Metres;
  readonly bytes: number;
  /** Where each of its tiles is, by its number. */
  readonly tiles: readonly DegreeBounds[];
}

/** A part of a sheet. */
export interface HeightTile {
  readonly sheet: string;
  readonly tile: number;
  readonly grid: HeightGrid;
}
