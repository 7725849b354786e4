import type { Position } from '../core/readings/position';
import { ok } from '../core/units/result';
import type { Format } from './format';
import { geoOutings, type GeoOuting } from './geo-outing';
import { writeXml, xmlElement, xmlText, type XmlElement } from './xml';

/** KML takes longitude first. */
const coordinates = (positions: readonly Position[]) =>
  xmlText(
    'coordinates',
    positions
      .map(({ latitude, longitude }) => `${longitude.toFixed(9)},${latitude.toFixed(9)}`)
      .join(' '),
  );

export const pointAt = (position: Position) => xmlElement('Point', {}, coordinates([position]));

export const lineOf = (positions: readonly Position[]) =>
  xmlElement('LineString', {}, xmlText('tessellate', '1'), coordinates(positions));

/** A named mark with a style. */
export const placemark = (
  name: string,
  words: string | undefined,
  style: string,
  geometry: XmlElement,
): XmlElement =>
  xmlElement(
    'Placemark',
    {},
    xmlText('name', name),
    xmlText('description', words),
    xmlText('styleUrl', `#${style}`),
    geometry,
  );

const folder = ({ outing, points, legs, home }: GeoOuting): XmlElement =>
  xmlElement(
    'Folder',
    {},
    xmlText('name', outing.name || 'Outing'),
    ...points.map(({ kind, name, note, thing, position }) => {
      const style = kind === 'station' ? 'station' : 'thing';
      return placemark(name, note ?? thing, style, pointAt(position));
    }),
    ...legs.map(({ number, from, to, metres, ends }) => {
      const words = `${from} to ${to}, ${Math.round(metres)} m`;
      return placemark(`Leg ${number}`, words, 'leg', lineOf(ends));
    }),
    home &&
      placemark(
        'Way home',
        `${home.from} to ${home.to}, ${Math.round(home.metres)} m`,
        'home',
        lineOf(home.ends),
      ),
  );

const labelStyle = (id: string, scale: string): XmlElement =>
  xmlElement('Style', { id }, xmlElement('LabelStyle', {}, xmlText('scale', scale)));

/** Colours are alpha, blue, green, red in KML. */
const lineStyle = (id: string, colour: string, width: string): XmlElement =>
  xmlElement(
    'Style',
    { id },
    xmlElement('LineStyle', {}, xmlText('color', colour), xmlText('width', width)),
  );

/** A KML 2.3 file of some folders and marks. */
export function kmlFile(elements: readonly XmlElement[]): string {
  const document = xmlElement(
    'Document',
    {},
    xmlText('name', 'Cairn Back'),
    labelStyle('station', '0.9'),
    labelStyle('thing', '0.8'),
    lineStyle('leg', 'ff3a3024', '3'),
    lineStyle('home', 'ff2030a0', '4'),
    ...elements,
  );
  const namespace = { xmlns: 'http://www.opengis.net/kml/2.2', version: '2.3' };
  return writeXml(xmlElement('kml', namespace, document));
}

/** KML 2.3: a folder for each outing, with stations, features, legs and the way home. */
export const kmlFormat: Format = {
  name: 'kml',
  mediaType: 'application/vnd.google-earth.kml+xml',
  fileEnding: '.kml',
  write(logbook, models) {
    const found = geoOutings(logbook, models);
    if (!found.ok) return found;
    return ok(kmlFile(found.value.map(folder)));
  },
};
