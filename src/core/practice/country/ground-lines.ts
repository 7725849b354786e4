import { lengthOf, meetingShares, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';
import type { GroundLine } from './country';

/** Where a straight way crosses a line of the ground: metres along the way, the nearest first. */
export function crossings(from: PlanePoint, to: PlanePoint, line: GroundLine): Metres[] {
  const length = lengthOf(vectorBetween(from, to));
  const found = line.slice(1).flatMap((point, index) => {
    const met = meetingShares([from, to], [line[index]!, point]);
    if (!met) return [];
    const [along, aside] = met;
    // A corner belongs to the stretch that begins there: it is crossed once.
    return along >= 0 && along <= 1 && aside >= 0 && aside < 1 ? [along * length] : [];
  });
  return found.sort((one, other) => one - other);
}
