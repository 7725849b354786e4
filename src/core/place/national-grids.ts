import type { Position } from '../readings/position';
import type { Degrees, Metres } from '../units/units';

/** South, west, north and east of a piece of land, in degrees. */
type Box = readonly [south: number, west: number, north: number, east: number];

/** A grid that the maps of a country are printed with. */
export interface NationalGrid {
  /** Its name in a log (`convergence lv95`) and before its figures (`LV95 2643013 1161124`). */
  readonly id: string;
  /** Its number in the EPSG register: files of pictures and heights name it by that. */
  readonly epsg: number;
  readonly name: string;
  /** Its projection with the shift of its datum, in the words of the projection library. */
  readonly definition: string;
  /**
   * How well the shift of its datum holds, in metres: between what a satellite receiver says and
   * what the map says.
   */
  readonly shiftMetres: Metres;
  /** The country's land, roughly: where it is offered, and where its figures are believed. */
  readonly areas: readonly Box[];
  /** Squares of 100 km with letters of their own. */
  readonly letters?: 'british' | 'irish';
}

const GRS80 = '+ellps=GRS80';
/** Datums on the world's own ellipsoid differ from a satellite receiver's by a metre or two. */
const SAME_DATUM = 2;

const IRELAND: readonly Box[] = [
  [51.3, -10.7, 55.25, -5.34],
  [55.25, -8.5, 55.45, -5.95],
];
const BELGIUM: readonly Box[] = [[49.5, 2.5, 51.51, 6.4]];
const SWITZERLAND: readonly Box[] = [[45.82, 5.96, 47.81, 10.49]];
const SWEDEN: readonly Box[] = [
  [55.3, 11, 59.5, 16.8],
  [56.9, 18, 58.1, 19.4],
  [58.4, 11, 61, 19.2],
  [60.9, 12.2, 64, 19.6],
  [63.3, 13.9, 66.2, 24.2],
  [66, 15.4, 68, 23.7],
  [67.9, 18, 69.1, 22],
];
const NEW_ZEALAND: readonly Box[] = [[-47.4, 166.3, -34.3, 178.7]];

/**
 * The usual national grids, the most usual one of a country first. Projections and shifts of datum:
 * EPSG register 10.076, as PROJ 9.1.1 writes them; seven parameters where the register has them.
 * Countries whose maps are printed with UTM need none.
 */
