import type { Position } from '../core/readings/position';
import { ok } from '../core/units/result';
import type { Format } from './format';
import { geoOutings, type GeoOuting } from './geo-outing';
import { writeXml, xmlElement, xmlText, type XmlElement } from './xml';

/** How our own points and routes are known when they are read back. */
export const GPX_TYPES = {
  station: 'station',
  thing: 'thing',
  landmark: 'landmark',
  home: 'way home',
};

const NAMESPACE = 'http://www.topografix.com/GPX/1/1';

/** A position as the attributes of a point. */
export const gpxDegrees = ({ latitude, longitude }: Position) => ({
  lat: latitude.toFixed(9),
  lon: longitude.toFixed(9),
});

const waypoints = ({ points }: GeoOuting): XmlElement[] =>
  points.map(({ kind, name, note, position, thing }) =>
    xmlElement(
      'wpt',
      gpxDegrees(position),
      xmlText('name', name),
      xmlText('desc', note ?? thing),
      xmlText('type', GPX_TYPES[kind]),
    ),
  );

function route({ outing, home }: GeoOuting): XmlElement[] {
  if (!home) return [];
  const [from, to] = home.ends;
  const words =
    `${Math.round(home.metres)} m at ${home.trueDegrees.toFixed(1)}° true, ` +
    `within ${Math.ceil(home.withinMetres)} m (95 %)`;
  return [
    xmlElement(
      'rte',
      {},
      xmlText('name', `${outing.name || 'Outing'}: way home`),
      xmlText('desc', words),
      xmlText('type', GPX_TYPES.home),
      xmlElement('rtept', gpxDegrees(from), xmlText('name', home.from)),
      xmlElement('rtept', gpxDegrees(to), xmlText('name', home.to)),
    ),
  ];
}

/** The legs as a track: a segment for each run of legs that go on from one another. */
function track({ outing, legs }: GeoOuting): XmlElement[] {
  if (legs.length === 0) return [];
  const segments: Position[][] = [];
  for (const { goesOn, ends } of legs) {
    if (goesOn) segments.at(-1)?.push(ends[1]);
    else segments.push([...ends]);
  }
  return [
    xmlElement(
      'trk',
      {},
      xmlText('name', outing.name || 'Outing'),
      ...segments.map((points) =>
        xmlElement('trkseg', {}, ...points.map((point) => xmlElement('trkpt', gpxDegrees(point)))),
      ),
    ),
  ];
}

/** A GPX 1.1 file of some elements, written at this moment (ISO 8601). */
export const gpxFile = (name: string, writtenAt: string, elements: readonly XmlElement[]): string =>
  writeXml(
    xmlElement(
      'gpx',
      {
        version: '1.1',
        creator: 'Cairn Back',
        xmlns: NAMESPACE,
        'xmlns:xsi': 'http://www.w3.org/2001/XMLSchema-instance',
        'xsi:schemaLocation': `${NAMESPACE} ${NAMESPACE}/gpx.xsd`,
      },
      xmlElement('metadata', {}, xmlText('name', name), xmlText('time', writtenAt)),
      ...elements,
    ),
  );

/** GPX 1.1: stations and features as waypoints, the way home as a route, the legs as a track. */
export const gpxFormat: Format = {
  name: 'gpx',
  mediaType: 'application/gpx+xml',
  fileEnding: '.gpx',
  write(logbook, models) {
    const found = geoOutings(logbook, models);
    if (!found.ok) return found;
    const outings = found.value;
    const [only, second] = outings;
    const name = only && !second ? only.outing.name : 'Logbook';
    return ok(
      gpxFile(name, logbook.exportedAt, [
        ...outings.flatMap(waypoints),
        ...outings.flatMap(route),
        ...outings.flatMap(track),
      ]),
    );
  },
};
