import type { Side } from '../../entries/feature';
import { polar, sumOf, type PlanePoint } from '../../units/plane';
import type { Degrees } from '../../units/units';
import { isWater, type Country } from '../country/country';
import { LOOK_METRES, paced, type Stride } from './stretch';

/** How each side of a box goes: where to, and with which stride. */
export interface Going {
  readonly azimuth: Degrees;
  readonly stride: Stride;
}

/** The three sides of a box as they will be walked, with all their errors. */
export interface BoxSides {
  readonly out: Going;
  readonly along: Going;
  readonly back: Going;
}

/** An obstacle that was boxed: whole paces out, and as many back; and along. */
export interface Boxed {
  readonly side: Side;
  readonly out: number;
  readonly along: number;
  /** The two corners, and where the line was come back to. */
  readonly corners: readonly PlanePoint[];
}

/** Sides are counted in tens: nobody turns after each pace to look. */
const STEP_PACES = 10;
const MOST_OUT = 300;
const MOST_ALONG = 900;
/** Back on the line there has to be dry ground ahead, so far at least. */
const AHEAD_METRES = 4 * LOOK_METRES;

const walk = (country: Country, from: PlanePoint, { azimuth, stride }: Going, paces: number) =>
  paced(country, from, azimuth, paces, stride);

/** The paces that one gets in tens: all of them, or as many as something leaves. */
const tensOf = (marks: readonly number[]) => Math.floor(marks.at(-1)! / STEP_PACES) * STEP_PACES;

/**
 * The least box round water ahead, by its way out: out to a side by tens of paces until one can go
 * along, then along until the way back to the line is dry and goes on. Null where water or the edge
 * of the country leaves none of at most 300 paces out.
 */
export function boxWater(
  country: Country,
  from: PlanePoint,
  side: Side,
  { out, along, back }: BoxSides,
): Boxed | null {
  const furthest = tensOf(walk(country, from, out, MOST_OUT).marks);
  for (let aside = STEP_PACES; aside <= furthest; aside += STEP_PACES) {
    const first = walk(country, from, out, aside).to;
    const reach = tensOf(walk(country, first, along, MOST_ALONG).marks);
    for (let on = STEP_PACES; on <= reach; on += STEP_PACES) {
      const second = walk(country, first, along, on).to;
      const home = walk(country, second, back, aside);
      if (home.stoppedBy) continue;
      const ahead = sumOf(home.to, polar(along.azimuth, AHEAD_METRES));
      if (isWater(country, ahead)) continue;
      return { side, out: aside, along: on, corners: [first, second, home.to] };
    }
  }
  return null;
}
