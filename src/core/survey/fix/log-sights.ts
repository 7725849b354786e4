import type { EntryOf } from '../../entries/entry';
import type { Outing } from '../../model/outing';
import { nameKey } from '../../readings/name';
import { walkLog } from '../log-walk';
import { stationNamed, type Solution } from '../solution';
import { sightDegrees, sightedWith } from './sighting';
import { squareSigma, type KnownMark, type Sight } from './sights';

/** A sight that the log holds. */
export interface LogSight extends Sight {
  readonly entry: number;
  readonly station: number;
}

/** The places that a log knows from the map, by the key of their name; the last line counts. */
export function knownMarks({ entries }: Pick<Outing, 'entries'>): Map<string, KnownMark> {
  const found = new Map<string, KnownMark>();
  for (const entry of entries) {
    if (entry.kind !== 'known') continue;
    const { name, position, withinMetres } = entry;
    found.set(nameKey(name), { name, position, sigmaMetres: squareSigma(withinMetres) });
  }
  return found;
}

/** Every sight of a known place in a log, and every station that is one. */
export function logSights(solution: Solution): LogSight[] {
  const marks = knownMarks(solution.outing);
  if (marks.size === 0) return [];
  const { norths } = solution.places.frame;
  const found: LogSight[] = [];
  for (const { entry, index, readAt: station, inForce } of walkLog(solution)) {
    if (entry.kind === 'see') {
      const mark = marks.get(nameKey(entry.what));
      const degrees = mark && sightDegrees(solution, entry.bearing);
      if (!mark || degrees === null || degrees === undefined) continue;
      const walked = sightedWith(inForce, entry.bearing, norths);
      const back = entry.back === true;
      const bearing = { bearingDegrees: degrees, back, metres: null };
      found.push({ mark, station, entry: index, walked, ...bearing });
    } else if (entry.kind === 'known') {
      const at = stationNamed(solution, entry.name);
      const mark = marks.get(nameKey(entry.name));
      if (at === undefined || !mark) continue;
      const walked = sightedWith(inForce, NO_BEARING, norths);
      const standing = { bearingDegrees: null, back: false, metres: null };
      found.push({ mark, station: at, entry: index, walked, ...standing });
    }
  }
  return found;
}

/** Standing at a place is not read with a compass. */
const NO_BEARING: EntryOf<'see'>['bearing'] = { unit: 'degrees', value: 0, north: 'true' };
