import { planePointOf } from '../../place/geodesic';
import { lengthText } from '../../units/shown';
import { meetingShares, ORIGIN } from '../../units/plane';
import type { RouteCheck, RouteWarning } from './route-check';

/** `crosses-barrier`: a leg goes straight over a line that is not to be crossed. */
export const crossesBarrier: RouteCheck = ({ legs, positions }, { barriers }) =>
  legs.flatMap(({ number, metres }) => {
    const [from, to] = [positions[number - 1]!, positions[number]!];
    const end = planePointOf(from, to);
    return barriers.flatMap(({ name, positions: corners }): RouteWarning[] => {
      const plane = corners.map((corner) => planePointOf(from, corner));
      const shares = plane.slice(1).flatMap((point, index) => {
        const met = meetingShares([ORIGIN, end], [plane[index]!, point]);
        return met?.every((share) => share >= 0 && share <= 1) ? [met[0]] : [];
      });
      if (shares.length === 0) return [];
      const at = lengthText(Math.min(...shares) * metres);
      const message =
        `Leg ${number} goes straight over ${name}, after ${at}. Plan a point that leads round ` +
        'it.';
      return [{ code: 'crosses-barrier', leg: number, message }];
    });
  });
