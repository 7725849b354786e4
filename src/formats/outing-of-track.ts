import { normalised } from '../core/angle';
import type { PlaneSpot } from '../core/beside-leg';
import {
  blankOuting,
  isStartName,
  LARGEST_READING,
  type Entry,
  type Outing,
} from '../core/logbook';
import { planeSpot } from '../core/positions';
import { fail, ok, type Result } from '../core/result';
import { degrees, radians, type Metres } from '../core/units';
import { fileFault, type FileFault } from './format';
import { thinned } from './thinned';
import type { Track, Tracks, Waypoint } from './tracks';

/** An outing made of a line, and what was done for it. */
export interface TrackOuting {
  readonly outing: Outing;
  readonly positions: number;
  readonly legs: number;
  /** Points that lie behind the start, where no leg passes them. */
  readonly leftOut: readonly string[];
  /** Metres of the longest leg. */
  readonly longest: Metres;
}

/** A leg shorter than this is no leg: recorders stand still and shiver. */
const LEAST_LEG_METRES = 0.05;
/** A leg is kept to a thousandth of a degree and a centimetre; the next one leaves from where that ends, so nothing adds up. */
const DEGREES_KEPT = 1000;
const METRES_KEPT = 100;

/**
 * An outing a line. Each point goes to the line that passes nearest: within the tolerance of a position it names the station
 * there, else it becomes something seen beside a leg. Without a line the points, in their order, are the stations.
 */
export function outingsOfTracks(
  { lines, points, day }: Tracks,
  tolerance: Metres,
  today: string,
  newId: () => string,
): Result<TrackOuting[], FileFault[]> {
  const tracks: readonly Track[] =
    lines.length > 0 ? lines : [{ name: '', positions: points.map(({ position }) => position) }];
  if (tracks[0]!.positions.length === 0) {
    return fail([fileFault('There is no line and no point in this file.')]);
  }
  const spots = tracks.map(({ positions }) =>
    positions.map((each) => planeSpot(positions[0]!, each)),
  );
  const own: Waypoint[][] = tracks.map(() => []);
  for (const point of points) {
    let [best, least] = [0, Infinity];
    tracks.forEach(({ positions }, index) => {
      const away = nearestMetres(spots[index]!, planeSpot(positions[0]!, point.position)).metres;
      if (away < least) [best, least] = [index, away];
    });
    own[best]!.push(point);
  }
  const made: TrackOuting[] = [];
  for (const [index, track] of tracks.entries()) {
    const outing = outingOf(track, spots[index]!, own[index]!, tolerance, day ?? today, newId());
    if (!outing) {
      const message = `The line “${track.name}” is too tangled for this tolerance: choose a larger one.`;
      return fail([fileFault(message)]);
    }
    if (outing.longest > LARGEST_READING) {
      const message = `The line “${track.name}” has a jump of ${Math.round(outing.longest / 1000)} km: that is no leg. Mend the file first.`;
      return fail([fileFault(message)]);
    }
    made.push(outing);
  }
  return ok(made);
}

