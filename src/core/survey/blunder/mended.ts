import type { Adjusted } from '../network/adjust';
import type { Network } from '../network/readings';
import type { Instead } from '../slips/slip';
import { radians } from '../../units/units';
import { polar, scaled, sumOf, type PlanePoint } from '../../units/plane';
import { localOf, localTurn, sharedMoves } from '../party/checked';
import { moved, times } from './two-by-two';
import { nth } from '../../units/nth';

/** A line that lies elsewhere. */
export interface Change {
  readonly line: number;
  readonly instead: Instead;
}

/** Where what stands instead of a line would end. */
export const vectorOf = ({
  bearingDegrees,
  metres,
  rightMetres = 0,
  isNothing,
}: Instead): PlanePoint => {
  if (isNothing) return { east: 0, north: 0 };
  const [along, right] = [polar(bearingDegrees, metres), polar(bearingDegrees + 90, rightMetres)];
  return { east: along.east + right.east, north: along.north + right.north };
};

/** The network with a line that lies elsewhere. */
export function withLine(network: Network, index: number, instead: Instead): Network {
  const line = nth(network.lines, index);
  const { east, north } = vectorOf(instead);
  const metres = Math.hypot(east, north);
  const bearing = metres === 0 ? radians(instead.bearingDegrees) : Math.atan2(east, north);
  return { ...network, lines: network.lines.with(index, { ...line, bearing, metres }) };
}

/** Chi-square once some lines lie elsewhere: q + 2·Δ'Wr + Δ'MΔ, with one solution for MΔ. */
export function squareAfter(adjusted: Adjusted, changes: readonly Change[]): number {
  const { network, factor, shared, effects, lines, places } = adjusted;
  const count = network.sources.length;
  const right = new Float64Array(2 * (network.nodes + (network.locals?.length ?? 0)));
  const pulls = new Float64Array(count);
  let square = adjusted.chiSquare;
  for (const { line: index, instead } of changes) {
    const { from, to, weight, east, north } = nth(lines, index);
    const there = vectorOf(instead);
    const shift = { east: there.east - east, north: there.north - north };
    const { own } = sharedMoves(adjusted, index);
    const turn = localTurn(adjusted, index);
    const by = sumOf(moved(own, shared.values), scaled(turn, localOf(adjusted, index)));
    const residual = {
      east: east + by.east - (nth(places, 2 * to) - nth(places, 2 * from)),
      north: north + by.north - (nth(places, 2 * to + 1) - nth(places, 2 * from + 1)),
    };
    const pull = times(weight, shift);
    square += 2 * (pull.east * residual.east + pull.north * residual.north);
    square += pull.east * shift.east + pull.north * shift.north;
    right[2 * to]! += pull.east;
    right[2 * to + 1]! += pull.north;
    right[2 * from]! -= pull.east;
    right[2 * from + 1]! -= pull.north;
    const { local } = nth(lines, index);
    if (local !== -1) right[2 * local]! -= turn.east * pull.east + turn.north * pull.north;
    for (let i = 0; i < count; i++) {
      pulls[i]! += pull.east * nth(own, i) + pull.north * nth(own, count + i);
    }
  }
  right[0] = 0;
  right[1] = 0;
  const solved = right.slice();
  factor.solve(solved, 1);
  for (let row = 2; row < right.length; row++) square -= nth(right, row) * nth(solved, row);
  // What the shared errors would take of it: b's = -J'WΔ + (N⁻¹A'WJ)'·A'WΔ.
  const b = pulls.map((value) => -value);
  for (let row = 2; row < right.length; row++) {
    for (let i = 0; i < count; i++) b[i]! += nth(effects, row * count + i) * nth(right, row);
  }
  for (let i = 0; i < count; i++) {
    for (let j = 0; j < count; j++)
      square -= nth(b, i) * nth(shared.covariance, i * count + j) * nth(b, j);
  }
  return square;
}
