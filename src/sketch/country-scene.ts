import type { Country, GroundLine, NamedPoint } from '../core/practice/country/country';
import { contoursAt, insideParts, levelsOf } from '../core/terrain/contours';

const INTERVAL_METRES = 10;
/** Every fifth contour is drawn strong. */
const INDEX_METRES = 50;
export const GRID_METRES = 500;

/** A country as a map shows it, in paths of metres: x to the east, y downward to the south. */
export interface CountryDrawing {
  readonly seed: number;
  readonly contours: string;
  readonly indexContours: string;
  readonly woods: string;
  readonly water: string;
  readonly streams: string;
  readonly paths: string;
  readonly walls: string;
  readonly summits: readonly (NamedPoint & { readonly heightMetres: number })[];
  readonly buildings: readonly NamedPoint[];
  readonly lakes: readonly NamedPoint[];
  /** What the margin says. */
  readonly margin: Country['margin'];
  readonly norths: Country['norths'];
  readonly bounds: Country['bounds'];
}

/** A drawing of a country, as strings: made in a worker, it costs nothing to hand over. */
export function countryDrawing(country: Country): CountryDrawing {
  const { bounds, ground } = country;
  const path = (line: GroundLine, end = '') =>
    line
      .map(
        ({ east, north }, index) =>
          `${index === 0 ? 'M' : 'L'}${Math.round(east)} ${Math.round(-north)}`,
      )
      .join('') + end;
  const lines = (all: readonly GroundLine[]) => all.map((line) => path(line)).join('');
  const areas = (all: readonly GroundLine[]) => all.map((ring) => path(ring, 'Z')).join('');
  const levels = levelsOf(ground, INTERVAL_METRES).filter((level) => level > country.waterMetres);
  const contours = contoursAt(ground, levels);
  const drawn = (isIndex: boolean) =>
    contours
      .filter(({ heightMetres }) => (heightMetres % INDEX_METRES === 0) === isIndex)
      .flatMap(({ rings }) => rings.flatMap((ring) => insideParts(ground, ring)))
      .map((part) => path(part))
      .join('');
  return {
    seed: country.seed,
    contours: drawn(false),
    indexContours: drawn(true),
    woods: areas(country.woods),
    water: areas(country.lakes.flatMap(({ rings }) => rings)),
    streams: lines(country.streams),
    paths: lines(country.paths),
    walls: lines(country.walls),
    summits: country.summits,
    buildings: country.buildings,
    lakes: country.lakes.flatMap(({ name, middle }) => (name ? [{ name, point: middle }] : [])),
    margin: country.margin,
    norths: country.norths,
    bounds,
  };
}
