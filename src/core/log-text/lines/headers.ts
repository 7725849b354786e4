import {
  CORRECTIONS,
  isCalendarDay,
  isProjection,
  isStartName,
  type ConvergenceSetting,
  type DeclinationSetting,
  type Position,
} from '../../logbook';
import { NORTHS } from '../../north';
import { readAngle, readNumber, readTime } from '../amounts';
import type { Cursor } from '../cursor';
import { withNote, type LineKind } from '../line-kind';
import { readChoice } from './entries';
import { readStationName } from './leg';

export const outingLine: LineKind = {
  keyword: 'outing',
  takesWholeLine: true,
  parse(cursor) {
    if (cursor.atEnd) cursor.expected('outing-name');
    const column = cursor.position;
    const name = cursor.rest();
    if (name.length > 200) {
      cursor.refuse(
        { code: 'too-long', what: 'name', most: 200, found: name.slice(0, 20) },
        column,
      );
    }
    return { header: { name }, once: 'outing', columns: {} };
  },
};

export const dateLine: LineKind = {
  keyword: 'date',
  parse(cursor, note) {
    const column = cursor.position;
    const day = cursor.take(/\d{4}-\d{2}-\d{2}(?!\d)/y)?.[0];
    if (!day || !isCalendarDay(day)) {
      cursor.position = column;
      cursor.expected('date');
    }
    cursor.skipSpace();
    const time = cursor.atEnd ? {} : { time: readTime(cursor) };
    cursor.finish();
    return {
      header: { date: { day: day!, ...time, ...withNote(note) } },
      once: 'date',
      columns: {},
    };
  },
};

/** The last ` at ` before something that begins like a number: what follows must be a position. */
const POSITION = /(?:^|\s)at\s+(?=[-+.\d])/gi;

function readPosition(cursor: Cursor): Position {
  const latitudeAt = cursor.position;
  const latitude = readNumber(cursor, 'position', true);
  cursor.inRange(latitude, 'latitude', -90, 90, latitudeAt);
  cursor.take(/\s*,/y);
  cursor.skipSpace();
  const longitudeAt = cursor.position;
  const longitude = readNumber(cursor, 'position', true);
  cursor.inRange(longitude, 'longitude', -180, 180, longitudeAt);
  cursor.skipSpace();
  if (!cursor.atEnd) cursor.expected('position');
  // A typed -0 is 0: JSON could not tell them apart again.
  return { latitude: latitude + 0, longitude: longitude + 0 };
}

export const startLine: LineKind = {
  keyword: 'start',
  parse(cursor, note) {
    const column = cursor.position;
    const body = cursor.text.slice(column, cursor.end);
    const last = [...body.matchAll(POSITION)].at(-1);
    if (!last) {
      const name = readStationName(cursor);
      return { header: { start: { name, ...withNote(note) } }, once: 'start', columns: {} };
    }
    const name = body.slice(0, last.index).trim();
    if (name === '') cursor.expected('start-name');
    if (!isStartName(name) || name.length > 200) cursor.refuse({ code: 'bad-name', name }, column);
    cursor.position = column + last.index + last[0].length;
    const position = readPosition(cursor);
    return { header: { start: { name, position, ...withNote(note) } }, once: 'start', columns: {} };
  },
};

const KEYWORD_NONE = /none(?![a-z])/iy;
const KEYWORD_MODEL = /model(?![a-z])/iy;

function readDeclination(cursor: Cursor): DeclinationSetting {
  if (cursor.take(KEYWORD_NONE)) return { source: 'none' };
  if (cursor.take(KEYWORD_MODEL)) return { source: 'model' };
  const angle = readAngle(cursor, 'declination');
  cursor.skipSpace();
  if (cursor.atEnd) return { source: 'typed', angle };
  if (!cursor.take(/in\s+/iy)) cursor.expected('line-end');
  const dateAt = cursor.position;
  const date = cursor.take(/(\d{4})(?:-(\d{2}))?(?![-\d])/y);
  if (!date) cursor.expected('margin-date');
  const year = cursor.inRange(Number(date![1]), 'year', 1600, 2500, dateAt);
  const month = date![2] === undefined ? undefined : Number(date![2]);
  if (month !== undefined) cursor.inRange(month, 'month', 1, 12, dateAt);
  cursor.skipSpace();
  if (!cursor.take(/change\s+/iy)) cursor.expected('margin-change');
  const changePerYear = readAngle(cursor, 'margin-change');
  cursor.skipSpace();
  if (!cursor.take(/a\s+year(?![a-z])/iy)) cursor.expected('margin-change');
  const margin = { source: 'margin', angle, year, changePerYear } as const;
  return month === undefined ? margin : { ...margin, month };
}

export const declinationLine: LineKind = {
  keyword: 'declination',
  parse(cursor, note) {
    const declination = { ...readDeclination(cursor), ...withNote(note) };
    cursor.finish();
    return { header: { declination }, once: 'declination', columns: {} };
  },
};

function readConvergence(cursor: Cursor): ConvergenceSetting {
  if (cursor.take(KEYWORD_MODEL)) return { source: 'model' };
  if (!cursor.take(/proj(?=\s)/iy))
    return { source: 'typed', angle: readAngle(cursor, 'convergence') };
  cursor.skipSpace();
  const column = cursor.position;
  const definition = cursor.rest().replace(/\s+/g, ' ');
  if (isProjection(definition)) return { source: 'projection', definition };
  cursor.position = column;
  return cursor.expected('projection');
}

export const convergenceLine: LineKind = {
  keyword: 'convergence',
  parse(cursor, note) {
    const setting = readConvergence(cursor);
    cursor.finish();
    return {
      header: { convergence: { ...setting, ...withNote(note) } },
      once: 'convergence',
      columns: {},
    };
  },
};

export const correctionLine: LineKind = {
  keyword: 'correction',
  parse(cursor, note) {
    const how = readChoice(cursor, CORRECTIONS, 'correction');
    return {
      header: { correction: { how, ...withNote(note) } },
      once: 'correction',
      columns: {},
    };
  },
};

export const showLine: LineKind = {
  keyword: 'show',
  parse(cursor, note) {
    const north = readChoice(cursor, NORTHS, 'north');
    return { header: { show: { north, ...withNote(note) } }, once: 'show', columns: {} };
  },
};

export const headerLine: LineKind = {
  keyword: 'cairn-back',
  parse(cursor) {
    if (!cursor.take(/log\s+1(?!\S)/iy)) cursor.expected('header');
    cursor.finish();
    return { once: 'header', columns: {} };
  },
};
