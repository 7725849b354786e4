import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';
import { FARTHEST, heightOrVoid, MOST_POSTS, type HeightFormat } from './height-format';
import { nth } from '../../core/units/nth';

const HEAD =
  /^\s*(ncols|nrows|xll(?:corner|center)|yll(?:corner|center)|cellsize|nodata_value)\s+(\S+)/i;
const HEAD_LINES = 6;
/** A number as grids are written; what is not a number may stand for a height that isn't known. */
const HEIGHT = /^([+-]?\d{1,7}([.,]\d*)?(e[+-]?\d{1,2})?|nan|-?1\.70141.*e38)$/i;

interface Head {
  readonly values: ReadonlyMap<string, number>;
  /** Where the numbers begin, in characters and in lines. */
  readonly length: number;
  readonly lines: number;
}

/** The lines of names and numbers at the beginning. */
function readHead(text: string): Result<Head, FileFault[]> {
  const values = new Map<string, number>();
  let [length, lines] = [0, 0];
  while (lines < HEAD_LINES) {
    const end = text.indexOf('\n', length);
    const line = text.slice(length, end < 0 ? text.length : end);
    const [, name, value] = HEAD.exec(line) ?? [];
    if (name === undefined) break;
    const number = Number(value?.replace(',', '.'));
    lines++;
    if (!Number.isFinite(number)) {
      return fail([fileFault(`${name}: “${value}” is no number.`, { line: lines, column: 1 })]);
    }
    values.set(name.toLowerCase(), number);
    length = end < 0 ? text.length : end + 1;
  }
  return ok({ values, length, lines });
}

/** The size and corner of the head; a message where something is missing. */
function placeOf({ values, lines }: Head) {
  const [columns, rows] = [values.get('ncols') ?? 0, values.get('nrows') ?? 0];
  const cell = values.get('cellsize') ?? 0;
  const half = cell / 2;
  const corner = (axis: 'x' | 'y') => {
    const middle = values.get(`${axis}llcenter`);
    const edge = values.get(`${axis}llcorner`);
    // A corner is of the cell; its height is of its middle.
    return middle ?? (edge === undefined ? NaN : edge + half);
  };
  const [west, south] = [corner('x'), corner('y')];
  const isWhole = Number.isInteger(columns) && Number.isInteger(rows) && columns > 1 && rows > 1;
  const isOnEarth = [west, south, cell].every((each) => Math.abs(each) <= FARTHEST);
  if (!isWhole || !(cell > 0) || !isOnEarth) {
    const wanted = 'ncols, nrows, xllcorner or xllcenter, yllcorner or yllcenter, and cellsize';
    const message = `A grid of heights begins with ${wanted}.`;
    return fail([fileFault(message, { line: lines + 1, column: 1 })]);
  }
  if (columns * rows > MOST_POSTS) {
    return fail([fileFault(`${columns} by ${rows} heights are too many.`, { line: 1, column: 1 })]);
  }
  return ok({ columns, rows, cell, west, south });
}

/** Numbers that fit degrees are degrees: a grid in metres has larger steps. */
const areDegrees = (west: number, south: number, cell: number) =>
  cell < 0.5 && Math.abs(west) <= 360 && Math.abs(south) <= 90;

/**
 * Heights as text: six lines that tell size and corner, then the rows from the north. It doesn't
 * say of which grid; what can't be degrees is taken for metres of the map.
 */
export const asciiGrid: HeightFormat = {
  name: 'ASCII grid',
  reads: (name, bytes) =>
    /\.asc$/i.test(name) || HEAD.test(new TextDecoder().decode(bytes.slice(0, 100))),
  read(_name, bytes, map) {
    const text = new TextDecoder().decode(bytes);
    const head = readHead(text);
    if (!head.ok) return head;
    const place = placeOf(head.value);
    if (!place.ok) return place;
    const { columns, rows, cell, west, south } = place.value;
    const numbers = text.slice(head.value.length).trim().split(/\s+/);
    if (numbers.length !== columns * rows) {
      const message = `${columns * rows} heights are wanted, and ${numbers.length} are there.`;
      return fail([fileFault(message, { line: head.value.lines + 1, column: 1 })]);
    }
    const isVoid = head.value.values.get('nodata_value') ?? -9999;
    const odd = numbers.findIndex((word) => !HEIGHT.test(word));
    if (odd >= 0) {
      const line = head.value.lines + 1 + Math.floor(odd / columns);
      const message = `“${nth(numbers, odd).slice(0, 20)}” is no height in metres.`;
      return fail([fileFault(message, { line, column: (odd % columns) + 1 })]);
    }
    const metres = Float32Array.from(numbers, (word) => {
      const height = Number(word.replace(',', '.'));
      return height === isVoid ? NaN : heightOrVoid(height);
    });
    const isOfMap = !areDegrees(west, south, cell);
    const grid = {
      projection: isOfMap ? map : null,
      west,
      north: south + (rows - 1) * cell,
      stepEast: cell,
      stepSouth: cell,
      columns,
      rows,
      metres,
    };
    return ok({ grid, isOfMap });
  },
};
