import { entrySchemaOfPace, paceKind } from '../../entries/kinds/in-force/pace';
import { withNote } from '../../entries/entry-kind';
import { TIMINGS, type Route } from '../../model/route';
import type { Cursor } from '../../readings/cursor';
import { LONGEST_NAME } from '../../readings/name';
import { readMetres } from '../../readings/number';
import { readSpeedFigure } from '../../readings/read-distance';
import { LONGEST_NOTE } from '../../readings/shape';
import { readTime } from '../../readings/texts/read-time';
import { ABOVE_ZERO } from '../../units/ranges';
import { plainDecimal } from '../../units/units';
import { PLAIN_CONTEXT } from '../read-line';
import { HEADER_LINE_BY_KEYWORD } from '../header-lines';
import type { RouteLine } from './route-line';

/** Lines that a route's text shares with a log's. */
const SHARED = ['date', 'declination', 'correction', 'convergence', 'show', 'errors'] as const;

const shared = SHARED.map((keyword): RouteLine => {
  const line = HEADER_LINE_BY_KEYWORD.get(keyword);
  if (!line) throw new Error(`no line of a header is called ${keyword}`);
  return {
    keyword,
    once: 'route',
    takesWholeLine: line.takesWholeLine,
    read: (cursor, { route }, note) => void Object.assign(route, line.read(cursor, note)),
  };
});

/** The rest of the line as text of its own; at most as long as a note. */
export function readText(cursor: Cursor): string {
  cursor.skipSpace();
  const column = cursor.position;
  if (cursor.atEnd) return cursor.expected('note');
  const text = cursor.rest();
  if (text.length <= LONGEST_NOTE) return text;
  const found = text.slice(0, 20);
  return cursor.refuse({ code: 'too-long', what: 'note', most: LONGEST_NOTE, found }, column);
}

/** A line that is a keyword and free text. */
const textLine = (keyword: string, set: (route: Route, text: string) => void): RouteLine => ({
  keyword,
  once: 'route',
  takesWholeLine: true,
  read: (cursor, { route }) => set(route, readText(cursor)),
});

/** A line that is a keyword and one reading. */
const line = (keyword: string, read: (cursor: Cursor, route: Route) => void): RouteLine => ({
  keyword,
  once: 'route',
  takesWholeLine: false,
  read(cursor, { route }) {
    read(cursor, route);
    cursor.finish();
  },
});

const WHICH_TIMING = new RegExp(`(${TIMINGS.join('|')})(?![a-z-])`, 'iy');
const FASTEST = 20;

/** The lines at the head of a route's text. */
export const ROUTE_HEAD: readonly RouteLine[] = [
  line('cairn-back', (cursor) => {
    if (!cursor.take(/route\s+1(?!\d)/iy)) cursor.expected('route-header');
  }),
  {
    ...textLine('route', (route, text) => void (route.name = text)),
    read(cursor, { route }) {
      const column = cursor.position;
      const name = readText(cursor);
      if (name.length > LONGEST_NAME) {
        const found = name.slice(0, 20);
        cursor.refuse({ code: 'too-long', what: 'name', most: LONGEST_NAME, found }, column);
      }
      route.name = name;
    },
  },
  ...shared,
  {
    keyword: 'pace',
    once: null,
    takesWholeLine: false,
    read(cursor, { route }, note) {
      const { entry } = paceKind.read(cursor, note, PLAIN_CONTEXT);
      route.paces.push(entrySchemaOfPace.parse({ ...entry, ...withNote(entry.note) }));
    },
  },
  line('speed', (cursor, route) => {
    const column = cursor.position;
    const speed = readSpeedFigure(cursor);
    route.kilometresPerHour = cursor.inRange(speed, 'speed', ABOVE_ZERO, FASTEST, column);
  }),
  line('timing', (cursor, route) => {
    const found = cursor.take(WHICH_TIMING)?.[1]?.toLowerCase();
    route.timing = TIMINGS.find((each) => each === found) ?? cursor.expected('timing');
  }),
  line('sight', (cursor, route) => {
    const column = cursor.position;
    const metres = readMetres(cursor);
    route.sightMetres = cursor.inRange(metres, 'metres', ABOVE_ZERO, 100_000, column);
  }),
  textLine('party', (route, text) => void (route.party = text)),
  textLine('tell', (route, text) => void (route.tell = text)),
  line('turn-back', (cursor, route) => void (route.turnBackBy = readTime(cursor))),
  line('back', (cursor, route) => void (route.backBy = readTime(cursor))),
  textLine('remark', (route, text) => void (route.note = text)),
];

/** Without a line that says otherwise, a route's grid is UTM's. */
export const convergenceOf = ({ convergence }: Pick<Route, 'convergence'>) =>
  convergence ?? { source: 'model' as const };

/** The lines of a header that a log writes too, in their order, with their notes. */
const sharedText = (route: Route): string[] =>
  SHARED.flatMap((keyword) => {
    // The lines of a log's header read no more of an outing than its header.
    const own = { ...route, start: { name: '' }, entries: [] };
    const outing = keyword === 'show' ? { ...own, convergence: convergenceOf(route) } : own;
    const written = HEADER_LINE_BY_KEYWORD.get(keyword)?.write(outing);
    if (!written) return [];
    return [`${keyword} ${written.text}${written.note ? ` ; ${written.note}` : ''}`];
  });

/** The head of a route's text, line by line. */
export function writeHead(route: Route): string[] {
  const given = (keyword: string, text: string | undefined) =>
    text === undefined || text === '' ? [] : [`${keyword} ${text}`];
  const { kilometresPerHour: speed, sightMetres: sight } = route;
  return [
    'cairn-back route 1',
    ...given('route', route.name),
    ...sharedText(route),
    ...route.paces.map(
      (pace) => `${paceKind.write(pace, 'magnetic')}${pace.note ? ` ; ${pace.note}` : ''}`,
    ),
    ...given('speed', speed === undefined ? undefined : `${plainDecimal(speed)} kmh`),
    ...given('timing', route.timing),
    ...given('sight', sight === undefined ? undefined : `${plainDecimal(sight)}m`),
    ...given('party', route.party),
    ...given('tell', route.tell),
    ...given('turn-back', route.turnBackBy),
    ...given('back', route.backBy),
    ...given('remark', route.note),
  ];
}
