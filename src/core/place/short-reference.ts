import type { Fault } from '../faults/fault';
import type { TypedPlace } from '../readings/place/grid-reader';
import type { Position } from '../readings/position';
import { fail, type Result } from '../units/result';
import type { Metres } from '../units/units';
import { squareText } from './grid-text';
import { gridsAt, NATIONAL_GRIDS, nationalGrid, type NationalGrid } from './national-grids';
import { lettersText, nationalText } from './national-text';
import { eastNorthOf, readTyped } from './place-text';

const SHORT = /^\s*(\d{2,5})\s*[\s,/-]?\s*(\d{2,5})\s*$/;
const FIGURES =
  /^\s*[en]?\s*\d{5,7}(?:\.\d+)?\s*m?[en]?[\s,;/]+[en]?\s*\d{5,7}(?:\.\d+)?\s*m?[en]?\s*$/i;
/** The zone and the band that a square is in. */
const ZONE = /^\s*(\d{1,2})\s*([C-HJ-NP-X])/i;
const LETTERS = /^(?:[HJNOST][A-HJ-Z]|[A-HJ-Z])$/i;
const FEWEST_DIGITS = 4;
const MOST_DIGITS = 10;

/** Which grid places are written by: the national one where there is one, UTM, or one by name. */
export function usualGrid(position: Position, choice: string | null): NationalGrid | null {
  if (choice === 'utm') return null;
  const chosen = choice === null ? null : nationalGrid(choice);
  const here = gridsAt(position);
  if (chosen) return here.includes(chosen) ? chosen : null;
  return here[0] ?? null;
}

/**
 * What short references near a place are in: the square of 100 km by its letters (`SD`), a grid by
 * its name (`LV95`), or without a grid the square of UTM (`20U MF`); null beyond all of them.
 */
export function squareOf(position: Position, grid: NationalGrid | null): string | null {
  if (grid) return lettersText(grid, position)?.square ?? grid.id.toUpperCase();
  const text = squareText(position);
  return text === null ? null : text.split(' ').slice(0, 2).join(' ');
}

/** The grid that a square is of: by its letters or its name; null for one of UTM, or none. */
function gridOfSquare(square: string): NationalGrid | null {
  if (!LETTERS.test(square)) return nationalGrid(square);
  const kind = square.length === 1 ? 'irish' : 'british';
  return NATIONAL_GRIDS.find(({ letters }) => letters === kind) ?? null;
}

/** Whole figures as they are read with their grid; null for any other text. */
function wholeFigures(text: string, square: string): string | null {
  const grid = gridOfSquare(square);
  // Five figures an axis beside letters are those in the square.
  const isInSquare = LETTERS.test(square) && /^\d{5}\D+\d{5}$/.test(text.trim());
  if (grid) return FIGURES.test(text) && !isInSquare ? `${grid.id} ${text.trim()}` : null;
  const zone = ZONE.exec(square);
  const eastNorth = eastNorthOf(text);
  if (!zone || eastNorth === null) return null;
  const half = (zone[2] ?? '').toUpperCase() < 'N' ? 'south' : 'north';
  return `${zone[1]} ${half} ${eastNorth}`;
}

/**
 * A place in any notation, or by its digits alone in a remembered square of 100 km: `326 058`,
 * `326058`, `3260 0580`; or whole, as on the edge of the map: `466000 6007500`. Digits that don't
 * halve, or fewer than two an axis, are refused.
 */
export function readTypedPlace(text: string, asked: string | null): Result<TypedPlace, Fault> {
  const square = asked?.trim() ?? '';
  const whole = wholeFigures(text, square);
  if (whole !== null) return readTyped(whole);
  const packed = text.replace(/\s+/g, '');
  const isDigits = (/^\d+$/.test(packed) && eastNorthOf(text) === null) || SHORT.test(text);
  if (!isDigits || square === '') return readTyped(text);
  const digits = text.replace(/\D+/g, '');
  const halves = SHORT.exec(text);
  const isEven =
    digits.length % 2 === 0 && digits.length >= FEWEST_DIGITS && digits.length <= MOST_DIGITS;
  const isSplit = halves?.[1]?.length === halves?.[2]?.length || /^\d+$/.test(text.trim());
  if (!isEven || !isSplit) {
    return fail({ code: 'unexpected', found: text.slice(0, 60), expected: 'place' });
  }
  return readTyped(`${square.replace(/\s+/g, '')}${digits}`);
}

/**
 * The digits of a place in its square of 100 km, so many an axis: cut off, not rounded, as grid
 * references are; whole figures in a grid without squares. Null beyond the grids.
 */
export function shortReference(
  position: Position,
  digits: number,
  grid: NationalGrid | null,
): string | null {
  if (grid) {
    const letters = lettersText(grid, position, digits);
    return letters?.digits ?? nationalText(grid, position).split(' ').slice(1).join(' ');
  }
  const [, , east = '', north = ''] = squareText(position)?.split(' ') ?? [];
  return east === '' ? null : `${east.slice(0, digits)} ${north.slice(0, digits)}`;
}

/** Digits an axis that a place is worth, known within so many metres: to 100 m, 10 m or 1 m. */
export const digitsWorth = (withinMetres: Metres): number =>
  withinMetres > 50 ? 3 : withinMetres > 5 ? 4 : 5;
