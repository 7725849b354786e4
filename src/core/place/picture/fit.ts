import { Matrix, solve } from 'ml-matrix';
import { fail, ok, type Result } from '../../units/result';
import type { PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';
import { composed, inverted, toPlane, turnOfAreas, weightAt } from './transform';
import type { Homography, Pixel } from './transform';
import { nth } from '../../units/nth';

/**
 * Ties a picture to a plane by points that are known in both, with the least squares of their
 * residuals on the ground.
 *
 * | symbol | meaning                                         | unit   |
 * | n      | control points                                  |        |
 * | p      | parameters: 4, 6 or 8 by the kind of map        |        |
 * | r      | residual: where the map puts a point, less      | metres |
 * |        | where it is                                     |        |
 * | RMS    | √(Σ r² / n)                                     | metres |
 *
 * Source of the projective map's start: direct linear transformation with both point sets brought
 * to the same scale, R. Hartley, In defense of the eight-point algorithm, IEEE PAMI 19, 1997
 * (memory); then Gauss-Newton on the residuals themselves.
 */
export type FitKind = 'similarity' | 'affine' | 'projective';

/** The fewest points that each kind takes. */
export const LEAST_POINTS: Readonly<Record<FitKind, number>> = {
  similarity: 2,
  affine: 3,
  projective: 4,
};

/** A point that is known in the picture and on the plane. */
export interface ControlPoint {
  readonly pixel: Pixel;
  readonly plane: PlanePoint;
}

export interface Fit {
  readonly kind: FitKind;
  readonly toPlane: Homography;
  readonly toPicture: Homography;
  readonly residuals: readonly PlanePoint[];
  readonly rmsMetres: Metres;
  /** One sigma of a coordinate, √(Σ r² / (2n − p)); null where nothing is left over to tell it. */
  readonly sigmaMetres: Metres | null;
}

export type FitFault =
  /** Fewer points than the kind takes. */
  | { readonly code: 'too-few'; readonly needed: number }
  /** They lie on a line, or on each other. */
  | { readonly code: 'in-line' }
  /** The picture would be seen from behind: two coordinates or two points are swapped. */
  | { readonly code: 'mirrored' }
  /** The vanishing line runs between the points. */
  | { readonly code: 'folded' };

/** The kind of map that so many points tell. */
export const kindFor = (points: number): FitKind =>
  points >= LEAST_POINTS.projective
    ? 'projective'
    : points >= LEAST_POINTS.affine
      ? 'affine'
      : 'similarity';

const ROUNDS = 30;
/** Of the plane brought to unit size: a tenth of a millimetre in ten kilometres. */
const SETTLED = 1e-8;
/** Points whose spread across their line is less than this share of that along it are on a line. */
const LEAST_SPREAD = 1e-3;

/** The map that brings points to mean 0 and mean distance √2. */
function normalising(points: readonly Pixel[]): Homography {
  const x = points.reduce((sum, point) => sum + point.x, 0) / points.length;
  const y = points.reduce((sum, point) => sum + point.y, 0) / points.length;
  const mean =
    points.reduce((sum, point) => sum + Math.hypot(point.x - x, point.y - y), 0) / points.length;
  const k = Math.SQRT2 / (mean || 1);
  return [
    [k, 0, -k * x],
    [0, k, -k * y],
    [0, 0, 1],
  ];
}

/** True for points that tell no second dimension: the ratio of their principal spreads. */
function areInLine(points: readonly Pixel[]): boolean {
  const normal = normalising(points);
  let [xx, xy, yy] = [0, 0, 0];
  for (const point of points) {
    const { east: x, north: y } = toPlane(normal, point);
    [xx, xy, yy] = [xx + x * x, xy + x * y, yy + y * y];
  }
  const [mean, radius] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
  return mean === 0 || Math.sqrt(Math.max(0, mean - radius) / (mean + radius)) < LEAST_SPREAD;
}

interface Pair {
  readonly x: number;
  readonly y: number;
  readonly u: number;
  readonly v: number;
}

/** Unknowns of a linear system, two rows for a point. */
function solved(rows: readonly (readonly number[])[], right: readonly number[]): number[] | null {
  const found = solve(new Matrix(rows.map((row) => [...row])), Matrix.columnVector([...right]));
  const values = found.to1DArray();
  return values.every(Number.isFinite) ? values : null;
}

/** A similarity: turn, scale and shift. The plane counts up and the picture down. */
function similarity(pairs: readonly Pair[]): Homography | null {
  const rows = pairs.flatMap(({ x, y }) => [
    [x, y, 1, 0],
    [-y, x, 0, 1],
  ]);
  const found = solved(
    rows,
    pairs.flatMap(({ u, v }) => [u, v]),
  );
  if (!found) return null;
  const [a = 0, b = 0, c = 0, d = 0] = found;
  return [
    [a, b, c],
    [b, -a, d],
    [0, 0, 1],
  ];
}

function affine(pairs: readonly Pair[]): Homography | null {
  const rows = pairs.map(({ x, y }) => [x, y, 1]);
  const [east, north] = [
    solved(
      rows,
      pairs.map(({ u }) => u),
    ),
    solved(
      rows,
      pairs.map(({ v }) => v),
    ),
  ];
  if (!east || !north) return null;
  const row = ([a = 0, b = 0, c = 0]: readonly number[]) => [a, b, c] as const;
  return [row(east), row(north), [0, 0, 1]];
}

const fromParameters = (h: readonly number[]): Homography => {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, i = 0] = h;
  return [
    [a, b, c],
    [d, e, f],
    [g, i, 1],
  ];
};

