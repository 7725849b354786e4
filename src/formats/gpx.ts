import type { Position } from '../core/logbook';
import { ok } from '../core/result';
import type { Format } from './format';
import { placedOutings, type PlacedOuting } from './placed';
import { xmlElement, xmlText } from './xml-text';

/** How a point and a route of ours are told from others' when they are read back. */
export const GPX_TYPES = {
  station: 'station',
  thing: 'thing',
  landmark: 'landmark',
  home: 'way home',
};

const place = ({ latitude, longitude }: Position) =>
  `lat="${latitude.toFixed(9)}" lon="${longitude.toFixed(9)}"`;

const waypoints = ({ points }: PlacedOuting) =>
  points.map(
    ({ kind, name, note, position, thing }) =>
      `<wpt ${place(position)}>${xmlElement('name', name)}${xmlElement('desc', note ?? thing)}${xmlElement('type', GPX_TYPES[kind])}</wpt>`,
  );

function route({ outing, home }: PlacedOuting): string[] {
  if (!home) return [];
  const [from, to] = home.ends;
  const words = `${Math.round(home.metres)} m at ${home.trueDegrees.toFixed(1)}° true, within ${Math.ceil(home.withinMetres)} m nineteen times in twenty`;
  return [
    `<rte>${xmlElement('name', `${outing.name || 'Outing'}: way home`)}${xmlElement('desc', words)}${xmlElement('type', GPX_TYPES.home)}`,
    `<rtept ${place(from)}>${xmlElement('name', home.from)}</rtept><rtept ${place(to)}>${xmlElement('name', home.to)}</rtept></rte>`,
  ];
}

/** The legs as a track: a segment as long as each leg leaves from where the last one ended. */
function track({ outing, legs }: PlacedOuting): string[] {
  if (legs.length === 0) return [];
  const segments: Position[][] = [];
  for (const { goesOn, ends } of legs) {
    if (!goesOn) segments.push([ends[0]]);
    segments.at(-1)!.push(ends[1]);
  }
  return [
    `<trk>${xmlElement('name', outing.name || 'Outing')}`,
    ...segments.map(
      (points) => `<trkseg>${points.map((point) => `<trkpt ${place(point)}/>`).join('')}</trkseg>`,
    ),
    '</trk>',
  ];
}

/** GPX 1.1: stations and things as waypoints, the way home as a route, the legs as a track. */
export const gpxFormat: Format = {
  name: 'gpx',
  mediaType: 'application/gpx+xml',
  fileEnding: '.gpx',
  write(logbook, models) {
    const laid = placedOutings(logbook, models);
    if (!laid.ok) return laid;
    const outings = laid.value;
    const name = outings.length === 1 ? outings[0]!.outing.name : 'Logbook';
    return ok(
      [
        '<?xml version="1.0" encoding="UTF-8"?>',
        '<gpx version="1.1" creator="Cairn Back" xmlns="http://www.topografix.com/GPX/1/1" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance" xsi:schemaLocation="http://www.topografix.com/GPX/1/1 http://www.topografix.com/GPX/1/1/gpx.xsd">',
        `<metadata>${xmlElement('name', name)}<time>${xmlText(logbook.exportedAt)}</time></metadata>`,
        ...outings.flatMap(waypoints),
        ...outings.flatMap(route),
        ...outings.flatMap(track),
        '</gpx>',
        '',
      ].join('\n'),
    );
  },
};