export const NATIONAL_GRIDS: readonly NationalGrid[] = [
  {
    id: 'british',
    epsg: 27700,
    name: 'British National Grid',
    definition:
      '+proj=tmerc +lat_0=49 +lon_0=-2 +k=0.9996012717 +x_0=400000 +y_0=-100000 +ellps=airy ' +
      '+towgs84=446.448,-125.157,542.06,0.1502,0.247,0.8421,-20.4894',
    shiftMetres: 5,
    areas: [
      [55.25, -8.9, 61, -0.6],
      [54, -5.2, 55.3, 0],
      [49.8, -6.5, 54, 1.9],
      [55.25, -5.95, 55.45, -5.3],
    ],
    letters: 'british',
  },
  {
    id: 'irish',
    epsg: 29903,
    name: 'Irish Grid',
    definition:
      '+proj=tmerc +lat_0=53.5 +lon_0=-8 +k=1.000035 +x_0=200000 +y_0=250000 +a=6377340.189 ' +
      '+rf=299.3249646 +towgs84=482.5,-130.6,564.6,-1.042,-0.214,-0.631,8.15',
    shiftMetres: 2,
    areas: IRELAND,
    letters: 'irish',
  },
  {
    id: 'itm',
    epsg: 2157,
    name: 'Irish Transverse Mercator',
    definition: `+proj=tmerc +lat_0=53.5 +lon_0=-8 +k=0.99982 +x_0=600000 +y_0=750000 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: IRELAND,
  },
  {
    id: 'rd',
    epsg: 28992,
    name: 'Dutch grid (RD)',
    definition:
      '+proj=sterea +lat_0=52.1561605555556 +lon_0=5.38763888888889 +k=0.9999079 +x_0=155000 ' +
      '+y_0=463000 +ellps=bessel ' +
      '+towgs84=565.4171,50.3319,465.5524,-0.398957,0.343988,-1.877402,4.0725',
    shiftMetres: 1,
    areas: [[50.75, 3.3, 53.6, 7.23]],
  },
  {
    id: 'lambert2008',
    epsg: 3812,
    name: 'Belgian Lambert 2008',
    definition:
      '+proj=lcc +lat_0=50.797815 +lon_0=4.35921583333333 +lat_1=49.8333333333333 ' +
      `+lat_2=51.1666666666667 +x_0=649328 +y_0=665262 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: BELGIUM,
  },
  {
    id: 'lambert72',
    epsg: 31370,
    name: 'Belgian Lambert 72',
    definition:
      '+proj=lcc +lat_0=90 +lon_0=4.36748666666667 +lat_1=51.1666672333333 ' +
      '+lat_2=49.8333339 +x_0=150000.013 +y_0=5400088.438 +ellps=intl ' +
      '+towgs84=-106.8686,52.2978,-103.7239,0.3366,-0.457,1.8422,-1.2747',
    shiftMetres: 1,
    areas: BELGIUM,
  },
  {
    id: 'luref',
    epsg: 2169,
    name: 'Luxembourg grid (LUREF)',
    definition:
      '+proj=tmerc +lat_0=49.8333333333333 +lon_0=6.16666666666667 +k=1 +x_0=80000 ' +
      '+y_0=100000 +ellps=intl ' +
      '+towgs84=-189.6806,18.3463,-42.7695,-0.33746,-3.09264,2.53861,0.4598',
    shiftMetres: 1,
    areas: [[49.44, 5.73, 50.19, 6.53]],
  },
  {
    id: 'lambert93',
    epsg: 2154,
    name: 'French Lambert-93',
    definition:
      '+proj=lcc +lat_0=46.5 +lon_0=3 +lat_1=49 +lat_2=44 +x_0=700000 +y_0=6600000 ' + GRS80,
    shiftMetres: SAME_DATUM,
    areas: [
      [42.3, -5.2, 49.8, 7.6],
      [49.8, 1.4, 51.1, 4.3],
      [47.4, 6.9, 49.1, 8.3],
      [41.3, 8.5, 43.1, 9.6],
    ],
  },
  {
    id: 'lv95',
    epsg: 2056,
    name: 'Swiss grid LV95',
    definition:
      '+proj=somerc +lat_0=46.9524055555556 +lon_0=7.43958333333333 +k_0=1 +x_0=2600000 ' +
      '+y_0=1200000 +ellps=bessel +towgs84=674.374,15.056,405.346',
    shiftMetres: 1,
    areas: SWITZERLAND,
  },
  {
    id: 'lv03',
    epsg: 21781,
    name: 'Swiss grid LV03',
    definition:
      '+proj=somerc +lat_0=46.9524055555556 +lon_0=7.43958333333333 +k_0=1 +x_0=600000 ' +
      '+y_0=200000 +ellps=bessel +towgs84=674.374,15.056,405.346',
    shiftMetres: 2,
    areas: SWITZERLAND,
  },
  {
    id: 'sweref99',
    epsg: 3006,
    name: 'Swedish grid (SWEREF 99 TM)',
    definition: `+proj=utm +zone=33 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: SWEDEN,
  },
  {
    id: 'rt90',
    epsg: 3021,
    name: 'Swedish grid RT 90 2.5 gon V',
    definition:
      '+proj=tmerc +lat_0=0 +lon_0=15.8082777777778 +k=1 +x_0=1500000 +y_0=0 +ellps=bessel ' +
      '+towgs84=414.1,41.3,603.1,-0.855,2.141,-7.023,0',
    shiftMetres: 1,
    areas: SWEDEN,
  },
  {
    id: 'tm35fin',
    epsg: 3067,
    name: 'Finnish grid (ETRS-TM35FIN)',
    definition: `+proj=utm +zone=35 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: [
      [59.7, 19.3, 60.6, 21.1],
      [59.7, 21, 63.3, 31.6],
      [63.2, 21.3, 65.7, 30.2],
      [65.6, 24.1, 66.9, 30],
      [66.8, 23.7, 68, 30],
      [67.9, 20.6, 69.4, 29.4],
      [69.3, 25.6, 70.1, 29.4],
    ],
  },
  {
    id: 'isn93',
    epsg: 3057,
    name: 'Icelandic grid (ISN93)',
    definition:
      '+proj=lcc +lat_0=65 +lon_0=-19 +lat_1=64.25 +lat_2=65.75 +x_0=500000 +y_0=500000 ' + GRS80,
    shiftMetres: SAME_DATUM,
    areas: [[63.2, -24.7, 66.7, -13.3]],
  },
  {
    id: 'lest97',
    epsg: 3301,
    name: 'Estonian grid (L-EST97)',
    definition:
      '+proj=lcc +lat_0=57.5175539305556 +lon_0=24 +lat_1=59.3333333333333 +lat_2=58 ' +
      `+x_0=500000 +y_0=6375000 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: [[57.5, 21.7, 59.8, 28.25]],
  },
  {
    id: 'lks92',
    epsg: 3059,
    name: 'Latvian grid (LKS-92)',
    definition: `+proj=tmerc +lat_0=0 +lon_0=24 +k=0.9996 +x_0=500000 +y_0=-6000000 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: [[55.67, 20.9, 58.09, 28.25]],
  },
  {
    id: 'lks94',
    epsg: 3346,
    name: 'Lithuanian grid (LKS-94)',
    definition: `+proj=tmerc +lat_0=0 +lon_0=24 +k=0.9998 +x_0=500000 +y_0=0 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: [[53.89, 20.9, 56.45, 26.85]],
  },
  {
    id: 'pl1992',
    epsg: 2180,
    name: 'Polish grid PL-1992',
    definition: `+proj=tmerc +lat_0=0 +lon_0=19 +k=0.9993 +x_0=500000 +y_0=-5300000 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: [[49, 14.1, 54.9, 24.15]],
  },
  {
    id: 'eov',
    epsg: 23700,
    name: 'Hungarian grid (EOV)',
    definition:
      '+proj=somerc +lat_0=47.1443937222222 +lon_0=19.0485717777778 +k_0=0.99993 ' +
      '+x_0=650000 +y_0=200000 +ellps=GRS67 +towgs84=52.17,-71.82,-14.9',
    shiftMetres: 2,
    areas: [[45.74, 16.11, 48.58, 22.9]],
  },
  {
    id: 'stereo70',
    epsg: 3844,
    name: 'Romanian grid Stereo 70',
    definition:
      '+proj=sterea +lat_0=46 +lon_0=25 +k=0.99975 +x_0=500000 +y_0=500000 +ellps=krass ' +
      '+towgs84=2.329,-147.042,-92.08,-0.309,0.325,0.497,5.69',
    shiftMetres: 3,
    areas: [[43.6, 20.26, 48.27, 29.75]],
  },
  {
    id: 'd96',
    epsg: 3794,
    name: 'Slovene grid (D96/TM)',
    definition: `+proj=tmerc +lat_0=0 +lon_0=15 +k=0.9999 +x_0=500000 +y_0=-5000000 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: [[45.42, 13.38, 46.88, 16.61]],
  },
  {
    id: 'htrs96',
    epsg: 3765,
    name: 'Croatian grid (HTRS96/TM)',
    definition: `+proj=tmerc +lat_0=0 +lon_0=16.5 +k=0.9999 +x_0=500000 +y_0=0 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: [[42.34, 13.43, 46.54, 19.43]],
  },
  {
    id: 'ggrs87',
    epsg: 2100,
    name: 'Greek grid (GGRS87)',
    definition:
      `+proj=tmerc +lat_0=0 +lon_0=24 +k=0.9996 +x_0=500000 +y_0=0 ${GRS80} ` +
      '+towgs84=-199.87,74.79,246.62',
    shiftMetres: 1,
    areas: [[34.7, 19.57, 41.75, 28.3]],
  },
  {
    id: 'israel',
    epsg: 2039,
    name: 'Israeli grid (1993)',
    definition:
      '+proj=tmerc +lat_0=31.7343936111111 +lon_0=35.2045169444444 +k=1.0000067 ' +
      `+x_0=219529.584 +y_0=626907.39 ${GRS80} ` +
      '+towgs84=23.772,17.49,17.859,-0.3132,-1.85274,1.67299,-5.4262',
    shiftMetres: 2,
    areas: [[29.45, 34.17, 33.35, 35.7]],
  },
  {
    id: 'hk80',
    epsg: 2326,
    name: 'Hong Kong 1980 grid',
    definition:
      '+proj=tmerc +lat_0=22.3121333333333 +lon_0=114.178555555556 +k=1 +x_0=836694.05 ' +
      '+y_0=819069.8 +ellps=intl ' +
      '+towgs84=-162.619,-276.959,-161.764,0.067753,-2.243648,-1.158828,-1.094246',
    shiftMetres: 1,
    areas: [[22.13, 113.76, 22.58, 114.51]],
  },
  {
    id: 'twd97',
    epsg: 3826,
    name: 'Taiwanese grid (TWD97)',
    definition: `+proj=tmerc +lat_0=0 +lon_0=121 +k=0.9999 +x_0=250000 +y_0=0 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: [[21.8, 119.9, 25.4, 122.1]],
  },
  {
    id: 'nztm',
    epsg: 2193,
    name: 'New Zealand Transverse Mercator',
    definition: `+proj=tmerc +lat_0=0 +lon_0=173 +k=0.9996 +x_0=1600000 +y_0=10000000 ${GRS80}`,
    shiftMetres: SAME_DATUM,
    areas: NEW_ZEALAND,
  },
  {
    id: 'nzmg',
    epsg: 27200,
    name: 'New Zealand Map Grid (before 2001)',
    definition:
      '+proj=nzmg +lat_0=-41 +lon_0=173 +x_0=2510000 +y_0=6023150 +ellps=intl ' +
      '+towgs84=59.47,-5.04,187.44,0.47,-0.1,1.024,-4.5993',
    shiftMetres: 4,
    areas: NEW_ZEALAND,
  },
];

/** The grid with a name, whatever its letter case; null for none. */
export const nationalGrid = (id: string): NationalGrid | null =>
  NATIONAL_GRIDS.find((grid) => grid.id === id.trim().toLowerCase()) ?? null;

/** The grid with a definition; null for any other projection. */
export const nationalGridOf = (definition: string): NationalGrid | null =>
  NATIONAL_GRIDS.find((grid) => grid.definition === definition) ?? null;

/** Degrees around a country's land where its figures are still believed. */
const MARGIN_DEGREES = 0.5;

const isInBox = (
  [south, west, north, east]: Box,
  { latitude, longitude }: Position,
  margin: Degrees,
): boolean =>
  latitude >= south - margin &&
  latitude <= north + margin &&
  longitude >= west - margin &&
  longitude <= east + margin;

/** True where figures of a grid can be meant: in its country or just off its shore. */
export const isNearGrid = ({ areas }: NationalGrid, position: Position): boolean =>
  areas.some((area) => isInBox(area, position, MARGIN_DEGREES));

/** The size of the smallest piece of the country that holds a place; infinite outside it. */
const sizeAround = ({ areas }: NationalGrid, position: Position): number =>
  Math.min(
    ...areas
      .filter((area) => isInBox(area, position, 0))
      .map(([south, west, north, east]) => (north - south) * (east - west)),
  );

/**
 * The national grids that maps of a place may be printed with, the most usual first. Near a border
 * the boxes of two countries hold it: the smaller one comes first.
 */
export const gridsAt = (position: Position): NationalGrid[] =>
  NATIONAL_GRIDS.map((grid) => ({ grid, size: sizeAround(grid, position) }))
    .filter(({ size }) => Number.isFinite(size))
    .sort((a, b) => a.size - b.size)
    .map(({ grid }) => grid);