/** The direct linear transformation, then Gauss-Newton on the residuals. */
function projective(pairs: readonly Pair[]): Homography | null {
  const rows = pairs.flatMap(({ x, y, u, v }) => [
    [x, y, 1, 0, 0, 0, -u * x, -u * y],
    [0, 0, 0, x, y, 1, -v * x, -v * y],
  ]);
  let h = solved(
    rows,
    pairs.flatMap(({ u, v }) => [u, v]),
  );
  for (let round = 0; h && round < ROUNDS; round++) {
    const map = fromParameters(h);
    const [jacobian, right]: [number[][], number[]] = [[], []];
    for (const { x, y, u, v } of pairs) {
      const w = weightAt(map, { x, y });
      const at = toPlane(map, { x, y });
      jacobian.push(
        [x / w, y / w, 1 / w, 0, 0, 0, (-at.east * x) / w, (-at.east * y) / w],
        [0, 0, 0, x / w, y / w, 1 / w, (-at.north * x) / w, (-at.north * y) / w],
      );
      right.push(u - at.east, v - at.north);
    }
    const step = solved(jacobian, right);
    if (!step) return null;
    h = h.map((value, index) => value + nth(step, index));
    if (Math.max(...step.map(Math.abs)) < SETTLED) break;
  }
  return h && fromParameters(h);
}

const FITTERS: Readonly<Record<FitKind, (pairs: readonly Pair[]) => Homography | null>> = {
  similarity,
  affine,
  projective,
};
/** Of a map of each kind: p of the table above. */
export const PARAMETERS: Readonly<Record<FitKind, number>> = {
  similarity: 4,
  affine: 6,
  projective: 8,
};

/** The best map of a kind through control points. */
export function fitPicture(
  points: readonly ControlPoint[],
  kind: FitKind = kindFor(points.length),
): Result<Fit, FitFault> {
  const needed = LEAST_POINTS[kind];
  if (points.length < needed) return fail({ code: 'too-few', needed });
  const pixels = points.map(({ pixel }) => pixel);
  const places = points.map(({ plane }) => ({ x: plane.east, y: plane.north }));
  const isFlat = kind !== 'similarity' && (areInLine(pixels) || areInLine(places));
  if (isFlat || isOnePoint(pixels) || isOnePoint(places)) return fail({ code: 'in-line' });
  const [ofPixels, ofPlaces] = [normalising(pixels), normalising(places)];
  const pairs = points.map((_point, index): Pair => {
    const { east: x, north: y } = toPlane(ofPixels, nth(pixels, index));
    const { east: u, north: v } = toPlane(ofPlaces, nth(places, index));
    return { x, y, u, v };
  });
  const found = FITTERS[kind](pairs);
  if (!found) return fail({ code: 'in-line' });
  return checkedFit(points, kind, composed(inverted(ofPlaces), composed(found, ofPixels)));
}

const isOnePoint = ([first, ...rest]: readonly Pixel[]) =>
  rest.every((point) => point.x === first?.x && point.y === first.y);

/** The fit of a map, unless it folds or mirrors the picture. */
function checkedFit(
  points: readonly ControlPoint[],
  kind: FitKind,
  map: Homography,
): Result<Fit, FitFault> {
  const signs = new Set(points.map(({ pixel }) => Math.sign(weightAt(map, pixel))));
  if (signs.size > 1 || signs.has(0)) return fail({ code: 'folded' });
  if (points.some(({ pixel }) => turnOfAreas(map, pixel) > 0)) return fail({ code: 'mirrored' });
  const residuals = points.map(({ pixel, plane }) => {
    const at = toPlane(map, pixel);
    return { east: at.east - plane.east, north: at.north - plane.north };
  });
  const squares = residuals.reduce((sum, { east, north }) => sum + east ** 2 + north ** 2, 0);
  const left = 2 * points.length - PARAMETERS[kind];
  return ok({
    kind,
    toPlane: map,
    toPicture: inverted(map),
    residuals,
    rmsMetres: Math.sqrt(squares / points.length),
    sigmaMetres: left > 0 ? Math.sqrt(squares / left) : null,
  });
}
