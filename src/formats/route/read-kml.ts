import type { Position } from '../../core/readings/position';
import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';
import { isPosition, MOST_POSITIONS, plainName, type Track, type Waypoint } from '../import/tracks';
import { children, childText, readXml, type XmlNode } from '../import/xml-tree';

/** Placemarks of a KML file: its points and its lines, in their order. */
export interface KmlPlaces {
  readonly points: readonly Waypoint[];
  readonly lines: readonly Track[];
}

/** Every element of a name, however deep in folders it is. */
function everywhere(node: XmlNode, name: string): XmlNode[] {
  return Object.keys(node)
    .filter((key) => !/^[@#:]/.test(key))
    .flatMap((key) => {
      const found = children(node, key);
      return key === name ? [...found] : found.flatMap((child) => everywhere(child, name));
    });
}

/** Longitude, latitude and perhaps a height, apart by commas; positions apart by spaces. */
function coordinates(node: XmlNode): Position[] | null {
  const text = childText(node, 'coordinates');
  const positions = text
    .split(/\s+/)
    .filter((part) => part !== '')
    .map((part) => {
      const [longitude = NaN, latitude = NaN] = part.split(',').map(Number);
      return { latitude, longitude };
    });
  return positions.every(isPosition) ? positions : null;
}

/** Reads the points and lines of a KML file; other geometries are passed over. */
export function readKml(text: string): Result<KmlPlaces, FileFault[]> {
  const tree = readXml(text);
  if (!tree.ok) return tree;
  const [root] = children(tree.value, 'kml');
  if (!root) return fail([fileFault('This is XML, but not KML: it has no element “kml”.')]);
  const points: Waypoint[] = [];
  const lines: Track[] = [];
  let count = 0;
  for (const [index, mark] of everywhere(root, 'Placemark').entries()) {
    const name = plainName(childText(mark, 'name'));
    const path = `Placemark[${index}]`;
    for (const kind of ['Point', 'LineString'] as const) {
      for (const shape of everywhere(mark, kind)) {
        const positions = coordinates(shape);
        if (!positions) return fail([fileFault('These coordinates can’t be read.', { path })]);
        count += positions.length;
        if (count > MOST_POSITIONS) {
          return fail([fileFault(`More than ${MOST_POSITIONS} positions are not read.`, { path })]);
        }
        const [first] = positions;
        if (kind === 'LineString') lines.push({ name, positions });
        else if (first) points.push({ name, position: first });
      }
    }
  }
  return ok({ points, lines });
}
