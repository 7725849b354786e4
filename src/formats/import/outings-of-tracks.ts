import type { Entry, Leg } from '../../core/entries/entry';
import { blankOuting, type Outing } from '../../core/model/outing';
import { planePointOf } from '../../core/place/geodesic';
import { isStartName, nameKey } from '../../core/readings/name';
import type { Position } from '../../core/readings/position';
import { LARGEST_READING } from '../../core/readings/shape';
import {
  azimuthOf,
  lengthOf,
  ORIGIN,
  polar,
  sumOf,
  vectorBetween,
  type PlanePoint,
} from '../../core/units/plane';
import { fail, ok, type Result } from '../../core/units/result';
import type { Metres } from '../../core/units/units';
import { fileFault, type FileFault } from '../format';
import { uniqueNames } from '../unique-names';
import { featuresBeside, toCentimetre, type MadeLeg } from './features-beside';
import { nearestPosition } from './nearest-position';
import { thinned, type Work } from './thinned';
import type { Track, Tracks, Waypoint } from './tracks';
import { nth } from '../../core/units/nth';

/** An outing made of a line, and how. */
export interface TrackOuting {
  readonly outing: Outing;
  readonly positions: number;
  readonly legs: number;
  /** Points behind the start, where no leg passes them. */
  readonly leftOut: readonly string[];
  /** Metres of the longest leg. */
  readonly longest: Metres;
}

const USUAL_START = 'Start';

/** A leg shorter than this is no leg: receiver jitter at a standstill. */
const LEAST_LEG_METRES = 0.05;
/**
 * A leg is kept to a thousandth of a degree and a centimetre; the next one leaves from where that
 * ends, so that nothing adds up.
 */
const toThousandth = (degrees: number) => (Math.round(degrees * 1000) / 1000) % 360;

/** A line in the plane about its first position, with the waypoints that belong to it. */
interface PlaneTrack {
  readonly track: Track;
  readonly start: Position;
  readonly points: readonly PlanePoint[];
  readonly waypoints: Waypoint[];
}

/**
 * An outing for each line. A waypoint goes to the line that passes nearest: within the tolerance
 * of a position it names the station there, else it becomes a feature beside a leg. Without a line
 * the points, in their order, are the stations.
 */
export function outingsOfTracks(
  { lines, points, day }: Tracks,
  tolerance: Metres,
  today: string,
  newId: () => string,
): Result<TrackOuting[], FileFault[]> {
  const named: readonly Track[] =
    lines.length > 0 ? lines : [{ name: '', positions: points.map(({ position }) => position) }];
  const tracks = named.flatMap((track) => planeTrack(track) ?? []);
  if (tracks.length === 0) return fail([fileFault('There is no line and no point in this file.')]);
  shareOut(tracks, points);
  const work = { distances: 0 };
  const made: TrackOuting[] = [];
  for (const each of tracks) {
    const outing = outingOf(each, tolerance, day ?? today, newId(), work);
    const { name } = each.track;
    if (!outing) {
      const message = `The line “${name}” is too tangled for this tolerance: choose a larger one.`;
      return fail([fileFault(message)]);
    }
    if (outing.longest > LARGEST_READING) {
      const jump = `${Math.round(outing.longest / 1000)} km`;
      const message = `The line “${name}” has a jump of ${jump}, which is no leg. Edit the file.`;
      return fail([fileFault(message)]);
    }
    made.push(outing);
  }
  return ok(made);
}

function planeTrack(track: Track): PlaneTrack | null {
  const [start] = track.positions;
  if (!start) return null;
  const points = track.positions.map((position) => planePointOf(start, position));
  return { track, start, points, waypoints: [] };
}

/** Hands each waypoint to the line that has the nearest position. */
function shareOut(tracks: readonly PlaneTrack[], points: readonly Waypoint[]): void {
  if (points.length === 0) return;
  const [only] = tracks;
  if (tracks.length === 1) return void only?.waypoints.push(...points);
  const trackOf = tracks.flatMap((track) => track.track.positions.map(() => track));
  const positions = tracks.flatMap(({ track }) => track.positions);
  const nearest = nearestPosition(positions);
  for (const point of points) trackOf[nearest(point.position)]?.waypoints.push(point);
}

