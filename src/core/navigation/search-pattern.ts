import type { Covariance } from '../errors/covariance';
import { within95 } from '../errors/ellipse';
import { normalised } from '../units/angle';
import { ORIGIN, polar, sumOf, vectorBetween, type PlanePoint } from '../units/plane';
import type { Degrees, Metres } from '../units/units';

/**
 * Searching for home when the walk has ended and it is not in sight. Two patterns of the trade: the
 * expanding square, whose turns are all 90° to the right and whose legs grow by a spacing after
 * every second one; and the sector search, nine legs of one length with turns of 120° that pass the
 * middle three times. Source: IAMSAR Manual, volume III (memory).
 */
export interface SearchLeg {
  /** From the frame's north. */
  readonly bearingDegrees: Degrees;
  readonly metres: Metres;
  /** Where the leg ends, from where the search began. */
  readonly end: PlanePoint;
  /** Chance that home has come within sight by the end of this leg. */
  readonly covered: number;
}

export type SearchPattern = 'square' | 'sector';

/** Tracks are this many ranges of sight apart: a little overlap for tracks that are paced. */
const SPACING_RANGES = 1.6;
/** Enough legs for any search; the square ends sooner when this much is covered. */
const MOST_LEGS = 24;
const ENOUGH = 0.95;
const SECTOR_TURNS = [0, 120, 240, 240, 0, 120, 120, 240, 0];

/** Headings and lengths of a pattern that begins with a heading. */
function* legsOf(pattern: SearchPattern, heading: Degrees, spacing: Metres, reach: Metres) {
  if (pattern === 'square') {
    for (let k = 0; ; k++) {
      yield { bearing: normalised(heading + 90 * k), metres: spacing * (1 + Math.floor(k / 2)) };
    }
  }
  for (const turn of SECTOR_TURNS) yield { bearing: normalised(heading + turn), metres: reach };
}

/** How many sigma the grid that stands for the uncertainty reaches to each side. */
const REACH_SIGMA = 3.6;
/** Cells to a side: enough that one is small against the range of sight, within reason. */
const LEAST_CELLS = 161;
const MOST_CELLS = 401;
const CELLS_A_RANGE = 6;

const cellsASide = (sigma: Metres, range: Metres): number =>
  Math.max(
    LEAST_CELLS,
    Math.min(MOST_CELLS, Math.ceil((2 * REACH_SIGMA * sigma * CELLS_A_RANGE) / range)),
  );

/** A place where home may be, with the chance that it is there. */
interface Cell extends PlanePoint {
  readonly weight: number;
}

/** A normal uncertainty as a grid of cells whose weights add up to 1. */
function cellsOf({ xx, xy, yy }: Covariance, range: Metres): Cell[] {
  const [sigmaEast, sigmaNorth] = [Math.sqrt(Math.max(xx, 1e-6)), Math.sqrt(Math.max(yy, 1e-6))];
  const rho = Math.max(-0.9999, Math.min(0.9999, xy / (sigmaEast * sigmaNorth)));
  const side = cellsASide(Math.max(sigmaEast, sigmaNorth), range);
  const along = (i: number) => (((i + 0.5) / side) * 2 - 1) * REACH_SIGMA;
  const cells: Cell[] = [];
  let total = 0;
  for (let i = 0; i < side * side; i++) {
    const [a, b] = [along(i % side), along(Math.floor(i / side))];
    const weight = Math.exp(-(a * a + b * b) / 2);
    total += weight;
    cells.push({
      east: sigmaEast * a,
      north: sigmaNorth * (rho * a + Math.sqrt(1 - rho * rho) * b),
      weight,
    });
  }
  return cells.map((cell) => ({ ...cell, weight: cell.weight / total }));
}

/** Distance of a point from the straight way between two others. */
function metresFromWay(point: PlanePoint, from: PlanePoint, to: PlanePoint): Metres {
  const [line, rest] = [vectorBetween(from, to), vectorBetween(from, point)];
  const square = line.east ** 2 + line.north ** 2;
  const along = rest.east * line.east + rest.north * line.north;
  const t = square === 0 ? 0 : Math.max(0, Math.min(1, along / square));
  return Math.hypot(rest.east - t * line.east, rest.north - t * line.north);
}

/** The share of the uncertainty about home that the paths so far have had within sight. */
class Coverage {
  private unseen: readonly Cell[];
  covered = 0;

  constructor(
    error: Covariance,
    private readonly range: Metres,
  ) {
    this.unseen = cellsOf(error, range);
    this.walk(ORIGIN, ORIGIN);
  }

  /** Sees everything within range of the way from one point to another. */
  walk(from: PlanePoint, to: PlanePoint): void {
    this.unseen = this.unseen.filter((cell) => {
      if (metresFromWay(cell, from, to) > this.range) return true;
      this.covered += cell.weight;
      return false;
    });
  }
}

/**
 * A search from where the walk ended, leg by leg, with the chance covered so far. `error` is the
 * position error at home; `range` how far one sees, in metres, above 0; `heading` that of the walk
 * that ended, from the frame's north.
 */
export function searchPattern(
  pattern: SearchPattern,
  error: Covariance,
  range: Metres,
  heading: Degrees,
): SearchLeg[] {
  const coverage = new Coverage(error, range);
  const reach = Math.max(2 * range, within95(error));
  const legs: SearchLeg[] = [];
  let at = ORIGIN;
  for (const { bearing, metres } of legsOf(pattern, heading, SPACING_RANGES * range, reach)) {
    const end = sumOf(at, polar(bearing, metres));
    coverage.walk(at, end);
    at = end;
    legs.push({ bearingDegrees: bearing, metres, end, covered: coverage.covered });
    if (legs.length >= MOST_LEGS || (pattern === 'square' && coverage.covered >= ENOUGH)) break;
  }
  return legs;
}
