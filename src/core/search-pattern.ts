import { normalised } from './angle';
import { ellipse, type Covariance } from './error-model';
import { radians, type Degrees, type Metres } from './units';

/**
 * Looking for home when the walk has ended and it is not in sight. Two patterns of the trade: the expanding square, whose
 * turns are all a quarter to the right and whose legs grow by a spacing after every second one; and the sector, nine legs of
 * one length with turns of 120° that pass the middle three times. Source: IAMSAR Manual, volume III (memory).
 */
export interface SearchLeg {
  /** From the working north. */
  readonly bearingDegrees: Degrees;
  readonly metres: Metres;
  /** Where the leg ends, metres from where the search began. */
  readonly east: Metres;
  readonly north: Metres;
  /** Chance that home has come within sight by the end of this leg, were it as the doubt at home has it. */
  readonly covered: number;
}

export type Pattern = 'square' | 'sector';

/** Tracks lie this many ranges of sight apart: a little overlap for a track that is paced. */
const SPACING_RANGES = 1.6;
/** Enough legs for any doubt that a person would search; the pattern ends sooner when this much is covered. */
const MOST_LEGS = 24;
const ENOUGH = 0.95;
/** Cells to a side of the grid on which the doubt is laid out, and how many sigma it reaches. */
const CELLS = 81;
const REACH_SIGMA = 3.6;

/** Headings and lengths of a pattern that begins with a heading, without end. */
function* legsOf(pattern: Pattern, heading: Degrees, spacing: Metres, reach: Metres) {
  if (pattern === 'square') {
    for (let k = 0; ; k++) {
      yield { bearing: normalised(heading + 90 * k), metres: spacing * (1 + Math.floor(k / 2)) };
    }
  }
  for (const turn of [0, 120, 240, 240, 0, 120, 120, 240, 0]) {
    yield { bearing: normalised(heading + turn), metres: reach };
  }
}

/** The share of a normal doubt about home that lies within sight of the paths walked so far. */
class Coverage {
  private readonly x: Float64Array;
  private readonly y: Float64Array;
  private readonly weight: Float64Array;
  private readonly seen: Uint8Array;
  covered = 0;

  constructor(
    { xx, xy, yy }: Covariance,
    private readonly sight: Metres,
  ) {
    const [sx, sy] = [Math.sqrt(Math.max(xx, 1e-6)), Math.sqrt(Math.max(yy, 1e-6))];
    const rho = Math.max(-0.9999, Math.min(0.9999, xy / (sx * sy)));
    const count = CELLS * CELLS;
    this.x = new Float64Array(count);
    this.y = new Float64Array(count);
    this.weight = new Float64Array(count);
    this.seen = new Uint8Array(count);
    let total = 0;
    for (let i = 0; i < count; i++) {
      const u = (((i % CELLS) + 0.5) / CELLS) * 2 - 1;
      const v = ((Math.floor(i / CELLS) + 0.5) / CELLS) * 2 - 1;
      const [a, b] = [u * REACH_SIGMA, v * REACH_SIGMA];
      this.x[i] = sx * a;
      this.y[i] = sy * (rho * a + Math.sqrt(1 - rho * rho) * b);
      this.weight[i] = Math.exp(-(a * a + b * b) / 2);
      total += this.weight[i]!;
    }
    for (let i = 0; i < count; i++) this.weight[i]! /= total;
    this.walk(0, 0, 0, 0);
  }

  /** Sees everything within sight of the way from one place to another. */
  walk(x1: Metres, y1: Metres, x2: Metres, y2: Metres): void {
    const [dx, dy] = [x2 - x1, y2 - y1];
    const square = dx * dx + dy * dy;
    for (let i = 0; i < this.x.length; i++) {
      if (this.seen[i]) continue;
      const [px, py] = [this.x[i]! - x1, this.y[i]! - y1];
      const t = square === 0 ? 0 : Math.max(0, Math.min(1, (px * dx + py * dy) / square));
      if (Math.hypot(px - t * dx, py - t * dy) > this.sight) continue;
      this.seen[i] = 1;
      this.covered += this.weight[i]!;
    }
  }
}

/**
 * A search from where the walk ended, leg by leg, with the chance covered so far. `miss` is the covariance of the miss
 * at home; `sight` how far one sees, in metres, above 0; `heading` that of the walk that ended, from the working north.
 */
export function searchPattern(
  pattern: Pattern,
  miss: Covariance,
  sight: Metres,
  heading: Degrees,
): SearchLeg[] {
  const coverage = new Coverage(miss, sight);
  const reach = Math.max(2 * sight, ellipse(miss).semiMajorMetres);
  const legs: SearchLeg[] = [];
  let [east, north] = [0, 0];
  for (const { bearing, metres } of legsOf(pattern, heading, SPACING_RANGES * sight, reach)) {
    const b = radians(bearing);
    const [x, y] = [east + metres * Math.sin(b), north + metres * Math.cos(b)];
    coverage.walk(east, north, x, y);
    [east, north] = [x, y];
    legs.push({ bearingDegrees: bearing, metres, east, north, covered: coverage.covered });
    if (legs.length >= MOST_LEGS || (pattern === 'square' && coverage.covered >= ENOUGH)) break;
  }
  return legs;
}
