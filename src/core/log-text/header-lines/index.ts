import { convergenceLine } from './convergence';
import { dateLine } from './date';
import { declinationLine } from './declination';
import { errorsLine } from './errors';
import type { HeaderLine } from './header-line';
import { startLine } from './start';
import { readName } from '../../readings/texts/read-name';
import { METHODS } from '../../model/method';
import { readChoice } from '../../readings/choice';
import { withNote } from '../../entries/entry-kind';
import { CORRECTIONS } from '../../model/header';
import { routeId } from '../../entries/kinds/route';
import { compassNorth } from '../../north/outing-norths';
import { NORTHS } from '../../units/bearing';

/** `cairn-back log 1`: says what the text is; optional on reading, and then first. */
const formatLine: HeaderLine = {
  keyword: 'cairn-back',
  once: 'header',
  takesWholeLine: false,
  read(cursor) {
    if (!cursor.take(/log\s+1(?!\S)/iy)) cursor.expected('header');
    cursor.finish();
    return {};
  },
  write: () => ({ text: 'log 1' }),
};

/** `outing NAME`, to the end of the line. */
const outingLine: HeaderLine = {
  keyword: 'outing',
  once: 'outing',
  takesWholeLine: true,
  read(cursor) {
    if (cursor.atEnd) cursor.expected('outing-name');
    return { name: readName(cursor) };
  },
  write: ({ name }) => (name === '' ? null : { text: name }),
};

/** `by NAME`, to the end of the line: whose outing it is. */
const byLine: HeaderLine = {
  keyword: 'by',
  once: 'by',
  takesWholeLine: true,
  read(cursor) {
    if (cursor.atEnd) cursor.expected('person-name');
    return { by: readName(cursor) };
  },
  write: ({ by }) => (by === undefined ? null : { text: by }),
};

/** `adjust as-walked | compass-rule | least-squares`: how loops become places. */
const adjustLine: HeaderLine = {
  keyword: 'adjust',
  once: 'adjust',
  takesWholeLine: false,
  read: (cursor, note) => ({
    adjust: { method: readChoice(cursor, METHODS, 'method'), ...withNote(note) },
  }),
  write: ({ adjust }) => (adjust ? { text: adjust.method, note: adjust.note } : null),
};

/** `correction HOW`: the declination method. */
const correctionLine: HeaderLine = {
  keyword: 'correction',
  once: 'correction',
  takesWholeLine: false,
  read: (cursor, note) => ({
    correction: { how: readChoice(cursor, CORRECTIONS, 'correction'), ...withNote(note) },
  }),
  write: ({ correction }) => (correction ? { text: correction.how, note: correction.note } : null),
};

/** `follows ROUTE ; NAME`: the route that the outing follows, by its id. */
const followsLine: HeaderLine = {
  keyword: 'follows',
  once: 'follows',
  takesWholeLine: false,
  read(cursor, note) {
    const column = cursor.position;
    const route = cursor.rest();
    if (!routeId.safeParse(route).success) cursor.expected('route-id', undefined, column);
    return { follows: { route, ...(note !== undefined && { note }) } };
  },
  write: ({ follows }) => (follows ? { text: follows.route, note: follows.note } : null),
};

/** `show NORTH`: the north that the way home is given in; without it the compass's own. */
const showLine: HeaderLine = {
  keyword: 'show',
  once: 'show',
  takesWholeLine: false,
  read: (cursor, note) => ({
    show: { north: readChoice(cursor, NORTHS, 'north'), ...withNote(note) },
  }),
  write: ({ show: { north, note }, ...header }) =>
    north === compassNorth(header) && !note ? null : { text: north, note },
};

/** The lines of a log's header, in the order in which they are written. */
export const HEADER_LINES: readonly HeaderLine[] = [
  formatLine,
  outingLine,
  byLine,
  dateLine,
  startLine,
  followsLine,
  declinationLine,
  correctionLine,
  convergenceLine,
  showLine,
  adjustLine,
  errorsLine,
];

export const HEADER_LINE_BY_KEYWORD: ReadonlyMap<string, HeaderLine> = new Map(
  HEADER_LINES.map((line) => [line.keyword, line]),
);
