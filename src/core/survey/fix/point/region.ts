import type { Covariance } from '../../../errors/covariance';
import { CHI_SQUARE_95, ellipse } from '../../../errors/ellipse';
import { whiten } from '../../../errors/whiten';
import { polar, scaled, sumOf, type PlanePoint } from '../../../units/plane';
import type { Observation } from '../../observations';
import type { PointFix, PointOptions } from '../../observations/point-fix';
import { covarianceOf, rowsOf } from '../../observations/rows';
import { nth } from '../../../units/nth';

/**
 * How sure a place is where the equations of its readings bend: near a mark, or near the circle
 * through the marks with the compass in question.
 *
 * | symbol | meaning                                       | equation                             |
 * | P, P0  | a place; the one that fits best               |                                      |
 * | p(P)   | how likely it is, by all that was read        | exp(-w'Q⁻¹w/2)/√|Q|, at P itself     |
 * | S      | second moments about P0                       | Σ p·(P - P0)(P - P0)'                |
 * | m      | 95 % of p has (P - P0)'S⁻¹(P - P0) up to m    |                                      |
 * | C      | so that its ellipse holds 95 %                | S·m/5.99                             |
 *
 * Summed over a grid along the axes of the covariance of the plain solution, with a flat prior.
 */
interface Grid {
  readonly offs: PlanePoint[];
  readonly weights: number[];
  /** What a normal distribution would weigh, whose axes the grid has. */
  readonly plain: number[];
  /** How much of the whole is at its edge. */
  readonly edge: number;
}

/** Points to each side of the middle, and how many sigmas the grid reaches at first and at most. */
const HALF = 8;
const REACH = 4;
const MOST_REACH = 64;
/** More of the likelihood than this at the edge, and the grid does not hold it. */
const MOST_AT_EDGE = 0.002;
/** More readings than this are not summed over: then no single one counts so much. */
const MOST_SUMMED = 16;

/** A covariance whose ellipse holds 95 %; not bounded where some of it may be anywhere. */
export interface Region {
  readonly covariance: Covariance;
  readonly isBounded: boolean;
}

/** How sure a place is, found by the plain solution and summed over the plane about it. */
export function regionOf(
  observations: readonly Observation[],
  found: PointFix,
  options: PointOptions,
): Region {
  const plain = { covariance: found.covariance, isBounded: true };
  if (observations.length > MOST_SUMMED) return plain;
  let { covariance } = found;
  let reach = REACH;
  for (let round = 1; ; round++) {
    const grid = gridOf(observations, { ...found, covariance }, options, reach);
    if (!grid) return plain;
    const isHeld = grid.edge <= MOST_AT_EDGE;
    if (!isHeld && reach < MOST_REACH) {
      reach *= 2;
      continue;
    }
    const moments = momentsOf(grid);
    // A grid that is too coarse for what it found, or too wide, is laid again by that.
    const isFitting = reach === REACH && areAlike(moments, covariance);
    if (isFitting || !isHeld || round >= MOST_ROUNDS) {
      return { covariance: held(grid, moments), isBounded: isHeld };
    }
    covariance = moments;
    reach = REACH;
  }
}
const MOST_ROUNDS = 6;

/** True where two covariances have about the same size and shape. */
function areAlike(one: Covariance, other: Covariance): boolean {
  const [a, b] = [ellipse(one), ellipse(other)];
  const ratios = [a.semiMajorMetres / b.semiMajorMetres, a.semiMinorMetres / b.semiMinorMetres];
  return ratios.every((ratio) => ratio > 0.75 && ratio < 1.33);
}

/** The logarithm of how likely a place is; -Infinity where the rows have no covariance. */
function logLikelihood(
  observations: readonly Observation[],
  place: PlanePoint,
  turned: number,
  { stations, compassHere }: PointOptions,
): number {
  const rows = observations.flatMap((each, i) => rowsOf(each, i, place));
  const pivots: number[] = [];
  const misses = rows.map((row) => [row.w - turned * row.compassHere]);
  const white = whiten(covarianceOf(rows, stations, compassHere), misses, pivots);
  if (!white) return -Infinity;
  const square = white.reduce((sum, [w = 0]) => sum + w * w, 0);
  return -square / 2 - pivots.reduce((sum, pivot) => sum + Math.log(pivot), 0);
}

function gridOf(
  observations: readonly Observation[],
  { place, covariance, compassHere }: PointFix,
  options: PointOptions,
  reach: number,
): Grid | null {
  const { azimuthDegrees, semiMajorMetres, semiMinorMetres } = ellipse(covariance);
  const sigma = 1 / Math.sqrt(CHI_SQUARE_95);
  const major = scaled(polar(azimuthDegrees, semiMajorMetres), sigma);
  const minor = scaled(polar(azimuthDegrees + 90, semiMinorMetres), sigma);
  const logs: number[] = [];
  const offs: PlanePoint[] = [];
  const edges: boolean[] = [];
  const normal: number[] = [];
  for (let i = -HALF; i <= HALF; i++) {
    for (let j = -HALF; j <= HALF; j++) {
      const [a, b] = [(reach * i) / HALF, (reach * j) / HALF];
      const off = {
        east: a * major.east + b * minor.east,
        north: a * major.north + b * minor.north,
      };
      offs.push(off);
      normal.push(Math.exp(-(a * a + b * b) / 2));
      edges.push(Math.abs(i) === HALF || Math.abs(j) === HALF);
      // The compass's error as it came out is taken off, so that no direction turns over.
      const turned = compassHere?.value ?? 0;
      logs.push(logLikelihood(observations, sumOf(place, off), turned, options));
    }
  }
  const most = logs.reduce((one, other) => Math.max(one, other), -Infinity);
  if (!Number.isFinite(most)) return null;
  const weights = shares(logs.map((log) => Math.exp(log - most)));
  const edge = weights.reduce((total, weight, i) => total + (edges[i] ? weight : 0), 0);
  return { offs, weights, plain: shares(normal), edge };
}

function shares(weights: readonly number[]): number[] {
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return weights.map((weight) => weight / sum);
}

/** Second moments about the middle. */
function momentsOf({ offs, weights }: Pick<Grid, 'offs' | 'weights'>): Covariance {
  let [xx, xy, yy] = [0, 0, 0];
  for (const [i, { east, north }] of offs.entries()) {
    xx += nth(weights, i) * east * east;
    xy += nth(weights, i) * east * north;
    yy += nth(weights, i) * north * north;
  }
  return { xx, xy, yy };
}

/** The square of the sigmas that hold 95 % of the weights. */
function squareHeld(
  offs: readonly PlanePoint[],
  weights: readonly number[],
  { xx, xy, yy }: Covariance,
): number {
  const determinant = xx * yy - xy * xy;
  const squares = offs
    .map(({ east, north }, i) => ({
      square: (yy * east * east - 2 * xy * east * north + xx * north * north) / determinant,
      weight: nth(weights, i),
    }))
    .sort((one, other) => one.square - other.square);
  let sum = 0;
  for (const { square, weight } of squares) {
    sum += weight;
    if (sum >= 0.95) return square;
  }
  return CHI_SQUARE_95;
}

/** The ellipse of the second moments that holds 95 %; a normal distribution comes out as it is. */
function held({ offs, weights, plain }: Grid, moments: Covariance): Covariance {
  const square = squareHeld(offs, weights, moments);
  // What a grid makes of a normal distribution is the grid's own doing.
  const byGrid = squareHeld(offs, plain, momentsOf({ offs, weights: plain }));
  const k = square / byGrid;
  return { xx: k * moments.xx, xy: k * moments.xy, yy: k * moments.yy };
}
