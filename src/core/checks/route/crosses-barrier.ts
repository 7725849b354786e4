import { lengthText } from '../../units/figures';
import { planePointOf } from '../../place/geodesic';
import { lengthOf, meetingShares, ORIGIN, scaled, vectorBetween } from '../../units/plane';
import type { RouteCheck, RouteWarning } from './route-check';
import { nth } from '../../units/nth';

/** A leg that meets the barrier so near a gate goes through it. Common practice, no source. */
const AT_CROSSING_METRES = 15;
/** Farther than this a gate is no way round. */
const MOST_ROUND_METRES = 1000;

/**
 * `crosses-barrier`: a leg goes straight over a line that is not to be crossed, and not at a gate,
 * a bridge or a ford that is known.
 */
export const crossesBarrier: RouteCheck = ({ legs, positions }, { barriers, crossings }, units) =>
  legs.flatMap(({ number, metres }) => {
    const [from, to] = [nth(positions, number - 1), nth(positions, number)];
    const end = planePointOf(from, to);
    const gates = crossings.map(({ name, position }) => ({
      name,
      point: planePointOf(from, position),
    }));
    return barriers.flatMap(({ name, positions: corners }): RouteWarning[] => {
      const plane = corners.map((corner) => planePointOf(from, corner));
      const shares = plane.slice(1).flatMap((point, index) => {
        const met = meetingShares([ORIGIN, end], [nth(plane, index), point]);
        return met?.every((share) => share >= 0 && share <= 1) ? [met[0]] : [];
      });
      const over = shares
        .map((share) => {
          const met = scaled(end, share);
          const [nearest] = gates
            .map((gate) => ({ ...gate, away: lengthOf(vectorBetween(met, gate.point)) }))
            .sort((a, b) => a.away - b.away);
          return { share, nearest };
        })
        .filter(({ nearest }) => !nearest || nearest.away > AT_CROSSING_METRES)
        .sort((a, b) => a.share - b.share);
      const [first] = over;
      if (!first) return [];
      const { nearest } = first;
      const round =
        nearest && nearest.away <= MOST_ROUND_METRES
          ? `Plan a point at ${nearest.name}, ${lengthText(nearest.away, units)} from there, or ` +
            'one that leads round it.'
          : 'Plan a point that leads round it, or mark the gate or bridge where it may be crossed.';
      const message =
        `Leg ${number} goes straight over ${name}, after ` +
        `${lengthText(first.share * metres, units)}. ${round}`;
      return [{ code: 'crosses-barrier', leg: number, message }];
    });
  });
