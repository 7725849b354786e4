import { areaCsv } from './area-csv';
import type { AreaFormat } from './area-format';
import { areaGeoJson } from './area-geojson';
import { areaGpx } from './area-gpx';
import { areaKml } from './area-kml';
import { areaSvg } from './area-svg';

/** Every format of an area’s map. A new one is one more file and one line here. */
export const AREA_FORMATS: readonly AreaFormat[] = [
  areaCsv,
  areaGeoJson,
  areaGpx,
  areaKml,
  areaSvg,
];
