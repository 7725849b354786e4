import type { Fault } from '../../faults/fault';
import type { Position } from '../position';
import { MOST_MINUTES } from '../../units/ranges';
import { fail, ok, type Result } from '../../units/result';
import { nth } from '../../units/nth';

type Letter = 'N' | 'S' | 'E' | 'W';
interface Angle {
  readonly numbers: readonly string[];
  readonly letter: Letter | null;
}

const TOKEN = /([+-]?\d+(?:\.\d+)?)|([NSEW])|([°º'’′"”″,;\s]+)|(.)/giy;

const unexpected = (found: string, nearest?: string[]) =>
  fail<Fault>({ code: 'unexpected', found: found.slice(0, 60), expected: 'place', nearest });

/** The two coordinates of the tokens, by their letters where there are any, else by halves. */
function grouped(text: string): Angle[] | null {
  const angles: { numbers: string[]; letter: Letter | null }[] = [];
  const bare: string[] = [];
  let pending: { numbers: string[]; letter: Letter | null } | null = null;
  let prefixed: boolean | null = null;
  for (const [, number, letter, , other] of text.matchAll(TOKEN)) {
    if (other) return null;
    if (letter) {
      const upper = letter.toUpperCase() as Letter;
      prefixed ??= bare.length === 0;
      if (prefixed) {
        pending = { numbers: [], letter: upper };
        angles.push(pending);
      } else {
        angles.push({ numbers: bare.splice(0), letter: upper });
      }
    } else if (number) {
      if (prefixed && pending) pending.numbers.push(number);
      else bare.push(number);
    }
  }
  if (angles.length === 0 && bare.length % 2 === 0) {
    const half = bare.length / 2;
    angles.push({ numbers: bare.slice(0, half), letter: null });
    angles.push({ numbers: bare.splice(half), letter: null });
    return nth(angles, 0).numbers.length > 0 ? angles : null;
  }
  return angles.length === 2 && (prefixed || bare.length === 0) ? angles : null;
}

/** Degrees from degrees, minutes and seconds; only the last figure may have decimals. */
function degreesOf(
  { numbers, letter }: Angle,
  axis: 'latitude' | 'longitude',
): Result<number, Fault> {
  const most = axis === 'latitude' ? 90 : 180;
  const [degreesText = '', ...parts] = numbers;
  const signed = /^[+-]/.test(degreesText);
  const shown = numbers.join(' ');
  if (numbers.length < 1 || numbers.length > 3) return unexpected(shown);
  if (parts.some((part) => /^[+-]/.test(part)) || (signed && letter)) return unexpected(shown);
  if (numbers.slice(0, -1).some((figure) => figure.includes('.'))) return unexpected(shown);
  for (const [index, part] of parts.entries()) {
    if (Number(part) >= 60) {
      const what = index === 0 ? 'minutes-of-arc' : 'seconds-of-arc';
      return fail({ code: 'out-of-range', what, found: part, least: 0, most: MOST_MINUTES });
    }
  }
  const [minutes = 0, seconds = 0] = parts.map(Number);
  const size = Math.abs(Number(degreesText)) + minutes / 60 + seconds / 3600;
  if (size > most) {
    const least = -most;
    return fail({ code: 'out-of-range', what: axis, found: shown, least, most });
  }
  const negative = degreesText.startsWith('-') || letter === 'S' || letter === 'W';
  return ok((negative ? -size : size) + 0);
}

const DECIMAL_COMMAS = /^\s*([+-]?\d+),(\d+)[\s;]+([+-]?\d+),(\d+)\s*$/;

/**
 * A place in degrees, latitude first unless letters say otherwise: `54.2 -63.5`, `54.2N 63.5W`,
 * `54°12'00" N 63°30'00" W`, `N54 12.0 W63 30.0`. Refuses anything else.
 */
export function readDegreesText(written: string): Result<Position, Fault> {
  // The minus sign of typography, which a phone or a document puts for the hyphen.
  const text = written.replaceAll('−', '-');
  const commas = DECIMAL_COMMAS.exec(text);
  if (commas) {
    const [, a, b, c, d] = commas;
    return unexpected(text.trim(), [`${a}.${b} ${c}.${d}`]);
  }
  const angles = grouped(text);
  if (!angles) return unexpected(text.trim());
  const isEast = ({ letter }: Angle) => letter === 'E' || letter === 'W';
  const [first, second] = angles as [Angle, Angle];
  if (first.letter && second.letter && isEast(first) === isEast(second))
    return unexpected(text.trim());
  const [north, east] = isEast(first) ? [second, first] : [first, second];
  const latitude = degreesOf(north, 'latitude');
  if (!latitude.ok) return latitude;
  const longitude = degreesOf(east, 'longitude');
  if (!longitude.ok) return longitude;
  return ok({ latitude: latitude.value, longitude: longitude.value });
}

function sexagesimal(value: number, letters: readonly [string, string]): string {
  // Tenths of a second first, so that 59.96 becomes the next minute and not 60.0.
  const tenths = Math.round(Math.abs(value) * 36_000);
  const seconds = ((tenths % 600) / 10).toFixed(1).padStart(4, '0');
  const minutes = String(Math.floor(tenths / 600) % 60).padStart(2, '0');
  return `${Math.floor(tenths / 36_000)}°${minutes}′${seconds}″ ${letters[value < 0 ? 1 : 0]}`;
}

/** A position in degrees, minutes and seconds, to a tenth of a second (3 m). */
export const degreesMinutesSeconds = ({ latitude, longitude }: Position): string =>
  `${sexagesimal(latitude, ['N', 'S'])} ${sexagesimal(longitude, ['E', 'W'])}`;

/** A position in decimal degrees, to 1e-5 degrees (1 m). */
export const decimalDegrees = ({ latitude, longitude }: Position): string =>
  `${latitude.toFixed(5)} ${longitude.toFixed(5)}`;
