import { lengthOf, meetingShares, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';
import type { GroundLine } from './country';

/** Where a straight way crosses a line of the ground: metres along the way, the nearest first. */
export function crossings(from: PlanePoint, to: PlanePoint, line: GroundLine): Metres[] {
  const length = lengthOf(vectorBetween(from, to));
  const [west, east] = [Math.min(from.east, to.east), Math.max(from.east, to.east)];
  const [south, north] = [Math.min(from.north, to.north), Math.max(from.north, to.north)];
  const found: Metres[] = [];
  for (let corner = 1; corner < line.length; corner++) {
    const [begin, end] = [line[corner - 1]!, line[corner]!];
    // Most stretches are far away: a look at their sides is quicker than the meeting of two lines.
    if (Math.max(begin.east, end.east) < west || Math.min(begin.east, end.east) > east) continue;
    if (Math.max(begin.north, end.north) < south || Math.min(begin.north, end.north) > north) {
      continue;
    }
    const met = meetingShares([from, to], [begin, end]);
    if (!met) continue;
    const [along, aside] = met;
    // A corner belongs to the stretch that begins there: it is crossed once.
    if (along >= 0 && along <= 1 && aside >= 0 && aside < 1) found.push(along * length);
  }
  return found.sort((one, other) => one - other);
}
