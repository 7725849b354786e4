import { legCovariance, type Covariance } from '../../errors/covariance';
import { ORIGIN, polar, scaled, sumOf, type PlanePoint } from '../../units/plane';
import type { Adjusted } from '../network/adjust';
import type { LineCovariance } from '../network/line-covariances';
import { LEAST_VARIANCE, type Network, type NetworkLine } from '../network/readings';
import type { Instead } from '../slips/slip';
import {
  addJoint,
  localOf,
  localTurn,
  readingMoves,
  sharedMoves,
  withoutLocal,
  type CheckedLine,
} from '../party/checked';
import { vectorOf } from './mended';
import { apply, crossOf, inverseOf, moved, sandwich, times, type Square } from './two-by-two';
import { nth } from '../../units/nth';

/** What the other readings say of a line. */
export interface TakenOut {
  readonly check: CheckedLine;
  readonly path: Float64Array;
  readonly own: Float64Array;
  /** What the shared errors change the line's local error by, and what that moves its end by. */
  readonly local: Float64Array;
  readonly turn: PlanePoint;
  /** (C - V)⁻¹, and what the line came out as more than it was read. */
  readonly inverse: Covariance;
  readonly off: PlanePoint;
}

/** Takes a line out; null where nothing else tells it. */
export function takenOut(adjusted: Adjusted, line: number, check: CheckedLine): TakenOut | null {
  const { own: c, after: v } = check;
  const left = { xx: c.xx - v.xx, xy: c.xy - v.xy, yy: c.yy - v.yy };
  const determinant = left.xx * left.yy - left.xy ** 2;
  if (determinant <= 1e-9 * (c.xx * c.yy - c.xy ** 2)) return null;
  const { path, own, local } = sharedMoves(adjusted, line);
  const turn = localTurn(adjusted, line);
  const { from, to, east, north } = nth(adjusted.lines, line);
  const { places, shared } = adjusted;
  const shift = sumOf(moved(own, shared.values), scaled(turn, localOf(adjusted, line)));
  return {
    check,
    path,
    own,
    local,
    turn,
    inverse: inverseOf(left, determinant),
    off: {
      east: east - (nth(places, 2 * to) - nth(places, 2 * from) - shift.east),
      north: north - (nth(places, 2 * to + 1) - nth(places, 2 * from + 1) - shift.north),
    },
  };
}

/** The log likelihood of a line, as it would be written, by all others; its square in sigmas. */
export function likelihood(
  { check, path, own, local, turn, inverse, off }: TakenOut,
  adjusted: Adjusted,
  index: number,
  instead: Instead,
): { log: number; square: number } {
  const { places, shared, network } = adjusted;
  const line = nth(network.lines, index);
  const there = vectorOf(instead);
  const effects = effectsOf(adjusted.network, line, instead);
  const turnThere = line.local === undefined || instead.isNothing ? ORIGIN : turnOf(instead);
  const moves = readingMoves(path, effects, local, turnThere);
  const asRead = readingMoves(path, own, local, turn);
  // Covariance of the line as it would be written, with the line that is taken out.
  const between = localCross(check.between, turnThere, turn);
  const cross = crossOf(between, moves, asRead, shared.covariance);
  const rest = addJoint(withoutLocal(check.between, turnThere), moves, moves, shared.covariance);
  const byLocal = scaled(turnThere, localOf(adjusted, index));
  const shift = sumOf(moved(effects, shared.values), byLocal);
  const pulled = apply(cross, times(inverse, off));
  const [from, to] = [2 * line.from, 2 * line.to];
  const east = there.east - (nth(places, to) - nth(places, from) - shift.east - pulled.east);
  const north =
    there.north - (nth(places, to + 1) - nth(places, from + 1) - shift.north - pulled.north);
  const spread = ownOf(line, instead);
  const back = sandwich(cross, inverse);
  const xx = rest.xx + back.xx + spread.xx;
  const xy = rest.xy + back.xy + spread.xy;
  const yy = rest.yy + back.yy + spread.yy;
  const determinant = xx * yy - xy * xy;
  const square = (yy * east * east - 2 * xy * east * north + xx * north * north) / determinant;
  return { log: -0.5 * (square + Math.log(determinant)), square };
}

/** What one unit of an error of its bearing would move the line's end by. */
const turnOf = ({ bearingDegrees, metres }: Instead): PlanePoint => {
  const { east, north } = polar(bearingDegrees, metres);
  return { east: north, north: -east };
};

/** The covariance of a line with one local effect with the same line with another. */
function localCross(between: LineCovariance, one: PlanePoint, other: PlanePoint): Square {
  const { xx, xy, yy, localEast, localNorth, local } = between;
  return [
    xx - localEast * other.east - one.east * localEast + local * one.east * other.east,
    xy - localEast * other.north - one.east * localNorth + local * one.east * other.north,
    xy - localNorth * other.east - one.north * localEast + local * one.north * other.east,
    yy - localNorth * other.north - one.north * localNorth + local * one.north * other.north,
  ];
}

/** What one unit of each shared error would move the line by. */
function effectsOf({ sources }: Network, line: NetworkLine, instead: Instead): Float64Array {
  const count = sources.length;
  const effects = new Float64Array(2 * count);
  if (instead.isNothing) return effects;
  const along = polar(instead.bearingDegrees, instead.metres);
  for (const { source, share } of line.shared) {
    const isLength = nth(sources, source).of === 'distance';
    effects[source] = share * (isLength ? along.east : along.north);
    effects[count + source] = share * (isLength ? along.north : -along.east);
  }
  return effects;
}

/** The covariance of the line's own reading, if it were written so. */
function ownOf(line: NetworkLine, { bearingDegrees, metres, isNothing, missingMetres }: Instead) {
  if (isNothing) return { xx: LEAST_VARIANCE, xy: 0, yy: LEAST_VARIANCE };
  const square = Math.max(LEAST_VARIANCE, metres * metres);
  const { xx, xy, yy } = legCovariance(
    polar(bearingDegrees, metres),
    Math.max(line.alongVariance, LEAST_VARIANCE / square),
    Math.max(line.acrossVariance, LEAST_VARIANCE / square),
  );
  const missing = (missingMetres ?? 0) ** 2;
  return { xx: xx + missing, xy, yy: yy + missing };
}
