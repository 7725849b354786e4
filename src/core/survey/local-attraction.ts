import { backBearing, normalised, signedDifference } from '../units/angle';
import type { Degrees } from '../units/units';

/** A line between two stations with the bearing read at each end, both from the same north. */
export interface TwoEndedLine {
  readonly from: number;
  readonly to: number;
  readonly forward: Degrees;
  readonly back: Degrees;
}

/**
 * How much a compass reads too large at each station, by the rule of surveyors: a line whose two
 * bearings differ by 180° has no local attraction at either end; from its ends, every line that
 * disagrees puts the difference at its other end. `tolerance` is what two readings may differ by
 * without attraction. A station that no such chain reaches is left out.
 * Source: B. C. Punmia, Surveying, volume 1, on local attraction (memory).
 */
export function localAttractions(
  lines: readonly TwoEndedLine[],
  tolerance: Degrees,
): Map<number, Degrees> {
  const known = new Map<number, Degrees>();
  const linesAt = new Map<number, TwoEndedLine[]>();
  for (const line of lines) {
    for (const station of [line.from, line.to]) {
      const met = linesAt.get(station);
      if (met) met.push(line);
      else linesAt.set(station, [line]);
    }
    if (Math.abs(offBy(line)) > tolerance) continue;
    known.set(line.from, 0);
    known.set(line.to, 0);
  }
  // A map is walked on while it grows: each station hands on what is known, once.
  for (const [station, attraction] of known) {
    for (const line of linesAt.get(station) ?? []) {
      if (line.from === station && !known.has(line.to)) {
        known.set(line.to, offBy(line) + attraction);
      } else if (line.to === station && !known.has(line.from)) {
        known.set(line.from, attraction - offBy(line));
      }
    }
  }
  return known;
}

/** How far the back bearing is from what the forward one asks for. */
const offBy = ({ forward, back }: TwoEndedLine) => signedDifference(backBearing(forward), back);

/** A bearing read at a station, corrected for the attraction there. */
export const correctedForAttraction = (bearing: Degrees, attraction: Degrees): Degrees =>
  normalised(bearing - attraction);
