import type { Covariance } from '../../errors/covariance';
import type { PlanePoint } from '../../units/plane';
import { lineCovariances, type LineCovariance } from '../network/line-covariances';
import type { Adjusted } from '../network/adjust';
import { LEAST_VARIANCE } from '../network/readings';
import { nth } from '../../units/nth';

/** A line of an adjusted network, and how well the others tell it. */
export interface CheckedLine {
  /** Covariance of the line by its own reading, C. */
  readonly own: Covariance;
  /** Covariance of the line without its own errors, after the adjustment, V. */
  readonly after: Covariance;
  /** N⁻¹ between its ends, and with its local error. */
  readonly between: LineCovariance;
  /** How much of the reading the others tell: 0 for nothing, 2 for all of it (1 of a sighting). */
  readonly redundancy: number;
}

/** Below this a reading is checked by nothing: rounding leaves a little. */
const NOTHING = 1e-6;

export const isUnchecked = ({ redundancy }: CheckedLine): boolean => redundancy < NOTHING;

/**
 * What each line is checked by. The redundancy of a reading is the trace of 1 - V·W.
 * Source: W. Baarda, A testing procedure for use in geodetic networks, 1968 (memory).
 */
export function checkedLines(adjusted: Adjusted): CheckedLine[] {
  const { network, lines } = adjusted;
  const between = lineCovariances(adjusted.factor, lines);
  return lines.map((line, index): CheckedLine => {
    const { sin, cos, metres, weight } = line;
    const read = nth(network.lines, index);
    const along = Math.max(LEAST_VARIANCE, read.alongVariance * read.metres ** 2);
    const across = Math.max(LEAST_VARIANCE, read.acrossVariance * metres ** 2);
    const own = {
      xx: along * sin * sin + across * cos * cos,
      xy: (along - across) * sin * cos,
      yy: along * cos * cos + across * sin * sin,
    };
    const after = afterAdjustment(adjusted, index, nth(between, index));
    const used = after.xx * weight.xx + 2 * after.xy * weight.xy + after.yy * weight.yy;
    const readings = read.alongVariance === Infinity ? 1 : 2;
    return { own, after, between: nth(between, index), redundancy: readings - used };
  });
}

/**
 * What one unit of each shared error moves by: the vector between a line's ends, after the
 * adjustment, and the line's own reading. Two rows each, in metres. `local` is what it changes the
 * line's local error by.
 */
export function sharedMoves(
  { network, lines, effects }: Adjusted,
  index: number,
): { readonly path: Float64Array; readonly own: Float64Array; readonly local: Float64Array } {
  const count = network.sources.length;
  const { from, to, shared } = nth(network.lines, index);
  const at = nth(lines, index).local;
  const path = new Float64Array(2 * count);
  const own = new Float64Array(2 * count);
  const local = at === -1 ? new Float64Array(count) : effects.subarray(2 * at * count);
  for (let row = 0; row < 2; row++) {
    for (let i = 0; i < count; i++) {
      path[row * count + i] =
        nth(effects, (2 * to + row) * count + i) - nth(effects, (2 * from + row) * count + i);
    }
  }
  for (const [i, { source }] of shared.entries()) {
    own[source]! += nth(nth(lines, index).effects, 2 * i);
    own[count + source]! += nth(nth(lines, index).effects, 2 * i + 1);
  }
  return { path, own, local };
}

/** What the shared errors and the local one move a line by, beside where its ends are. */
export function readingMoves(
  path: Float64Array,
  own: Float64Array,
  local: Float64Array,
  turn: PlanePoint,
): Float64Array {
  const count = path.length / 2;
  return path.map((value, i) => {
    const [by, source] = i < count ? [turn.east, i] : [turn.north, i - count];
    return value - nth(own, i) - by * nth(local, source);
  });
}

/** The covariance of a line less its local error, of variance t: R - jr' - rj' + tjj'. */
export function withoutLocal(between: LineCovariance, { east, north }: PlanePoint): Covariance {
  const { xx, xy, yy, localEast, localNorth, local } = between;
  return {
    xx: xx - 2 * east * localEast + local * east * east,
    xy: xy - east * localNorth - north * localEast + local * east * north,
    yy: yy - 2 * north * localNorth + local * north * north,
  };
}

/** What one unit of a line's local error moves its end by. */
export const localTurn = ({ lines }: Adjusted, index: number): PlanePoint => ({
  east: nth(lines, index).localEast,
  north: nth(lines, index).localNorth,
});

/** The local error of a line; 0 for one without. */
export function localOf({ network, locals }: Adjusted, index: number): number {
  const { local } = nth(network.lines, index);
  return local === undefined ? 0 : nth(locals, local);
}

/** R + (G - J)·S⁻¹·(G - J)': the covariance of a line as its reading should have been. */
function afterAdjustment(adjusted: Adjusted, index: number, between: LineCovariance): Covariance {
  const { path, own, local } = sharedMoves(adjusted, index);
  const turn = localTurn(adjusted, index);
  const moves = readingMoves(path, own, local, turn);
  return addJoint(withoutLocal(between, turn), moves, moves, adjusted.shared.covariance);
}

/** R + A·S⁻¹·B' of two matrices of two rows; its symmetric part. */
export function addJoint(
  rest: Covariance,
  a: Float64Array,
  b: Float64Array,
  joint: Float64Array,
): Covariance {
  const count = a.length / 2;
  let { xx, xy, yy } = rest;
  for (let i = 0; i < count; i++) {
    for (let j = 0; j < count; j++) {
      const common = nth(joint, i * count + j);
      xx += common * nth(a, i) * nth(b, j);
      xy += (common * (nth(a, i) * nth(b, count + j) + nth(a, count + i) * nth(b, j))) / 2;
      yy += common * nth(a, count + i) * nth(b, count + j);
    }
  }
  return { xx, xy, yy };
}
