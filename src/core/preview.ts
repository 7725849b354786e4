import { wayAcross, type Way } from './home';
import { fillRow, type FieldFault } from './leg-row';
import type { Leg } from './logbook';
import { fail, ok, type Result } from './result';
import type { Solution } from './solve';
import { emptyTraverse, workOut } from './traverse';
import type { Metres } from './units';

/** A leg that is being typed: where it would end, and the way home from there. */
export interface GhostLeg {
  readonly from: number;
  readonly bearingDegrees: number;
  readonly lengthMetres: Metres;
  /** The end of the leg, metres from the start. */
  readonly east: Metres;
  readonly north: Metres;
  readonly home: Way;
}

/** What one more leg would do, at a cost that does not grow with the log. Nothing is changed. */
export function ghostLeg(solution: Solution, leg: Leg): Result<GhostLeg, FieldFault> {
  const one = emptyTraverse(1);
  const wrong = fillRow(one, 1, leg, solution.end);
  if (wrong) return fail(wrong);
  workOut(one, 1, 1);
  const next = solution.traverse.legs + 1;
  if (leg.to === undefined) {
    const taken = solution.stations.numberFault(next);
    if (taken) return fail({ fault: taken, field: 'whole' });
  }
  const { traverse, current } = solution;
  const returned = leg.to === undefined ? undefined : solution.stations.find(leg.to, traverse.legs);
  const east = traverse.east[current]! + one.east[1]!;
  const north = traverse.north[current]! + one.north[1]!;
  // The way home leaves from the station where the traveller will stand: a return leaves it where it was.
  const homeEast = returned === undefined ? east : traverse.east[returned]!;
  const homeNorth = returned === undefined ? north : traverse.north[returned]!;
  return ok({
    from: current,
    bearingDegrees: one.bearingDegrees[1]!,
    lengthMetres: one.lengthMetres[1]!,
    east,
    north,
    home: wayAcross(solution, returned ?? next, 0, -homeEast, -homeNorth),
  });
}
