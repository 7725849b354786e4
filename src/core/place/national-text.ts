import type { Fault } from '../faults/fault';
import type { Position } from '../readings/position';
import type { TypedPlace } from '../readings/place/grid-reader';
import type { PlanePoint } from '../units/plane';
import { fail, ok, type Result } from '../units/result';
import { mapGrid, type MapGrid } from './map-grid';
import {
  gridsAt,
  isNearGrid,
  NATIONAL_GRIDS,
  nationalGrid,
  type NationalGrid,
} from './national-grids';

/** The alphabet of squares, five by five from the north-west corner; I is left out. */
const LETTERS = 'ABCDEFGHJKLMNOPQRSTUVWXYZ';
const SQUARE_METRES = 100_000;
const DIGITS_OF_SQUARE = 5;
/** The first letter's square of 500 km that has the false origin at its south-west corner: S. */
const ORIGIN = { column: 2, row: 3 } as const;
const COLUMNS = 5;

/** The grid itself; its definition is in the list, so it can always be used. */
function planeOf(grid: NationalGrid): MapGrid {
  const found = mapGrid({ latitude: 0, longitude: 0 }, grid.definition);
  if (!found.ok) throw new RangeError(`no grid: ${grid.id}`);
  return found.value;
}

/** Column and row of a letter, from the north-west corner; null for none. */
function cellOf(letter: string): { column: number; row: number } | null {
  const at = LETTERS.indexOf(letter);
  return at < 0 ? null : { column: at % COLUMNS, row: Math.floor(at / COLUMNS) };
}

/**
 * The south-west corner of a square by its letters. British: the first is a square of 500 km, five
 * by five from the false origin's S; the second, like the Irish single letter, one of 100 km in it.
 * Source: Ordnance Survey, A Guide to Coordinate Systems in Great Britain, section 7.
 */
function cornerOf(letters: string): PlanePoint | null {
  const small = cellOf(letters.slice(-1));
  const large = letters.length === 1 ? ORIGIN : cellOf(letters.slice(0, 1));
  if (!small || !large) return null;
  const east = COLUMNS * (large.column - ORIGIN.column) + small.column;
  const north = COLUMNS * (ORIGIN.row - large.row) + (COLUMNS - 1 - small.row);
  return { east: SQUARE_METRES * east, north: SQUARE_METRES * north };
}

/** The letters of the square that holds a point; null beyond the letters. */
function lettersOf({ east, north }: PlanePoint, kind: 'british' | 'irish'): string | null {
  const [column, row] = [Math.floor(east / SQUARE_METRES), Math.floor(north / SQUARE_METRES)];
  const within = (value: number) => ((value % COLUMNS) + COLUMNS) % COLUMNS;
  const small = LETTERS[COLUMNS * (COLUMNS - 1 - within(row)) + within(column)] ?? '';
  const [right, up] = [Math.floor(column / COLUMNS), Math.floor(row / COLUMNS)];
  if (kind === 'irish') return right === 0 && up === 0 ? small : null;
  const large = LETTERS[COLUMNS * (ORIGIN.row - up) + ORIGIN.column + right];
  return large === undefined || up > ORIGIN.row ? null : large + small;
}

const BY_LETTERS = /^([HJNOST][A-HJ-Z]|[A-HJ-Z])\s*(?:(\d{2,5})[\s,/-]+(\d{2,5})|(\d{4,10}))$/i;
/** Two letters are enough to know a square of 1 km by; one is not. */
const FEWEST = { british: 2, irish: 3 } as const;
const FIGURE = String.raw`([en]?)\s*(\d{5,7}(?:\.\d+)?)\s*m?\s*([en]?)`;
const BY_NAME = new RegExp(String.raw`^([a-z][a-z0-9]*)[\s:]+${FIGURE}[\s,;/]+${FIGURE}$`, 'i');

const outside = (grid: NationalGrid, found: string) =>
  fail<Fault>({ code: 'outside-grid', grid: grid.name, found });

/** The place of a point, as finely as its digits and the grid's datum tell. */
function placeAt(
  grid: NationalGrid,
  point: PlanePoint,
  width: number,
  text: string,
): Result<TypedPlace, Fault> {
  try {
    // To a centimetre: a grid gives no more.
    const found = planeOf(grid).inverse(point);
    const rounded = (degrees: number) => Math.round(degrees * 1e7) / 1e7;
    const position = {
      latitude: rounded(found.latitude),
      longitude: rounded(found.longitude),
    };
    if (!isNearGrid(grid, position)) return outside(grid, text);
    const withinMetres = Math.max(width, grid.shiftMetres);
    return ok({ position, withinMetres, grid: grid.id });
  } catch {
    return outside(grid, text);
  }
}

