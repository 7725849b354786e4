import type { KnownPlace } from '../../core/model/known-place';
import { isLine, knownPlaceSchema } from '../../core/model/known-place';
import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';
import { lineFeature, pointFeature } from '../geojson';
import { gpxDegrees, gpxFile } from '../gpx';
import { kindOfFile } from '../import/file-kinds';
import { readGeoJson } from '../import/read-geojson';
import { readGpx } from '../import/read-gpx';
import { plainName } from '../import/tracks';
import { xmlElement, xmlText } from '../xml';
import { looksLikePlaces, readKnownTable } from './known-table';
import { nth } from '../../core/units/nth';

/** A file of known places. */
export interface KnownFormat {
  readonly name: 'gpx' | 'geojson';
  readonly fileEnding: string;
  readonly mediaType: string;
  readonly write: (places: readonly KnownPlace[], writtenAt: string) => string;
}

const gpx: KnownFormat = {
  name: 'gpx',
  fileEnding: '.gpx',
  mediaType: 'application/gpx+xml',
  write: (places, writtenAt) =>
    gpxFile('Known places', writtenAt, [
      ...places
        .filter((place) => !isLine(place))
        .map(({ name, positions, note }) =>
          xmlElement(
            'wpt',
            gpxDegrees(nth(positions, 0)),
            xmlText('name', name),
            xmlText('desc', note),
          ),
        ),
      ...places
        .filter(isLine)
        .map(({ name, positions, note }) =>
          xmlElement(
            'rte',
            {},
            xmlText('name', name),
            xmlText('desc', note),
            ...positions.map((position) => xmlElement('rtept', gpxDegrees(position))),
          ),
        ),
    ]),
};

const geoJson: KnownFormat = {
  name: 'geojson',
  fileEnding: '.geojson',
  mediaType: 'application/geo+json',
  write(places) {
    const features = places.map((place) => {
      const { name, note, withinMetres, positions } = place;
      const about = { name, note, withinMetres };
      if (!isLine(place)) return pointFeature(nth(positions, 0), about);
      const [first, second] = positions;
      if (positions.length === 2) return lineFeature([first!, second!], about);
      const coordinates = positions.map(
        (position) => pointFeature(position, {}).geometry.coordinates,
      );
      return { type: 'Feature', geometry: { type: 'LineString', coordinates }, properties: about };
    });
    return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 2)}\n`;
  },
};

/** The formats of known places. A new one is one more row. */
export const KNOWN_FORMATS: readonly KnownFormat[] = [gpx, geoJson];

const OTHER_KIND =
  'Known places are read from GPX, GeoJSON, or a table (CSV) of names and positions.';

/**
 * The places and lines of a GPX or GeoJSON file, or the places of a table; each gets an id.
 * `square` is the one that digits alone in a table belong to; null for none.
 */
export function readKnownFile(
  name: string,
  bytes: Uint8Array,
  square: string | null,
  newId: () => string,
): Result<KnownPlace[], FileFault[]> {
  const other = kindOfFile(name, bytes);
  if (other !== null) return fail([fileFault(`${other} ${OTHER_KIND}`)]);
  const text = new TextDecoder().decode(bytes).replace(/^\uFEFF/, '');
  if (looksLikePlaces(text) || /\.csv$/i.test(name)) return readKnownTable(text, square, newId);
  const isJson = /^\s*[{[]/.test(text);
  if (!isJson && !/^\s*</.test(text)) return fail([fileFault(OTHER_KIND)]);
  const read = isJson ? readGeoJson(text) : readGpx(text);
  if (!read.ok) return read;
  const { points, lines } = read.value;
  const found: KnownPlace[] = [
    ...points.map(({ name, note, position }, index) => ({
      id: newId(),
      name: plainName(name) || `Place ${index + 1}`,
      positions: [position],
      ...(note && { note: note.replace(/\s+/g, ' ').trim().slice(0, LONGEST) }),
    })),
    ...lines.map(({ name, positions }, index) => ({
      id: newId(),
      name: plainName(name) || `Line ${index + 1}`,
      positions: [...positions],
    })),
  ];
  if (found.length === 0) return fail([fileFault('There is no place and no line in this file.')]);
  const wrong = found.find((place) => !knownPlaceSchema.safeParse(place).success);
  if (!wrong) return ok(found);
  return fail([fileFault(`“${wrong.name}” has too many corners, or a name that can’t be kept.`)]);
}
const LONGEST = 500;
