import { planePointOf } from '../../place/geodesic';
import { nameKey } from '../../readings/name';
import type { Position } from '../../readings/position';
import type { KnownPlace } from '../party/party';
import { stationNamed, type Solution } from '../solution';
import type { Mark } from '../observations/observation';
import { knownMarks } from './log-sights';

/**
 * The places that an outing knows from the map, for a survey whose origin is on it. None for an
 * outing whose own place comes from them: they would count twice.
 */
export function knownOf(solution: Solution, outing: number, origin: Position | null): KnownPlace[] {
  if (!origin || !solution.outing.start.position) return [];
  const sighted = new Map(
    solution.outing.entries.flatMap((entry) =>
      entry.kind === 'see' ? [[nameKey(entry.what), entry.what] as const] : [],
    ),
  );
  return [...knownMarks(solution.outing)].flatMap(([key, mark]): KnownPlace[] => {
    const { name, position, sigmaMetres } = mark;
    const station = stationNamed(solution, name);
    const landmark = sighted.get(key);
    const place = planePointOf(origin, position);
    if (station !== undefined) return [{ at: { outing, station }, place, sigmaMetres }];
    return landmark === undefined ? [] : [{ at: { outing, landmark }, place, sigmaMetres }];
  });
}

/** The known places of an outing in its own plane, by the key of their name. */
export function marksInPlane({ outing, places }: Solution): Map<string, Mark> {
  const { origin } = places.frame;
  if (!origin) return new Map();
  return new Map(
    [...knownMarks(outing)].map(([key, { name, position, sigmaMetres }]) => [
      key,
      { name, sigmaMetres, ...planePointOf(origin, position) },
    ]),
  );
}
