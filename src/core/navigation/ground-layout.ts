import { converted } from '../north/norths';
import { stationName, type Solution } from '../survey/solution';
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
  /** To a quarter unit. */
  readonly units: number;
}

/** The way home laid out on the ground with pegs and string. */
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
  /** The most units that the layout needs from side to side. */
  readonly spanUnits: number;
}

const SCALES = [1, 2, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000, 2000, 5000, 10_000];
const LARGEST_SCALE = 10_000;
const toQuarter = (value: number) => Math.round(value * 4) / 4;

/** Widest distance between two legs' ends east to west or north to south, in metres. */
function spanMetres({ legs }: Solution): Metres {
  const { west, east, south, north } = boundsOf([ORIGIN, ...Array.from(legs, ({ end }) => end)]);
  return Math.max(east - west, north - south);
}

/** The smallest round scale, that is the largest layout, that fits into so many units. */
export const layoutScale = (solution: Solution, spaceUnits: number): number =>
  SCALES.find((scale) => spanMetres(solution) / scale <= spaceUnits) ?? LARGEST_SCALE;

/**
 * The table of pegs on the path from the start to where the traveller is, at a scale of metres to
 * a unit. The layout is made with the same compass, so that its own error cancels; bearings are
 * magnetic unless another north is named.
 */
export function groundLayout(
  solution: Solution,
  scale: number,
  north: North = 'magnetic',
): GroundLayout {
  const { frame } = solution.places;
  const pegs: Peg[] = [];
  let at = ORIGIN;
  for (const leg of solution.legs.pathTo(solution.current)) {
    const walked = { degrees: leg.bearingDegrees, north: frame.north };
    const bearing = converted(walked, north, frame.norths) ?? walked;
    const bearingDegrees = Math.round(bearing.degrees) % 360;
    const units = toQuarter(leg.metres / scale);
    at = sumOf(at, polar(bearingDegrees, units));
    pegs.push({
      name: stationName(solution, leg.number),
      from: stationName(solution, leg.from),
      bearingDegrees,
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
    spanUnits: spanMetres(solution) / scale,
  };
}
