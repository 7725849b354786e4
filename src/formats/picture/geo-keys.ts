import { NATIONAL_GRIDS } from '../../core/place/national-grids';
import type { World } from './world-file';

/** The tags of a GeoTIFF that tell where it is, by the names of OGC 19-008r4. */
export interface GeoTags {
  readonly ModelPixelScale?: ArrayLike<number> | undefined;
  readonly ModelTiepoint?: ArrayLike<number> | undefined;
  readonly ModelTransformation?: ArrayLike<number> | undefined;
  readonly keys: {
    readonly GTModelTypeGeoKey?: number | undefined;
    readonly GTRasterTypeGeoKey?: number | undefined;
    readonly ProjectedCSTypeGeoKey?: number | undefined;
    readonly GeographicTypeGeoKey?: number | undefined;
  };
}

/** Where a GeoTIFF is, and of which grid; the projection is null for one that isn't known here. */
export interface GeoPlace {
  readonly world: World;
  readonly projection: string | null;
  /** The datum of its degrees, where that is another than WGS 84's: its EPSG number. */
  readonly otherDatum: number | null;
}

const PIXEL_IS_POINT = 2;
const GEOGRAPHIC = 2;
/**
 * Degrees that are within a few metres of WGS 84's: itself, ETRS89, NAD83, GDA94 and GDA2020,
 * NZGD2000, SIRGAS 2000, CSRS, and "user-defined", which says nothing. EPSG registry (memory).
 */
const LIKE_WGS84: ReadonlySet<number> = new Set([
  4326, 4979, 4258, 4269, 4283, 7844, 4167, 4674, 4617, 4612, 6668, 4490, 32_767,
]);
const WGS84_UTM = { north: 32_600, south: 32_700, zones: 60 } as const;

/** The definition of a projected system by its EPSG number: UTM of WGS 84, or a national grid. */
function projectionOf(code: number | undefined): string | null {
  if (code === undefined) return null;
  for (const [side, words] of [
    ['north', ''],
    ['south', ' +south'],
  ] as const) {
    const zone = code - WGS84_UTM[side];
    if (zone >= 1 && zone <= WGS84_UTM.zones) {
      return `+proj=utm +zone=${zone}${words} +datum=WGS84`;
    }
  }
  return NATIONAL_GRIDS.find(({ epsg }) => epsg === code)?.definition ?? null;
}

/** The affine map of the tags, at the corner or the middle of the first pixel as they say. */
function affineOf(tags: GeoTags): number[] | null {
  const matrix = tags.ModelTransformation;
  if (matrix && matrix.length >= 8) {
    return [matrix[0]!, matrix[4]!, matrix[1]!, matrix[5]!, matrix[3]!, matrix[7]!];
  }
  const [scale, tie] = [tags.ModelPixelScale, tags.ModelTiepoint];
  if (!scale || !tie || tie.length < 6) return null;
  const [sx, sy] = [scale[0]!, scale[1]!];
  return [sx, 0, 0, -sy, tie[3]! - tie[0]! * sx, tie[4]! + tie[1]! * sy];
}

/** Where a GeoTIFF is by its tags; null where it doesn't say. */
export function geoPlace(tags: GeoTags): GeoPlace | null {
  const affine = affineOf(tags);
  if (!affine) return null;
  const [a = 0, d = 0, b = 0, e = 0, c = 0, f = 0] = affine;
  // A raster of areas is tied at the corner of its first pixel, a world file at its middle.
  const half = tags.keys.GTRasterTypeGeoKey === PIXEL_IS_POINT ? 0 : 0.5;
  const numbers = [a, d, b, e, c + half * (a + b), f + half * (d + e)];
  const degrees = tags.keys.GTModelTypeGeoKey === GEOGRAPHIC;
  const projection = degrees ? null : projectionOf(tags.keys.ProjectedCSTypeGeoKey);
  const datum = tags.keys.GeographicTypeGeoKey;
  const isOther = degrees && datum !== undefined && !LIKE_WGS84.has(datum);
  return { world: { numbers, degrees }, projection, otherDatum: isOther ? datum : null };
}
