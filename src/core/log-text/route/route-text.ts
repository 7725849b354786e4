import { readGridText } from '../../place/grid-text';
import { IN_ENGLISH } from '../../readings/in-english';
import { LineCursor } from '../../entries/line-cursor';
import type { Fault } from '../../faults/fault';
import { nearestName } from '../../faults/nearest-name';
import { blankRoute, routeSchema, type PlannedLeg, type Route } from '../../model/route';
import { compassNorth } from '../../north/outing-norths';
import { Refusal, type Cursor } from '../../readings/cursor';
import { fail, ok, type Result } from '../../units/result';
import type { LogFault } from '../read-log';
import { convergenceOf, ROUTE_HEAD, writeHead } from './head-lines';
import { LEG_LINES, writeLeg } from './leg-lines';
import { ROUTE_POINTS, writePoint } from './point-lines';
import type { RouteDraft, RouteLine } from './route-line';

const LINES: ReadonlyMap<string, RouteLine> = new Map(
  [...ROUTE_HEAD, ...ROUTE_POINTS, ...LEG_LINES].map((line) => [line.keyword, line]),
);

/** A larger text is refused, in characters. */
const LARGEST_ROUTE = 500_000;
const MOST_FAULTS = 20;
const KEYWORD = /^\s*([a-z][a-z-]*)(?=[\s:]|$)/i;

/** Reads the lines of a route one after another into it. */
class RouteReader {
  readonly faults: LogFault[] = [];
  /** Keywords that were there, each with its line: in the head, and for the newest point. */
  private readonly seen = new Map<string, number>();
  private readonly ofPoint = new Map<string, number>();
  private readonly draft: RouteDraft;

  constructor(readonly route: Route) {
    const point: RouteDraft['point'] = (cursor) =>
      route.points.at(-1) ?? cursor.expected('point', undefined, 0);
    this.draft = { route, point, leg: (cursor) => (point(cursor).leg ??= {}) };
  }

  take(text: string, number: number): void {
    try {
      this.read(text, number);
    } catch (thrown) {
      if (!(thrown instanceof Refusal)) throw thrown;
      this.faults.push({ fault: thrown.fault, line: number, column: thrown.column + 1 });
    }
  }

  says = (keyword: string) => this.seen.has(keyword);

  private read(text: string, number: number): void {
    const keyword = KEYWORD.exec(text)?.[1]?.toLowerCase() ?? '';
    const line = LINES.get(keyword);
    const semicolon = line?.takesWholeLine ? -1 : text.indexOf(';');
    const end = semicolon < 0 ? text.trimEnd().length : semicolon;
    const cursor = new LineCursor(text, end, readGridText);
    cursor.skipSpace();
    if (!line) {
      const nearest = nearestName(keyword, [...LINES.keys()]);
      return cursor.expected('route-line', nearest === undefined ? undefined : [nearest]);
    }
    this.once(line, number, cursor);
    cursor.position += keyword.length;
    cursor.take(/\s*:/y);
    cursor.skipSpace();
    const note = semicolon < 0 ? undefined : text.slice(semicolon + 1).trim() || undefined;
    line.read(cursor, this.draft, note);
  }

  private once({ keyword, once }: RouteLine, number: number, cursor: Cursor): void {
    if (keyword === 'point' || keyword === 'attack') this.ofPoint.clear();
    if (once === null) return;
    const seen = once === 'route' ? this.seen : this.ofPoint;
    const firstLine = seen.get(keyword);
    if (firstLine !== undefined) {
      cursor.refuse({ code: 'line-twice', keyword, firstLine });
    }
    seen.set(keyword, number);
  }
}

const wholeFault = (fault: Fault, line = 1): Result<never, LogFault[]> =>
  fail([{ fault, line, column: 1 }]);

/** True for a text that says that it is a route. */
export const isRouteText = (text: string): boolean =>
  /^\uFEFF?\s*(?:#.*\n\s*)*cairn-back\s+route(?![a-z])/i.test(text);

/**
 * Reads the text of a route. Blank lines and lines that begin with # are skipped. Fails with the
 * faults of all lines, the first twenty; nothing is guessed.
 */
export function readRouteText(text: string, id: string): Result<Route, LogFault[]> {
  if (text.length > LARGEST_ROUTE) {
    return wholeFault({ code: 'too-large', most: LARGEST_ROUTE, unit: 'bytes' });
  }
  const reader = new RouteReader(blankRoute(id, ''));
  for (const [index, line] of text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\n|\r/)
    .entries()) {
    if (reader.faults.length >= MOST_FAULTS) break;
    if (line.trim() === '' || line.trimStart().startsWith('#')) continue;
    reader.take(line, index + 1);
  }
  if (reader.faults.length > 0) return fail(reader.faults);
  if (!reader.says('show')) {
    const { route } = reader;
    route.show = { north: compassNorth({ ...route, convergence: convergenceOf(route) }) };
  }
  const whole = routeSchema.safeParse(reader.route, IN_ENGLISH);
  if (whole.success) return ok(whole.data);
  const [issue] = whole.error.issues;
  return wholeFault({ code: 'schema', message: issue?.message ?? 'This is no route.' });
}

/** Lines about one leg, as they stand below a point in the text of a route. */
export function readLegText(text: string): Result<PlannedLeg, LogFault[]> {
  const route = blankRoute('leg', '');
  route.points.push({ name: 'Here', position: { latitude: 0, longitude: 0 } });
  const reader = new RouteReader(route);
  for (const [index, line] of text.split('\n').entries()) {
    if (line.trim() !== '') reader.take(line, index + 1);
  }
  const [point] = route.points;
  return reader.faults.length > 0 ? fail(reader.faults) : ok(point?.leg ?? {});
}

/** A route as its canonical text: reading and writing it again gives the same text. */
export const writeRouteText = (route: Route): string =>
  `${[
    ...writeHead(route),
    ...route.points.flatMap((point) => [
      writePoint(point),
      ...writeLeg(point.leg).map((line) => `  ${line}`),
    ]),
  ].join('\n')}\n`;
