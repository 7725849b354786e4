import { isInsideEllipse } from '../../errors/ellipse';
import type { Area, AreaStation } from '../../model/area';
import { lengthOf, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';
import { areaStationOf, standTogether, type AreaMembers } from './area-members';
import { covarianceBetween, type Survey } from './survey';
import { nth } from '../../units/nth';

/** Two stations of different outings that may be one. */
export interface NearPair {
  readonly stations: readonly [AreaStation, AreaStation];
  readonly metres: Metres;
}

/** Farther apart than this, stations are asked about by name only. Common practice, no source. */
const NEAR_METRES = 40;
/** So many pairs at a time: the nearest first. */
const MOST_PAIRS = 5;

/** Pairs whose uncertainty is looked at: in a survey of thousands many lie near each other. */
const MOST_LOOKED_AT = 200;

interface Pair {
  readonly one: number;
  readonly other: number;
  readonly apart: PlanePoint;
  readonly metres: Metres;
}

/**
 * Stations of different outings that lie near each other, nearer than their uncertainty: perhaps
 * they are one. Those that the person has spoken of are left out.
 */
export function proposedByNearness(area: Area, found: AreaMembers, survey: Survey): NearPair[] {
  const { all } = survey.party.nodes;
  const byEast = all
    .map((node, index) => ({ node, index, ...survey.places.at(index) }))
    .sort((a, b) => a.east - b.east);
  const pairs: Pair[] = [];
  for (const [at, one] of byEast.entries()) {
    for (let next = at + 1; next < byEast.length; next++) {
      const other = nth(byEast, next);
      if (other.east - one.east > NEAR_METRES) break;
      const apart = vectorBetween(one, other);
      const metres = lengthOf(apart);
      const [a, b] = [nth(one.node.stations, 0), nth(other.node.stations, 0)];
      if (metres > NEAR_METRES || a.outing === b.outing) continue;
      pairs.push({ one: one.index, other: other.index, apart, metres });
    }
  }
  return asked(
    area,
    found,
    survey,
    pairs.sort((a, b) => a.metres - b.metres),
  );
}

/** The first pairs that may be one, and were not spoken of. */
function asked(
  area: Area,
  found: AreaMembers,
  { party, places }: Survey,
  pairs: readonly Pair[],
): NearPair[] {
  const near: NearPair[] = [];
  for (const { one, other, apart, metres } of pairs.slice(0, MOST_LOOKED_AT)) {
    if (near.length >= MOST_PAIRS) break;
    const [a, b] = [one, other].map((node) =>
      areaStationOf(found, nth(nth(party.nodes.all, node).stations, 0)),
    );
    const stations = [a!, b!] as const;
    if (standTogether(area.apart, stations)) continue;
    if (isInsideEllipse(covarianceBetween(places, one, other), apart)) {
      near.push({ stations, metres });
    }
  }
  return near;
}
