import { LARGEST_READING, type Aim, type EntryOf } from '../../logbook';
import { NORTHS, type North } from '../../north';
import { readMetres, readNumber } from '../amounts';
import { readBearing } from '../bearing';
import type { Cursor } from '../cursor';
import { withNote, type LineKind } from '../line-kind';
import { readGround, readStationName } from './leg';

/** One of a few words, in any letter case. */
export function readChoice<Choice extends string>(
  cursor: Cursor,
  choices: readonly Choice[],
  expected: 'north' | 'aim' | 'correction',
): Choice {
  const column = cursor.position;
  const word = cursor.take(/[a-z][a-z-]*/iy)?.[0].toLowerCase();
  const choice = choices.find((candidate) => candidate === word);
  if (!choice) {
    cursor.position = column;
    cursor.expected(expected);
  }
  cursor.finish();
  return choice!;
}

/** What was seen: the text after the `;`, which these lines can't do without. */
function requiredNote(cursor: Cursor, note: string | undefined): string {
  cursor.finish();
  if (note === undefined) {
    cursor.position = cursor.text.length;
    cursor.expected('what-seen');
  }
  return note!;
}

export const fromLine: LineKind = {
  keyword: 'from',
  parse(cursor, note) {
    const column = cursor.position;
    const station = readStationName(cursor);
    return {
      entry: { kind: 'from', station, ...withNote(note) },
      columns: { station: column, whole: column },
    };
  },
};

export const atLine: LineKind = {
  keyword: 'at',
  parse(cursor, note) {
    const column = cursor.position;
    const at: Omit<EntryOf<'at'>, 'what'> = { kind: 'at', metres: readMetres(cursor) };
    cursor.skipSpace();
    if (!cursor.atEnd) {
      const side = cursor.take(/(left|right)(?![a-z])/iy);
      if (!side) cursor.expected('side');
      at.side = side![1]!.toLowerCase() as 'left' | 'right';
      cursor.skipSpace();
      at.sideMetres = readMetres(cursor);
    }
    return { entry: { ...at, what: requiredNote(cursor, note) }, columns: { whole: column } };
  },
};

export const seeLine: LineKind = {
  keyword: 'see',
  parse(cursor, note, read) {
    const column = cursor.position;
    const bearing = readBearing(cursor, read);
    return {
      entry: { kind: 'see', bearing, what: requiredNote(cursor, note) },
      columns: { bearing: column, whole: column },
    };
  },
};

export const readNorthLine: LineKind = {
  keyword: 'read',
  parse(cursor, note) {
    const north: North = readChoice(cursor, NORTHS, 'north');
    return { entry: { kind: 'read', north, ...withNote(note) }, columns: {} };
  },
};

const AIMS: readonly Aim[] = ['needle', 'landmark', 'sighted'];

export const aimLine: LineKind = {
  keyword: 'aim',
  parse(cursor, note) {
    const aim = readChoice(cursor, AIMS, 'aim');
    return { entry: { kind: 'aim', aim, ...withNote(note) }, columns: {} };
  },
};

/** A spread in per cent after the length of a pace. */
function readSpread(cursor: Cursor): number | undefined {
  cursor.skipSpace();
  if (!cursor.take(/spread(?![a-z])/iy)) return undefined;
  cursor.skipSpace();
  const column = cursor.position;
  const value = readNumber(cursor, 'spread');
  cursor.inRange(value, 'spread', Number.MIN_VALUE, 100, column);
  cursor.skipSpace();
  if (!cursor.take(/%/y)) cursor.expected('spread');
  return value;
}

export const paceLine: LineKind = {
  keyword: 'pace',
  parse(cursor, note) {
    const whole = cursor.position;
    const ground = /[a-z]/i.test(cursor.text[whole] ?? '') ? readGround(cursor) : undefined;
    cursor.skipSpace();
    const column = cursor.position;
    const value = readNumber(cursor, 'pace');
    cursor.inRange(value, 'pace', Number.MIN_VALUE, LARGEST_READING, column);
    cursor.skipSpace();
    const unit = cursor.take(/per\s+100\s*m(?![a-z])/iy)
      ? 'per-100-m'
      : cursor.take(/m(?![a-z])/iy)
        ? 'metres'
        : cursor.take(/ft(?![a-z])/iy)
          ? 'feet'
          : undefined;
    if (!unit) cursor.expected('pace', [`${value} per 100 m`, `${value} m`]);
    const spreadPercent = readSpread(cursor);
    cursor.finish();
    const entry: EntryOf<'pace'> = { kind: 'pace', unit: unit!, value };
    if (ground !== undefined) entry.ground = ground;
    if (spreadPercent !== undefined) entry.spreadPercent = spreadPercent;
    return { entry: { ...entry, ...withNote(note) }, columns: { whole } };
  },
};
