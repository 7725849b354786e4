import type { Position } from '../core/readings/position';
import { withoutTurns } from '../core/units/visible';
import { ok } from '../core/units/result';
import type { Format } from './format';
import { geoOutings, type GeoOuting } from './geo-outing';

/** GeoJSON takes longitude first. Nine decimals are a tenth of a millimetre. */
const coordinates = ({ latitude, longitude }: Position) => [
  Number(longitude.toFixed(9)),
  Number(latitude.toFixed(9)),
];

type Properties = Readonly<Record<string, unknown>>;

/** A place with what is known of it. */
export const pointFeature = (position: Position, properties: Properties) => ({
  type: 'Feature',
  geometry: { type: 'Point', coordinates: coordinates(position) },
  properties,
});

const HALF_CIRCLE = 180;

/** A line that crosses the date line is cut there (RFC 7946, 3.1.9). */
function lineGeometry([from, to]: readonly [Position, Position]) {
  if (Math.abs(to.longitude - from.longitude) <= HALF_CIRCLE) {
    return { type: 'LineString', coordinates: [coordinates(from), coordinates(to)] };
  }
  const side = from.longitude > 0 ? HALF_CIRCLE : -HALF_CIRCLE;
  const toOnThisSide = to.longitude + 2 * side;
  const share = (side - from.longitude) / (toOnThisSide - from.longitude);
  const latitude = from.latitude + share * (to.latitude - from.latitude);
  return {
    type: 'MultiLineString',
    coordinates: [
      [coordinates(from), coordinates({ latitude, longitude: side })],
      [coordinates({ latitude, longitude: -side }), coordinates(to)],
    ],
  };
}

/** A straight line with what is known of it. */
export const lineFeature = (ends: readonly [Position, Position], properties: Properties) => ({
  type: 'Feature',
  geometry: lineGeometry(ends),
  properties,
});

function features({ outing: { name, id }, points, legs, home }: GeoOuting) {
  const about = { outing: name, outingId: id };
  const found = [
    ...points.map(({ position, ...rest }) => pointFeature(position, { ...about, ...rest })),
    ...legs.map(({ number, from, to, ends, metres, trueDegrees, entry: { note } }) =>
      lineFeature(ends, { ...about, kind: 'leg', number, from, to, metres, trueDegrees, note }),
    ),
  ];
  if (!home) return found;
  const { ends, ...rest } = home;
  return [...found, lineFeature(ends, { ...about, kind: 'way-home', ...rest })];
}

/** GeoJSON (RFC 7946): stations and features as points, legs and the way home as lines. */
export const geoJsonFormat: Format = {
  name: 'geojson',
  mediaType: 'application/geo+json',
  fileEnding: '.geojson',
  write(logbook, models) {
    const found = geoOutings(logbook, models);
    if (!found.ok) return found;
    const collection = { type: 'FeatureCollection', features: found.value.flatMap(features) };
    // A name that turns the direction of text would turn that of whatever shows the file.
    const safe = (_key: string, value: unknown) =>
      typeof value === 'string' ? withoutTurns(value) : value;
    return ok(`${JSON.stringify(collection, safe, 1)}\n`);
  },
};
