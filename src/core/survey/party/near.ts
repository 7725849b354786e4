import { isInsideEllipse } from '../../errors/ellipse';
import type { Area, AreaStation } from '../../model/area';
import { lengthOf, vectorBetween } from '../../units/plane';
import type { Metres } from '../../units/units';
import { areaStationOf, standTogether, type AreaMembers } from './area-members';
import { covarianceBetween, type Survey } from './survey';

/** Two stations of different outings that may be one. */
export interface NearPair {
  readonly stations: readonly [AreaStation, AreaStation];
  readonly metres: Metres;
}

/** Farther apart than this, stations are asked about by name only. Common practice, no source. */
const NEAR_METRES = 40;
/** So many pairs at a time: the nearest first. */
const MOST_PAIRS = 5;

/**
 * Stations of different outings that lie near each other, nearer than their uncertainty: perhaps
 * they are one. Those that the person has spoken of are left out.
 */
export function proposedByNearness(area: Area, found: AreaMembers, survey: Survey): NearPair[] {
  const { all } = survey.party.nodes;
  const byEast = all
    .map((node, index) => ({ node, index, ...survey.places.at(index) }))
    .sort((a, b) => a.east - b.east);
  const pairs: NearPair[] = [];
  for (const [at, one] of byEast.entries()) {
    for (let next = at + 1; next < byEast.length; next++) {
      const other = byEast[next]!;
      if (other.east - one.east > NEAR_METRES) break;
      const apart = vectorBetween(one, other);
      const metres = lengthOf(apart);
      const [a, b] = [one.node.stations[0]!, other.node.stations[0]!];
      if (metres > NEAR_METRES || a.outing === b.outing) continue;
      const covariance = covarianceBetween(survey.places, one.index, other.index);
      if (!isInsideEllipse(covariance, apart)) continue;
      const stations = [areaStationOf(found, a), areaStationOf(found, b)] as const;
      if (!standTogether(area.apart, stations)) pairs.push({ stations, metres });
    }
  }
  return pairs.sort((a, b) => a.metres - b.metres).slice(0, MOST_PAIRS);
}
