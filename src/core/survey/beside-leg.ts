import { alongOf, asideOf, type Feature } from '../entries/kinds/at';
import { metresAlong } from '../readings/distance';
import { polar, sumOf, type PlanePoint } from '../units/plane';
import type { SolvedLeg } from './solution';

/** The place of something seen on a leg: along it, and to a side. */
export function besideLeg(
  { start, bearingDegrees, paceMetres }: Pick<SolvedLeg, 'start' | 'bearingDegrees' | 'paceMetres'>,
  feature: Pick<Feature, 'metres' | 'along' | 'side' | 'sideMetres' | 'aside'>,
): PlanePoint {
  const along = polar(bearingDegrees, metresAlong(alongOf(feature), paceMetres));
  const aside = asideOf(feature);
  const right = aside ? metresAlong(aside, paceMetres) : 0;
  const across = polar(bearingDegrees + 90, feature.side === 'left' ? -right : right);
  return sumOf(start, sumOf(along, across));
}
