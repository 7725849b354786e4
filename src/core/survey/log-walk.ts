import type { Entry } from '../entries/entry';
import { inForceAfter, inForceAtTop } from './in-force';
import type { InForce } from '../entries/reckoning';
import { stationNamed, type Solution, type SolvedLeg } from './solution';

/** A line of the log, and where the traveller was when it was written. */
export interface LineOnWalk {
  readonly entry: Entry;
  readonly index: number;
  /** The leg that the line is, or the last one before it; null before the first. */
  readonly leg: SolvedLeg | null;
  /** The station where the traveller is after the line. */
  readonly station: number;
  /** Where the line was read: where the next leg leaves from, or as a sighting says. */
  readonly readAt: number;
  /** What holds for the line, by those before it. */
  readonly inForce: InForce;
}

/** The lines of a log in their order, each with the leg and the station that it is about. */
export function* walkLog(solution: Solution): Generator<LineOnWalk> {
  const { outing, legs } = solution;
  let [number, station, leaving] = [0, 0, 0];
  let leg: SolvedLeg | null = null;
  let inForce = inForceAtTop(outing);
  for (const [index, entry] of outing.entries.entries()) {
    if (entry.kind === 'leg') {
      leg = legs.leg(++number);
      station = leaving = leg.to;
    } else if (entry.kind === 'from' || entry.kind === 'here') {
      leaving = stationNamed(solution, entry.station) ?? leaving;
      if (entry.kind === 'here') station = leaving;
    }
    const from = entry.kind === 'see' ? entry.from : undefined;
    const readAt = from === undefined ? leaving : (stationNamed(solution, from) ?? leaving);
    yield { entry, index, leg, station, readAt, inForce };
    inForce = inForceAfter(inForce, entry);
  }
}