function outingOf(
  track: Track,
  spots: readonly PlaneSpot[],
  points: readonly Waypoint[],
  tolerance: Metres,
  day: string,
  id: string,
): TrackOuting | null {
  const start = track.positions[0]!;
  const names = new Map<number, Waypoint>();
  const beside: Waypoint[] = [];
  for (const point of points) {
    const { index, metres } = nearestMetres(spots, planeSpot(start, point.position));
    if (metres <= tolerance && !names.has(index)) names.set(index, point);
    else beside.push(point);
  }
  const kept = thinned(spots, tolerance, new Set(names.keys()));
  if (!kept) return null;
  const entries: Entry[] = [{ kind: 'read', north: 'true' }];
  const walked: { from: PlaneSpot; to: PlaneSpot; entry: number }[] = [];
  let at: PlaneSpot = { east: 0, north: 0 };
  let longest = 0;
  const used = new Set<string>();
  const nameOf = (index: number) => {
    const name = names.get(index)?.name;
    // A name that stood already would close a loop, which nobody said.
    if (!name || used.has(name) || /^\d+$/.test(name)) return undefined;
    used.add(name);
    return name;
  };
  const first = nameOf(0);
  for (const index of kept.slice(1)) {
    const [x, y] = [spots[index]!.east - at.east, spots[index]!.north - at.north];
    const metres = Math.round(Math.hypot(x, y) * METRES_KEPT) / METRES_KEPT;
    if (metres < LEAST_LEG_METRES) continue;
    longest = Math.max(longest, metres);
    const value =
      (Math.round(normalised(degrees(Math.atan2(x, y))) * DEGREES_KEPT) / DEGREES_KEPT) % 360;
    const to = nameOf(index);
    const note = names.get(index)?.note;
    entries.push({
      kind: 'leg',
      bearing: { unit: 'degrees', value, north: 'true' },
      distance: { unit: 'metres', value: metres },
      ...(to && { to }),
      ...(note && { note }),
    });
    const next = {
      east: at.east + metres * Math.sin(radians(value)),
      north: at.north + metres * Math.cos(radians(value)),
    };
    walked.push({ from: at, to: next, entry: entries.length - 1 });
    at = next;
  }
  const leftOut = putBeside(entries, walked, beside, (point) => planeSpot(start, point.position));
  const outing: Outing = {
    ...blankOuting(id, track.name),
    date: { day },
    start: { name: first && isStartName(first) ? first : 'Start', position: start },
    declination: { source: 'model' },
    show: { north: 'true' },
    entries,
  };
  return { outing, positions: spots.length, legs: walked.length, leftOut, longest };
}

/** Puts each point after the leg that passes it nearest, as something seen; gives back the names of those that no leg passes. */
function putBeside(
  entries: Entry[],
  walked: readonly { from: PlaneSpot; to: PlaneSpot; entry: number }[],
  points: readonly Waypoint[],
  spotOf: (point: Waypoint) => PlaneSpot,
): string[] {
  const leftOut: string[] = [];
  const seen: { after: number; entry: Entry }[] = [];
  for (const point of points) {
    const spot = spotOf(point);
    let best: { after: number; along: number; right: number; away: number } | null = null;
    for (const { from, to, entry } of walked) {
      const [dx, dy] = [to.east - from.east, to.north - from.north];
      const length = Math.hypot(dx, dy);
      const [x, y] = [spot.east - from.east, spot.north - from.north];
      const along = (x * dx + y * dy) / length;
      const right = (x * dy - y * dx) / length;
      const away = Math.hypot(Math.max(0, -along, along - length), right);
      if (along >= 0 && (!best || away < best.away)) best = { after: entry, along, right, away };
    }
    const far = best && Math.max(best.along, Math.abs(best.right)) > LARGEST_READING;
    if (!best || far) {
      leftOut.push(point.name);
      continue;
    }
    const round = (metres: number) => Math.round(metres * METRES_KEPT) / METRES_KEPT;
    const entry: Entry = {
      kind: 'at',
      metres: round(best.along),
      side: best.right < 0 ? 'left' : 'right',
      sideMetres: round(Math.abs(best.right)),
      what: point.name,
    };
    seen.push({ after: best.after, entry });
  }
  seen.sort((a, b) => b.after - a.after);
  for (const { after, entry } of seen) entries.splice(after + 1, 0, entry);
  return leftOut;
}

/** The position of a line that lies nearest to a spot. */
function nearestMetres(spots: readonly PlaneSpot[], spot: PlaneSpot) {
  let [index, least] = [0, Infinity];
  spots.forEach(({ east, north }, i) => {
    const metres = Math.hypot(east - spot.east, north - spot.north);
    if (metres < least) [index, least] = [i, metres];
  });
  return { index, metres: least };
}
