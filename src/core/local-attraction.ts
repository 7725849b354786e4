import { backBearing, normalised, signedDifference } from './angle';
import type { Degrees } from './units';

/** A line between two stations with the bearing read at each end, from one north. */
export interface TwoEndedLine {
  readonly from: number;
  readonly to: number;
  readonly forward: Degrees;
  readonly back: Degrees;
}

/**
 * How much a compass reads too large at each station, by the rule of surveyors: a line whose two bearings differ by half
 * a circle has no disturbance at either end; from its ends every line that disagrees puts the difference at its other
 * end. `tolerance` is what two readings may differ by without a disturbance. A station that no such chain reaches is
 * left out, since nothing tells which end is at fault.
 * Source: B. C. Punmia, Surveying, volume 1, chapter on the compass, correction for local attraction (memory).
 */
export function disturbances(
  lines: readonly TwoEndedLine[],
  tolerance: Degrees,
): Map<number, Degrees> {
  const known = new Map<number, Degrees>();
  const off = ({ forward, back }: TwoEndedLine) => signedDifference(backBearing(forward), back);
  for (const line of lines) {
    if (Math.abs(off(line)) > tolerance) continue;
    known.set(line.from, 0);
    known.set(line.to, 0);
  }
  for (let grew = known.size > 0; grew;) {
    grew = false;
    for (const line of lines) {
      const [atFrom, atTo] = [known.get(line.from), known.get(line.to)];
      if (atFrom !== undefined && atTo === undefined) {
        known.set(line.to, off(line) + atFrom);
        grew = true;
      } else if (atTo !== undefined && atFrom === undefined) {
        known.set(line.from, atTo - off(line));
        grew = true;
      }
    }
  }
  return known;
}

/** A bearing read at a station, freed of what disturbs the compass there. */
export const undisturbed = (bearing: Degrees, disturbance: Degrees): Degrees =>
  normalised(bearing - disturbance);
