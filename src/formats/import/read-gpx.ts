import { isCalendarDay } from '../../core/readings/calendar';
import type { Position } from '../../core/readings/position';
import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';
import { GPX_TYPES } from '../gpx';
import { isPosition, MOST_POSITIONS, plainName, type Track, type Tracks } from './tracks';
import { attribute, children, childText, readXml, type XmlNode } from './xml-tree';
import { nth } from '../../core/units/nth';

/** What in a file can't be read, and where. */
class Unreadable extends Error {
  constructor(
    readonly path: string,
    message: string,
  ) {
    super(message);
  }
}

function position(point: XmlNode, path: string): Position {
  const [lat, lon] = [attribute(point, 'lat'), attribute(point, 'lon')];
  const found = { latitude: coordinate(lat), longitude: coordinate(lon) };
  if (!isPosition(found)) {
    const what = `lat="${lat ?? ''}" lon="${lon ?? ''}"`.slice(0, 120);
    const expected = 'a latitude from -90 to 90 and a longitude from -180 to 180';
    throw new Unreadable(path, `${what} is not a position; expected ${expected}.`);
  }
  return found;
}

const coordinate = (text: string | null): number =>
  text !== null && /^\s*[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?\s*$/i.test(text) ? Number(text) : NaN;

/** A GPX file: waypoints, and tracks and routes as lines. Our own way home is left out. */
export function readGpx(text: string): Result<Tracks, FileFault[]> {
  const tree = readXml(text);
  if (!tree.ok) return tree;
  const root = children(tree.value, 'gpx')[0];
  if (!root) return fail([fileFault('This is XML, but not GPX: it has no element “gpx”.')]);
  try {
    return ok(tracksOf(root));
  } catch (thrown) {
    if (!(thrown instanceof Unreadable)) throw thrown;
    return fail([fileFault(thrown.message, { path: thrown.path })]);
  }
}

function tracksOf(root: XmlNode): Tracks {
  const lines: Track[] = [];
  let count = 0;
  const take = (points: readonly XmlNode[], path: string): Position[] => {
    count += points.length;
    if (count > MOST_POSITIONS) {
      const most = MOST_POSITIONS.toLocaleString('en');
      throw new Unreadable(path, `More than ${most} positions are not read.`);
    }
    return points.map((point, index) => position(point, `${path}[${index}]`));
  };
  children(root, 'trk').forEach((track, number) => {
    const parts = children(track, 'trkseg').map((segment, part) =>
      take(children(segment, 'trkpt'), `trk[${number}].trkseg[${part}].trkpt`),
    );
    const name = plainName(childText(track, 'name'));
    // A gap in the recording is walked like the rest: the line goes on where the next part begins.
    if (parts.some(({ length }) => length > 0)) lines.push({ name, positions: parts.flat() });
  });
  children(root, 'rte').forEach((route, number) => {
    if (childText(route, 'type') === GPX_TYPES.home) return;
    const positions = take(children(route, 'rtept'), `rte[${number}].rtept`);
    if (positions.length > 0) lines.push({ name: plainName(childText(route, 'name')), positions });
  });
  const waypoints = children(root, 'wpt');
  const places = take(waypoints, 'wpt');
  const points = waypoints.map((point, index) => ({
    name: plainName(childText(point, 'name')) || `Point ${index + 1}`,
    note: plainName(childText(point, 'desc'), 500) || undefined,
    position: nth(places, index),
  }));
  return { lines, points, day: dayOf(root) };
}

function dayOf(root: XmlNode): string | null {
  const first = children(root, 'trk').flatMap((track) => children(track, 'trkseg'))[0];
  const point = first && children(first, 'trkpt')[0];
  const meta = children(root, 'metadata')[0];
  const time = (point && childText(point, 'time')) || (meta && childText(meta, 'time')) || '';
  const day = time.slice(0, 10);
  return time[10] === 'T' && isCalendarDay(day) ? day : null;
}
