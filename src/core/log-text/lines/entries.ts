import { WINDS } from '../../angle';
import { LARGEST_READING, THINGS, type Aim, type EntryOf, type Thing } from '../../logbook';
import { NORTHS, type North } from '../../north';
import { readDistance, readMetres, readNumber, readTime } from '../amounts';
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

const THING = new RegExp(`(${THINGS.join('|')})(?![a-z])`, 'iy');

/** What something seen is, where a word for it stands. */
function readThing(cursor: Cursor): { thing?: Thing } {
  cursor.skipSpace();
  const found = cursor.take(THING)?.[1];
  return found === undefined ? {} : { thing: found.toLowerCase() as Thing };
}

const SIDE = /(left|right)(?![a-z])/iy;
type Side = 'left' | 'right';

function readSide(cursor: Cursor): Side {
  cursor.skipSpace();
  const side = cursor.take(SIDE);
  if (!side) return cursor.expected('side');
  return side[1]!.toLowerCase() as Side;
}

export const atLine: LineKind = {
  keyword: 'at',
  parse(cursor, note) {
    const column = cursor.position;
    const at: Omit<EntryOf<'at'>, 'what'> = { kind: 'at', metres: readMetres(cursor) };
    Object.assign(at, readThing(cursor));
    cursor.skipSpace();
    if (!cursor.atEnd && at.thing === undefined) {
      at.side = readSide(cursor);
      cursor.skipSpace();
      at.sideMetres = readMetres(cursor);
      Object.assign(at, readThing(cursor));
    }
    return { entry: { ...at, what: requiredNote(cursor, note) }, columns: { whole: column } };
  },
};

export const seeLine: LineKind = {
  keyword: 'see',
  parse(cursor, note, read) {
    const column = cursor.position;
    const bearing = readBearing(cursor, read);
    const what = readThing(cursor);
    return {
      entry: { kind: 'see', bearing, ...what, what: requiredNote(cursor, note) },
      columns: { bearing: column, whole: column },
    };
  },
};

export const landmarkLine: LineKind = {
  keyword: 'landmark',
  parse(cursor, note) {
    const what = readThing(cursor);
    return { entry: { kind: 'landmark', ...what, what: requiredNote(cursor, note) }, columns: {} };
  },
};

export const boxLine: LineKind = {
  keyword: 'box',
  parse(cursor, note) {
    const column = cursor.position;
    const side = readSide(cursor);
    cursor.skipSpace();
    const distance = cursor.position;
    const out = readDistance(cursor);
    cursor.skipSpace();
    if (!cursor.take(/along(?![a-z])/iy)) cursor.expected('box');
    cursor.skipSpace();
    const along = readDistance(cursor);
    cursor.finish();
    return {
      entry: { kind: 'box', side, out, along, ...withNote(note) },
      columns: { whole: column, distance },
    };
  },
};

export const passedLine: LineKind = {
  keyword: 'passed',
  parse(cursor, note) {
    const side = readSide(cursor);
    return { entry: { kind: 'passed', side, what: requiredNote(cursor, note) }, columns: {} };
  },
};

export const outLine: LineKind = {
  keyword: 'out',
  parse(cursor, note, read) {
    const column = cursor.position;
    const bearing = readBearing(cursor, read);
    cursor.skipSpace();
    const time = cursor.take(/@/y) ? { time: readTime(cursor) } : {};
    cursor.finish();
    return {
      entry: { kind: 'out', bearing, ...time, ...withNote(note) },
      columns: { bearing: column, whole: column },
    };
  },
};

export const expectLine: LineKind = {
  keyword: 'expect',
  parse(cursor, note) {
    const column = cursor.position;
    const letters = cursor.take(/[nesw]{1,3}(?![a-z])/iy)?.[0].toUpperCase();
    const wind = WINDS.find((each) => each === letters);
    if (!wind) {
      cursor.position = column;
      cursor.expected('wind');
    }
    cursor.finish();
    return { entry: { kind: 'expect', wind: wind!, ...withNote(note) }, columns: {} };
  },
};

export const rightLine: LineKind = {
  keyword: 'right',
  parse(cursor, note) {
    const code = cursor.take(/[a-z][a-z-]{1,60}(?![a-z-])/y)?.[0];
    if (code === undefined) cursor.expected('code');
    cursor.finish();
    return { entry: { kind: 'right', code: code!, ...withNote(note) }, columns: {} };
  },
};

const STRUCK =
  /(\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(?:\.\d{1,9})?(?:Z|[+-]\d{2}:\d{2}))\s*\|([^|]*)\|\s*(\S.*)/y;

export const struckLine: LineKind = {
  keyword: 'struck',
  takesWholeLine: true,
  parse(cursor) {
    const column = cursor.position;
    const found = cursor.take(STRUCK);
    const was = found?.[3]!.trim();
    if (!found || Number.isNaN(Date.parse(found[1]!)) || was!.length > 5000) {
      cursor.position = column;
      cursor.expected('struck');
    }
    const reason = found![2]!.trim();
    return {
      entry: {
        kind: 'struck',
        at: found![1]!,
        ...(reason === '' ? {} : { reason: reason.slice(0, 2000) }),
        was: was!,
      },
      columns: {},
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
