import type { Position } from '../core/logbook';
import type { Result } from '../core/result';
import type { FileFault, Format } from './format';
import { placedOutings, type PlacedOuting } from './placed';

/** GeoJSON takes longitude first. Nine decimals are a tenth of a millimetre. */
const point = ({ latitude, longitude }: Position) => [
  Number(longitude.toFixed(9)),
  Number(latitude.toFixed(9)),
];

const feature = (
  geometry: { type: 'Point' | 'LineString'; coordinates: unknown },
  properties: Record<string, unknown>,
) => ({ type: 'Feature', geometry, properties });

function features({ outing, points, legs, home }: PlacedOuting) {
  const name = outing.name;
  return [
    ...points.map(({ position, ...rest }) =>
      feature({ type: 'Point', coordinates: point(position) }, { outing: name, ...rest }),
    ),
    ...legs.map(({ number, from, to, ends, metres, trueDegrees, entry }) =>
      feature(
        { type: 'LineString', coordinates: ends.map(point) },
        { outing: name, kind: 'leg', number, from, to, metres, trueDegrees, note: entry.note },
      ),
    ),
    ...(home
      ? [
          feature(
            { type: 'LineString', coordinates: home.ends.map(point) },
            { outing: name, kind: 'way-home', ...home, ends: undefined },
          ),
        ]
      : []),
  ];
}

/** GeoJSON (RFC 7946): stations and things as points, legs and the way home as lines. */
export const geoJsonFormat: Format = {
  name: 'geojson',
  mediaType: 'application/geo+json',
  fileEnding: '.geojson',
  write(logbook, models): Result<string, FileFault[]> {
    const laid = placedOutings(logbook, models);
    if (!laid.ok) return laid;
    const collection = { type: 'FeatureCollection', features: laid.value.flatMap(features) };
    return { ok: true, value: `${JSON.stringify(collection, null, 1)}\n` };
  },
};
