import Papa from 'papaparse';
import { isRouteText, readRouteText } from '../../core/log-text/route/route-text';
import { blankRoute, MOST_POINTS, type Route, type RoutePoint } from '../../core/model/route';
import { planePointOf } from '../../core/place/geodesic';
import { isVisible } from '../../core/units/visible';
import { lengthOf } from '../../core/units/plane';
import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';
import { readGeoJson } from '../import/read-geojson';
import { readGpx } from '../import/read-gpx';
import { children, childText, readXml } from '../import/xml-tree';
import { isPosition, plainName, type Track, type Waypoint } from '../import/tracks';
import { readKml } from './read-kml';

interface Places {
  readonly points: readonly Waypoint[];
  readonly lines: readonly Track[];
}

/** A corner of a line and a point of the same file this near are one place. */
const SAME_METRES = 1;

/** The names of the points of routes in a GPX file, which a line of positions doesn't have. */
function gpxNames(text: string): string[][] {
  const tree = readXml(text);
  const [root] = tree.ok ? children(tree.value, 'gpx') : [];
  return root
    ? children(root, 'rte').map((route) =>
        children(route, 'rtept').map((point) => plainName(childText(point, 'name'))),
      )
    : [];
}

/** A line as points: named after points of the file at the same place, else by number. */
function pointsOfLine(line: Track, places: Places, names: readonly string[]): RoutePoint[] {
  return line.positions.map((position, index) => {
    const near = places.points.find(
      (point) => lengthOf(planePointOf(point.position, position)) < SAME_METRES,
    );
    const name = (names[index] || near?.name) ?? '';
    return { name: isVisible(name) ? name : `Point ${index + 1}`, position };
  });
}

/** The route of a file with points and lines: its first line, or its points in their order. */
function routeOfPlaces(
  places: Places,
  names: readonly string[],
  id: string,
): Result<Route, FileFault[]> {
  const [line] = places.lines;
  const found: RoutePoint[] =
    line && line.positions.length > 1
      ? pointsOfLine(line, places, names)
      : places.points.map(({ name, position, note }, index) => ({
          name: isVisible(name) ? name : `Point ${index + 1}`,
          position,
          ...(note && { note }),
        }));
  if (found.length === 0) return fail([fileFault('There is no place and no line in this file.')]);
  if (found.length > MOST_POINTS) {
    return fail([
      fileFault(
        `This line has ${found.length.toLocaleString('en')} points; a route has at most ` +
          `${MOST_POINTS}. A recorded track is imported as an outing, under Files.`,
      ),
    ]);
  }
  return ok({ ...blankRoute(id, line?.name ?? ''), points: found });
}

/** A cell without the apostrophe that keeps a spreadsheet from reading a formula. */
const plainCell = (cell: string) => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

/** The route of a table: by its lines where it has them, else by name, latitude and longitude. */
function readTableRoute(text: string, id: string): Result<Route, FileFault[]> {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [head = [], ...rows] = data.map((row) => row.map(plainCell));
  const column = (...names: string[]) =>
    head.findIndex((cell) => names.includes(cell.trim().toLowerCase()));
  const [line, name] = [column('line'), column('name', 'point', 'station')];
  const [lat, lon] = [column('latitude', 'lat'), column('longitude', 'lon', 'lng', 'long')];
  if (line >= 0 && rows.some((row) => isRouteText(row[line] ?? ''))) {
    return asFileFaults(readRouteText(rows.map((row) => row[line] ?? '').join('\n'), id));
  }
  if (lat < 0 || lon < 0) {
    const message = 'This table has no columns “latitude” and “longitude”.';
    return fail([fileFault(message, { line: 1 })]);
  }
  const points: Waypoint[] = [];
  for (const [index, row] of rows.entries()) {
    const position = { latitude: degrees(row[lat]), longitude: degrees(row[lon]) };
    if (!isPosition(position)) {
      const found = `${row[lat] ?? ''} ${row[lon] ?? ''}`.slice(0, 60);
      return fail([fileFault(`“${found}” is not a position.`, { line: index + 2 })]);
    }
    points.push({ name: plainName(row[name] ?? ''), position });
  }
  return routeOfPlaces({ points, lines: [] }, [], id);
}

const degrees = (cell = '') => (/^\s*[-+]?\d+(\.\d+)?\s*$/.test(cell) ? Number(cell) : NaN);

const asFileFaults = <Value>(
  read: Result<Value, { fault: FileFault['fault']; line: number; column: number }[]>,
): Result<Value, FileFault[]> => (read.ok ? read : fail([...read.fault]));

/**
 * The route of a file: its own text, GPX, GeoJSON, KML, or a table with latitude and longitude. The
 * declination is none where the file tells none.
 */
export function readRouteFile(name: string, text: string, id: string): Result<Route, FileFault[]> {
  const beginning = text.replace(/^\uFEFF/, '').trimStart();
  if (beginning === '') return fail([fileFault('This file is empty.')]);
  if (isRouteText(beginning)) return asFileFaults(readRouteText(text, id));
  if (beginning.startsWith('<')) {
    if (/<kml[\s>]/.test(beginning)) {
      const read = readKml(text);
      return read.ok ? routeOfPlaces(legsJoined(read.value), [], id) : read;
    }
    const read = readGpx(text);
    const isRoute = read.ok && !/<trkseg[\s>]/.test(text);
    return read.ok ? routeOfPlaces(read.value, isRoute ? (gpxNames(text)[0] ?? []) : [], id) : read;
  }
  if (/^[{[]/.test(beginning)) {
    const read = readGeoJson(text);
    return read.ok ? routeOfPlaces(read.value, [], id) : read;
  }
  if (/\.csv$/i.test(name) || /(^|[,;\t])\s*"?lat(itude)?"?\s*[,;\t]/i.test(beginning)) {
    return readTableRoute(text, id);
  }
  return asFileFaults(readRouteText(text, id));
}

/** Lines that go on where the one before ends become one: our own legs are lines by themselves. */
function legsJoined({ points, lines }: Places): Places {
  const joined: { name: string; positions: Track['positions'] }[] = [];
  for (const { name, positions } of lines) {
    const last = joined.at(-1);
    const [end, begin] = [last?.positions.at(-1), positions[0]];
    const goesOn = end && begin && lengthOf(planePointOf(end, begin)) < SAME_METRES;
    if (last && goesOn) last.positions = [...last.positions, ...positions.slice(1)];
    else joined.push({ name, positions });
  }
  const [first] = joined;
  return { points, lines: first ? [{ ...first, name: '' }, ...joined.slice(1)] : [] };
}
