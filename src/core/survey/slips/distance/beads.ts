import type { DistanceReading } from '../../../readings/distance';
import { METRES_PER_KILOMETRE } from '../../../units/units';
import type { Instead, Slip, SlipLeg } from '../slip';
import { withMetres } from './longer';

/** What a leg of so many metres more would have been written as; null where nobody would. */
function written(leg: SlipLeg, more: number): DistanceReading | null {
  const { distance } = leg.reading;
  const each = {
    paces: leg.paceMetres,
    steps: leg.paceMetres / 2,
    metres: 1,
    kilometres: METRES_PER_KILOMETRE,
  }[distance.unit as 'paces'];
  if (!(each > 0) || distance.unit === 'minutes') return null;
  const value = distance.value + more / each;
  return { ...distance, value: distance.unit === 'kilometres' ? value : Math.round(value) };
}

/** A leg that is longer or shorter by so much. */
const by = (leg: SlipLeg, metres: number, says: (more: number) => string): Instead[] =>
  [metres, -metres].flatMap((more) => {
    const distance = written(leg, more);
    if (!distance || distance.value <= 0 || leg.metres + more <= 0) return [];
    return [withMetres(leg, leg.metres + more, distance, says(more))];
  });

/** A bead not drawn, or drawn twice. */
export const hundredMetres: Slip = {
  id: 'hundred-metres',
  prior: 0.01,
  lookAt: 'the beads: was one forgotten, or drawn twice?',
  of: (leg) =>
    by(leg, 100, (more) => (more > 0 ? 'a hundred metres are missing' : 'it is 100 m too long')),
};

/** Ten paces: a slip of the count. */
export const tenPaces: Slip = {
  id: 'ten-paces',
  prior: 0.005,
  lookAt: 'the count',
  of: (leg) =>
    leg.reading.distance.unit === 'paces'
      ? by(leg, 10 * leg.paceMetres, (more) =>
          more > 0 ? 'ten paces are missing' : 'there are ten paces too many',
        )
      : [],
};
