import type { Fault } from '../faults/fault';
import type { Position } from '../readings/position';
import { fail, ok, type Result } from '../units/result';
import { squareText } from './grid-text';
import { eastNorthOf, readPlace } from './place-text';

/** A place as it was typed, and the width of the square that it names. */
export interface TypedPlace {
  readonly position: Position;
  /** In metres; undefined where the notation doesn't tell. */
  readonly withinMetres: number | undefined;
}

const SHORT = /^\s*(\d{2,5})\s*[\s,/-]?\s*(\d{2,5})\s*$/;
const SQUARE = /^(\d{1,2})\s*([C-HJ-NP-X])\s*([A-HJ-NP-Z][A-HJ-NP-V])\s*(\d*)\s*(\d*)$/i;
const UTM = /^\d{1,2}\s*(?:[c-hj-np-x]|north|south)\s/i;
/** The zone and the band that a square is in. */
const ZONE = /^\s*(\d{1,2})\s*([C-HJ-NP-X])/i;
const WHOLE_DIGITS = 5;

/** The square of 100 km that a place is in, as `20U MF`; null beyond the grid. */
export function squareOf(position: Position): string | null {
  const text = squareText(position);
  return text === null ? null : text.split(' ').slice(0, 2).join(' ');
}

/** The width of a square told by so many digits of each axis, in metres. */
const widthOf = (digits: number): number => 10 ** (WHOLE_DIGITS - digits);

/**
 * A place in any notation, or by its digits alone in a remembered square of 100 km: `326 058`,
 * `326058`, `3260 0580`; or whole, as on the edge of the map: `466000 6007500`. Digits that don't
 * halve, or fewer than two an axis, are refused.
 */
export function readTypedPlace(text: string, square: string | null): Result<TypedPlace, Fault> {
  const zone = square === null ? null : ZONE.exec(square);
  const eastNorth = zone && eastNorthOf(text);
  if (zone && eastNorth) {
    const half = zone[2]!.toUpperCase() < 'N' ? 'south' : 'north';
    const read = readPlace(`${zone[1]} ${half} ${eastNorth}`);
    return read.ok ? ok({ position: read.value, withinMetres: 1 }) : read;
  }
  const packed = text.replace(/\s+/g, '');
  const isDigits = (/^\d+$/.test(packed) && eastNorthOf(text) === null) || SHORT.test(text);
  if (isDigits && square !== null) {
    const digits = text.replace(/\D+/g, '');
    const halves = SHORT.exec(text);
    const isEven = digits.length % 2 === 0 && digits.length >= 4 && digits.length <= 10;
    const isSplit = !halves || halves[1]!.length === halves[2]!.length || /^\d+$/.test(text.trim());
    if (!isEven || !isSplit) {
      return fail({ code: 'unexpected', found: text.slice(0, 60), expected: 'place' });
    }
    const read = readPlace(`${square.replace(/\s+/g, '')}${digits}`);
    return read.ok ? ok({ position: read.value, withinMetres: widthOf(digits.length / 2) }) : read;
  }
  const read = readPlace(text);
  if (!read.ok) return read;
  const whole = SQUARE.exec(text.trim());
  const digits = whole ? `${whole[4]}${whole[5]}`.length / 2 : null;
  const withinMetres = digits === null ? (UTM.test(text.trim()) ? 1 : undefined) : widthOf(digits);
  return ok({ position: read.value, withinMetres });
}

/**
 * The digits of a place in its square of 100 km, so many an axis: cut off, not rounded, as grid
 * references are. Null beyond the grid.
 */
export function shortReference(position: Position, digits: number): string | null {
  const [, , east = '', north = ''] = squareText(position)?.split(' ') ?? [];
  return east === '' ? null : `${east.slice(0, digits)} ${north.slice(0, digits)}`;
}

/** Digits an axis that a place is worth, known within so many metres: to 100 m, 10 m or 1 m. */
export const digitsWorth = (withinMetres: number): number =>
  withinMetres > 50 ? 3 : withinMetres > 5 ? 4 : 5;
