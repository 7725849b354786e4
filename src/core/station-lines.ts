import type { Solution } from './solve';

/** Where one stands at each line of the page, and which leg it speaks of. */
export interface LinePlaces {
  /** The station where one stands after the line (a point of the solution). */
  readonly station: Int32Array;
  /** The number of the last leg logged up to the line; 0 for none. */
  readonly leg: Int32Array;
}

/** Follows the page line by line. */
export function linePlaces(solution: Solution): LinePlaces {
  const { entries } = solution.outing;
  const station = new Int32Array(entries.length);
  const leg = new Int32Array(entries.length);
  let [at, legs] = [0, 0];
  entries.forEach((entry, index) => {
    if (entry.kind === 'leg') at = solution.stationOfLeg[++legs]!;
    else if (entry.kind === 'from') at = solution.stations.find(entry.station, legs) ?? at;
    station[index] = at;
    leg[index] = legs;
  });
  return { station, leg };
}
