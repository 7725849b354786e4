import { routeCsv } from './csv';
import { routeGeoJson } from './geojson';
import { routeGpx } from './gpx';
import { routeKml } from './kml';
import type { RouteFormat } from './route-format';
import { routeText } from './text';

/** The formats of a route. A new one is one more file and one line here. */
export const ROUTE_FORMATS: readonly RouteFormat[] = [
  routeText,
  routeGpx,
  routeGeoJson,
  routeKml,
  routeCsv,
];
