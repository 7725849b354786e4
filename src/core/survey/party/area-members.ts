import type { Area, AreaStation } from '../../model/area';
import { nameKey } from '../../readings/name';
import { stationName, stationNamed, type Solution } from '../solution';
import { planePointOf } from '../../place/geodesic';
import { knownOf } from '../fix/known-of';
import type { KnownPlace, Member } from './party';
import { stationsOfOneName, type StationRef } from './stations';
import { nth } from '../../units/nth';

/** The outings of an area that are there and can be solved, in the order of the area. */
export interface AreaMembers {
  readonly ids: readonly string[];
  readonly members: readonly Member[];
  /** The stations that are one, as far as they are still there. */
  readonly same: readonly (readonly StationRef[])[];
  /** Places that a map tells, as far as the origin is on the map. */
  readonly known: readonly KnownPlace[];
  /** Stations that the area names and that no outing has any more. */
  readonly lost: readonly AreaStation[];
}

/** The members of an area, by the solutions of its outings. */
export function areaMembers(
  { outings, same, known = [] }: Area,
  solutions: ReadonlyMap<string, Solution>,
): AreaMembers {
  const ids = outings.filter((id) => solutions.has(id));
  const members = ids.map((id): Member => {
    const solution = solutions.get(id)!;
    return { solution, by: solution.outing.by ?? '' };
  });
  const lost: AreaStation[] = [];
  const refOf = (named: AreaStation): StationRef | null => {
    const outing = ids.indexOf(named.outing);
    if (outing < 0) return null;
    const station = stationNamed(nth(members, outing).solution, named.station);
    if (station !== undefined) return { outing, station };
    lost.push(named);
    return null;
  };
  const refs = same.map(({ stations }) => stations.flatMap((named) => refOf(named) ?? []));
  const origin = members[0]?.solution.places.frame.origin ?? null;
  const places = known.flatMap((named): KnownPlace[] => {
    const at = refOf(named);
    return origin && at ? [{ at, place: planePointOf(origin, named.position) }] : [];
  });
  for (const [outing, { solution }] of members.entries()) {
    places.push(...knownOf(solution, outing, origin));
  }
  return { ids, members, same: refs.filter((each) => each.length > 1), known: places, lost };
}

/** A station as an area names it. */
export const areaStationOf = (
  { ids, members }: Pick<AreaMembers, 'ids' | 'members'>,
  { outing, station }: StationRef,
): AreaStation => ({
  outing: nth(ids, outing),
  station: stationName(nth(members, outing).solution, station),
});

const keyOf = ({ outing, station }: AreaStation) => `${outing} ${nameKey(station)}`;

/** True where all of these stations stand together in one of the groups. */
export const standTogether = (
  groups: readonly { readonly stations: readonly AreaStation[] }[],
  stations: readonly AreaStation[],
): boolean =>
  groups.some((group) => {
    const keys = new Set(group.stations.map(keyOf));
    return stations.every((each) => keys.has(keyOf(each)));
  });

/** Stations of one name that nobody has said are one, or are not. */
export function proposedByName(area: Area, found: AreaMembers): AreaStation[][] {
  return stationsOfOneName(found.members.map(({ solution }) => solution))
    .map((refs) => refs.map((ref) => areaStationOf(found, ref)))
    .filter(
      (stations) => !standTogether(area.same, stations) && !standTogether(area.apart, stations),
    );
}