/** A reference by the letters of its square: the middle of what its digits name. */
function readLetters(text: string, found: RegExpExecArray): Result<TypedPlace, Fault> | null {
  const [, letters = '', eastText = '', northText = '', joined = ''] = found;
  const kind = letters.length === 1 ? 'irish' : 'british';
  const digits = joined === '' ? eastText.length : joined.length / 2;
  const east = joined === '' ? eastText : joined.slice(0, digits);
  const north = joined === '' ? northText : joined.slice(digits);
  const corner = cornerOf(letters.toUpperCase());
  const grid = NATIONAL_GRIDS.find((each) => each.letters === kind);
  if (!corner || !grid || digits < FEWEST[kind]) return null;
  if (!Number.isInteger(digits) || east.length !== north.length) {
    return fail({ code: 'unexpected', found: text.slice(0, 60), expected: 'place' });
  }
  const width = 10 ** (DIGITS_OF_SQUARE - digits);
  const point = {
    east: corner.east + (Number(east) + 0.5) * width,
    north: corner.north + (Number(north) + 0.5) * width,
  };
  return placeAt(grid, point, width, text);
}

/** Easting and northing after a grid's name, in either order where only one is in its country. */
function readNamed(text: string, found: RegExpExecArray): Result<TypedPlace, Fault> | null {
  const [, id = '', before1 = '', first = '', after1 = '', before2 = '', second = '', after2 = ''] =
    found;
  const grid = nationalGrid(id);
  if (!grid) return null;
  const marks = [before1 || after1, before2 || after2].map((mark) => mark.toLowerCase());
  const [one, two] = [Number(first), Number(second)];
  const asSaid = { east: one, north: two };
  const turned = { east: two, north: one };
  if (marks[0] === 'n' || marks[1] === 'e') return placeAt(grid, turned, 1, text);
  const read = placeAt(grid, asSaid, 1, text);
  return read.ok || marks[0] === 'e' ? read : placeAt(grid, turned, 1, text);
}

/**
 * A place by a national grid: `SD 805 660`, `SD805660`, `H 163 739`, `LV95 2643013 1161124`,
 * `RT90 N 7012134 E 1384017`; null when it looks like none. Fewer than two digits an axis, or three
 * with a single letter, are no place.
 */
export function readNationalText(written: string): Result<TypedPlace, Fault> | null {
  const text = written.trim();
  const letters = BY_LETTERS.exec(text);
  if (letters) return readLetters(text, letters);
  const named = BY_NAME.exec(text);
  return named && readNamed(text, named);
}

/** Digits an axis that a grid is worth, by how well its datum is known: to 10 m or to 1 m. */
const digitsOf = ({ shiftMetres }: NationalGrid) => (shiftMetres > 2 ? 4 : DIGITS_OF_SQUARE);

/** Letters of the square and the digits in it, cut off as references are; null without letters. */
export function lettersText(
  grid: NationalGrid,
  position: Position,
  digits = digitsOf(grid),
): { readonly square: string; readonly digits: string } | null {
  if (!grid.letters || !isNearGrid(grid, position)) return null;
  const point = planeOf(grid).forward(position);
  const square = lettersOf(point, grid.letters);
  if (square === null) return null;
  const figure = (metres: number) =>
    String(Math.floor(metres - SQUARE_METRES * Math.floor(metres / SQUARE_METRES)))
      .padStart(DIGITS_OF_SQUARE, '0')
      .slice(0, digits);
  return { square, digits: `${figure(point.east)} ${figure(point.north)}` };
}

/** A position in a national grid, as it is read back. */
export function nationalText(grid: NationalGrid, position: Position): string {
  const letters = lettersText(grid, position);
  if (letters) return `${letters.square} ${letters.digits}`;
  const { east, north } = planeOf(grid).forward(position);
  return `${grid.id.toUpperCase()} ${Math.round(east)} ${Math.round(north)}`;
}

/** A position in the usual national grid of its country; null where there is none. */
export function nationalReference(position: Position): string | null {
  const [grid] = gridsAt(position);
  return grid ? nationalText(grid, position) : null;
}

/** The national grids of a place, each with its text and how well its datum holds. */
export const nationalTexts = (position: Position) =>
  gridsAt(position).map((grid) => ({
    name: grid.name,
    text: nationalText(grid, position),
    withinMetres: grid.shiftMetres,
  }));
