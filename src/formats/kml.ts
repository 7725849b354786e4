import type { Position } from '../core/logbook';
import { ok } from '../core/result';
import type { Format } from './format';
import { placedOutings, type PlacedOuting } from './placed';
import { xmlElement } from './xml-text';

/** KML takes longitude first. */
const place = ({ latitude, longitude }: Position) =>
  `${longitude.toFixed(9)},${latitude.toFixed(9)}`;

const placemark = (name: string, words: string | undefined, style: string, geometry: string) =>
  `<Placemark>${xmlElement('name', name)}${xmlElement('description', words)}<styleUrl>#${style}</styleUrl>${geometry}</Placemark>`;

const line = (ends: readonly Position[]) =>
  `<LineString><tessellate>1</tessellate><coordinates>${ends.map(place).join(' ')}</coordinates></LineString>`;

function folder({ outing, points, legs, home }: PlacedOuting): string[] {
  return [
    `<Folder>${xmlElement('name', outing.name || 'Outing')}`,
    ...points.map(({ kind, name, note, thing, position }) =>
      placemark(
        name,
        note ?? thing,
        kind === 'station' ? 'station' : 'thing',
        `<Point><coordinates>${place(position)}</coordinates></Point>`,
      ),
    ),
    ...legs.map(({ number, from, to, metres, ends }) =>
      placemark(`Leg ${number}`, `${from} to ${to}, ${Math.round(metres)} m`, 'leg', line(ends)),
    ),
    home
      ? placemark(
          'Way home',
          `${home.from} to ${home.to}, ${Math.round(home.metres)} m`,
          'home',
          line(home.ends),
        )
      : '',
    '</Folder>',
  ];
}

/** Colours are alpha, blue, green, red in KML. */
const STYLES = [
  '<Style id="station"><LabelStyle><scale>0.9</scale></LabelStyle></Style>',
  '<Style id="thing"><LabelStyle><scale>0.8</scale></LabelStyle></Style>',
  '<Style id="leg"><LineStyle><color>ff3a3024</color><width>3</width></LineStyle></Style>',
  '<Style id="home"><LineStyle><color>ff2030a0</color><width>4</width></LineStyle></Style>',
];

/** KML 2.3: a folder an outing, with stations, things seen, legs and the way home. */
export const kmlFormat: Format = {
  name: 'kml',
  mediaType: 'application/vnd.google-earth.kml+xml',
  fileEnding: '.kml',
  write(logbook, models) {
    const laid = placedOutings(logbook, models);
    if (!laid.ok) return laid;
    return ok(
      [
        '<?xml version="1.0" encoding="UTF-8"?>',
        '<kml xmlns="http://www.opengis.net/kml/2.2" version="2.3"><Document><name>Cairn Back</name>',
        ...STYLES,
        ...laid.value.flatMap(folder),
        '</Document></kml>',
        '',
      ].join('\n'),
    );
  },
};
