import { normalised } from './angle';
import { converted, type North } from './north';
import { stationName, type Solution } from './solve';
import { degrees, radians, type Degrees, type Metres } from './units';

/** One peg of the layout: from which peg, on which setting of the compass, how many units away. */
interface Peg {
  readonly name: string;
  readonly from: string;
  /** Set on the compass, from the north that the layout is made with. */
  readonly bearingDegrees: Degrees;
  /** To a quarter unit. */
  readonly units: number;
  /** Where the peg stands when the layout is made as the table says, in units east and north of the first. */
  readonly x: number;
  readonly y: number;
}

/** The same answer with pegs and string. */
export interface GroundLayout {
  readonly north: North;
  /** Metres to one unit. */
  readonly scale: number;
  readonly pegs: readonly Peg[];
  /** The string from the last peg to the first: its compass bearing and length in units as the table gives them. */
  readonly closing: {
    readonly bearingDegrees: Degrees;
    readonly units: number;
    readonly metres: Metres;
  };
  /** The most units that the layout needs from side to side. */
  readonly spanUnits: number;
}

const SCALES = [1, 2, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000, 2000, 5000, 10_000];
const quarter = (value: number) => Math.round(value * 4) / 4;

/** Widest distance between two stations east to west or north to south, in metres. */
function spanMetres(solution: Solution): Metres {
  const { east, north, legs } = solution.traverse;
  let [west, right, south, top] = [0, 0, 0, 0];
  for (let k = 1; k <= legs; k++) {
    west = Math.min(west, east[k]!);
    right = Math.max(right, east[k]!);
    south = Math.min(south, north[k]!);
    top = Math.max(top, north[k]!);
  }
  return Math.max(right - west, top - south);
}

/** The smallest round number of metres to a unit, that is the largest layout, that fits into so many units. */
export const layoutScale = (solution: Solution, spaceUnits: number): number =>
  SCALES.find((scale) => spanMetres(solution) / scale <= spaceUnits) ?? SCALES.at(-1)!;

/**
 * The table of pegs on the path from the start to where one stands, at a scale of metres to a unit. The layout is made with the same
 * compass, so that its own error cancels; bearings are magnetic unless another north is named.
 */
export function groundLayout(
  solution: Solution,
  scale: number,
  north: North = 'magnetic',
): GroundLayout {
  const { traverse, norths, working } = solution;
  const path: number[] = [];
  for (let point = solution.current; point > 0; point = traverse.from[point]!) path.unshift(point);
  const pegs: Peg[] = [];
  let [x, y] = [0, 0];
  for (const leg of path) {
    const from = { degrees: traverse.bearingDegrees[leg]!, north: working };
    const bearing = converted(from, north, norths) ?? from;
    const set = Math.round(bearing.degrees) % 360;
    const units = quarter(traverse.lengthMetres[leg]! / scale);
    x += units * Math.sin(radians(set));
    y += units * Math.cos(radians(set));
    const names = [stationName(solution, leg), stationName(solution, traverse.from[leg]!)] as const;
    pegs.push({ name: names[0], from: names[1], bearingDegrees: set, units, x, y });
  }
  const units = Math.hypot(x, y);
  return {
    north,
    scale,
    pegs,
    closing: {
      bearingDegrees: units === 0 ? 0 : normalised(degrees(Math.atan2(-x, -y))),
      units,
      metres: units * scale,
    },
    spanUnits: spanMetres(solution) / scale,
  };
}
