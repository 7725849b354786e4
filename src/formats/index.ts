import { csvFormat } from './csv';
import type { Format } from './format';
import { geoJsonFormat } from './geojson';
import { gpxFormat } from './gpx';
import { jsonFormat } from './json';
import { kmlFormat } from './kml';
import { logFormat } from './log';
import { svgFormat } from './svg';

/** Every format that a logbook can be written in. A new one is one more file and one line here. */
export const FORMATS: ReadonlyMap<string, Format> = new Map(
  [logFormat, jsonFormat, gpxFormat, geoJsonFormat, kmlFormat, csvFormat, svgFormat].map(
    (format) => [format.name, format],
  ),
);
