import type { Fault } from '../../faults/fault';
import type { KnownPlace } from '../../model/known-place';
import { readTypedPlace } from '../../place/short-reference';
import { fail, ok, type Result } from '../../units/result';

type Placed = Pick<KnownPlace, 'positions' | 'withinMetres'>;

/**
 * A place, or the corners of a line, as they were typed: one on each row. A line is read as finely
 * as the coarsest of its corners. A fault tells the row, from 1.
 */
export function readTypedPlaces(
  text: string,
  square: string | null,
): Result<Placed, { readonly row: number; readonly fault: Fault }> {
  const positions: KnownPlace['positions'] = [];
  let within = 0;
  for (const [index, row] of text.split('\n').entries()) {
    if (row.trim() === '') continue;
    const read = readTypedPlace(row, square);
    if (!read.ok) return fail({ row: index + 1, fault: read.fault });
    positions.push(read.value.position);
    within = Math.max(within, read.value.withinMetres ?? 0);
  }
  return ok({ positions, ...(within > 0 && { withinMetres: within }) });
}
