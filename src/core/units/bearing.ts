import type { Degrees } from './units';

/** The norths that a bearing can be measured from: of the needle, of the earth, of a map's grid. */
export const NORTHS = ['magnetic', 'true', 'grid'] as const;
export type North = (typeof NORTHS)[number];

/** The letter of a north in logs and beside figures. */
export const NORTH_LETTERS: Readonly<Record<North, string>> = {
  magnetic: 'M',
  true: 'T',
  grid: 'G',
};

/** A bearing in [0, 360) that says which north it is measured from. */
export interface Bearing {
  readonly degrees: Degrees;
  readonly north: North;
}