/** Waypoints at a position of the line, by its index, and those beside it. */
function splitWaypoints({ track, start, points, waypoints }: PlaneTrack, tolerance: Metres) {
  const atPosition = new Map<number, Waypoint>();
  const beside: Waypoint[] = [];
  const nearest = nearestPosition(track.positions);
  for (const waypoint of waypoints) {
    const index = nearest(waypoint.position);
    const away = vectorBetween(nth(points, index), planePointOf(start, waypoint.position));
    if (lengthOf(away) <= tolerance && !atPosition.has(index)) atPosition.set(index, waypoint);
    else beside.push(waypoint);
  }
  return { atPosition, beside };
}

function outingOf(
  track: PlaneTrack,
  tolerance: Metres,
  day: string,
  id: string,
  work: Work,
): TrackOuting | null {
  const { atPosition, beside } = splitWaypoints(track, tolerance);
  const kept = thinned(track.points, tolerance, work, new Set(atPosition.keys()));
  if (!kept) return null;
  const nameOf = stationNames(atPosition);
  const startName = nameOf(0);
  const legs = legsThrough(track.points, kept.slice(1), (index) => ({
    to: nameOf(index),
    note: atPosition.get(index)?.note,
  }));
  const toPoint = ({ position }: Waypoint) => planePointOf(track.start, position);
  const passed = featuresBeside(legs, beside, toPoint, work);
  if (!passed) return null;
  const { features, leftOut } = passed;
  const entries = legs.flatMap(({ leg }, index): Entry[] => [leg, ...(features.get(index) ?? [])]);
  const outing: Outing = {
    ...blankOuting(id, track.track.name),
    date: { day },
    start: {
      name: startName && isStartName(startName) ? startName : USUAL_START,
      position: track.start,
    },
    declination: { source: 'model' },
    show: { north: 'true' },
    entries: [{ kind: 'read', north: 'true' }, ...entries],
  };
  const longest = legs.reduce((most, { leg }) => Math.max(most, leg.distance.value), 0);
  return { outing, positions: track.points.length, legs: legs.length, leftOut, longest };
}

/** A number as stations without a name have it. */
const LEG_NUMBER = /^[1-9]\d*$/;

/**
 * Gives each station a name of its own: a second visit would close a loop, which nobody said, and a
 * plain number is the name of a leg's station.
 */
function stationNames(waypoints: ReadonlyMap<number, Waypoint>) {
  const unique = uniqueNames(nameKey, (name, number) => `${name}, ${number}`);
  unique(USUAL_START);
  return (index: number): string | undefined => {
    const written = waypoints.get(index)?.name;
    if (!written) return undefined;
    return unique(LEG_NUMBER.test(written) ? `Point ${written}` : written);
  };
}

/** The legs through the points with these indices. */
function legsThrough(
  points: readonly PlanePoint[],
  indices: readonly number[],
  about: (index: number) => { to?: string; note?: string },
): MadeLeg[] {
  const legs: MadeLeg[] = [];
  let from = ORIGIN;
  for (const index of indices) {
    const vector = vectorBetween(from, points[index] ?? from);
    const metres = toCentimetre(lengthOf(vector));
    if (metres < LEAST_LEG_METRES) continue;
    const value = toThousandth(azimuthOf(vector));
    const { to: name, note } = about(index);
    const leg: Leg = {
      kind: 'leg',
      bearing: { unit: 'degrees', value, north: 'true' },
      distance: { unit: 'metres', value: metres },
      ...(name && { to: name }),
      ...(note && { note }),
    };
    const to = sumOf(from, polar(value, metres));
    legs.push({ leg, from, to });
    from = to;
  }
  return legs;
}
