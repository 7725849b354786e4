import { converted } from '../north/norths';
import { stationName, type Solution } from '../survey/solution';
import { backBearing } from '../units/angle';
import type { North } from '../units/bearing';
import {
  azimuthOf,
  boundsOf,
  lengthOf,
  ORIGIN,
  polar,
  sumOf,
  vectorBetween,
  type PlanePoint,
} from '../units/plane';
import type { Degrees, Metres } from '../units/units';

/**
 * One peg of the layout: from which peg, on which bearing, how many units away. `east` and `north`
 * are units from the first peg when the layout follows the table.
 */
interface Peg extends PlanePoint {
  readonly name: string;
  readonly from: string;
  /** Set on the compass, from the north that the layout is made with. */
  readonly bearingDegrees: Degrees;
  readonly metres: Metres;
  /** To a quarter of a unit, or to a tenth. */
  readonly units: number;
}

/** The way from one station back to another, laid out on the ground with pegs and string. */
export interface GroundLayout {
  readonly north: North;
  /** Metres to one unit. */
  readonly scale: number;
  readonly pegs: readonly Peg[];
  /** The string from the last peg to the first: its compass bearing and length by the table. */
  readonly closing: {
    readonly bearingDegrees: Degrees;
    readonly units: number;
    readonly metres: Metres;
  };
}

const SCALES = [1, 2, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000, 2000, 5000, 10_000];
const LARGEST_SCALE = 10_000;

/** Parts of a unit that can be distinguished: quarters by eye, tenths on a rule. */
export const PARTS = [4, 10] as const;
export type Parts = (typeof PARTS)[number];

/** The stations of a layout: the first peg, and the last. */
export interface LayoutEnds {
  readonly from: number;
  readonly to: number;
}

interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly bearingDegrees: Degrees;
  readonly metres: Metres;
}

/** The legs that lead from one station to another: back to where their ways part, and on. */
function stretchesBetween({ legs }: Solution, { from, to }: LayoutEnds): Stretch[] {
  const [out, on] = [legs.pathTo(from), legs.pathTo(to)];
  const shared = out.findIndex((leg, index) => leg.number !== on[index]?.number);
  const parting = shared < 0 ? out.length : shared;
  const back = out.slice(parting).reverse();
  return [
    ...back.map((leg) => ({
      from: leg.number,
      to: leg.from,
      bearingDegrees: backBearing(leg.bearingDegrees),
      metres: leg.metres,
    })),
    ...on.slice(parting).map((leg) => ({ ...leg, to: leg.number })),
  ];
}

const home = ({ current }: Solution): LayoutEnds => ({ from: 0, to: current });

/** The smallest round scale, that is the largest layout, that fits into so many units. */
export function layoutScale(
  solution: Solution,
  spaceUnits: number,
  ends: LayoutEnds = home(solution),
): number {
  let at = ORIGIN;
  const points = stretchesBetween(solution, ends).map(({ bearingDegrees, metres }) => {
    at = sumOf(at, polar(bearingDegrees, metres));
    return at;
  });
  const { west, east, south, north } = boundsOf([ORIGIN, ...points]);
  const span: Metres = Math.max(east - west, north - south);
  return SCALES.find((scale) => span / scale <= spaceUnits) ?? LARGEST_SCALE;
}

/** How a layout is made: without them the way home, in quarters, by the magnetic compass. */
interface LayoutChoices {
  readonly ends?: LayoutEnds;
  readonly parts?: Parts;
  readonly north?: North;
}

/**
 * The table of pegs on the path from one station to another, at a scale of metres to a unit; the
 * string from the last peg to the first is the way back. The layout is made with the same compass,
 * so that its own error cancels; bearings are magnetic unless another north is named.
 */
export function groundLayout(
  solution: Solution,
  scale: number,
  { ends = home(solution), parts = 4, north = 'magnetic' }: LayoutChoices = {},
): GroundLayout {
  const { frame } = solution.places;
  const pegs: Peg[] = [];
  let at = ORIGIN;
  for (const stretch of stretchesBetween(solution, ends)) {
    const walked = { degrees: stretch.bearingDegrees, north: frame.north };
    const bearing = converted(walked, north, frame.norths) ?? walked;
    const bearingDegrees = Math.round(bearing.degrees) % 360;
    const units = Math.round((stretch.metres / scale) * parts) / parts;
    at = sumOf(at, polar(bearingDegrees, units));
    pegs.push({
      name: stationName(solution, stretch.to),
      from: stationName(solution, stretch.from),
      bearingDegrees,
      metres: stretch.metres,
      units,
      ...at,
    });
  }
  const back = vectorBetween(at, ORIGIN);
  const units = lengthOf(back);
  return {
    north,
    scale,
    pegs,
    closing: {
      bearingDegrees: units === 0 ? 0 : azimuthOf(back),
      units,
      metres: units * scale,
    },
  };
}
