import { withNote } from '../../entries/entry-kind';
import { knownKind } from '../../entries/kinds/known';
import type { LineCursor } from '../../entries/line-cursor';
import { MOST_POINTS, PAPER_UNITS, type PaperMeasure, type RoutePoint } from '../../model/route';
import { NO_NORTH, writeBearing } from '../../readings/bearing';
import { Cursor } from '../../readings/cursor';
import { writeStationName } from '../../readings/name';
import { readAmount } from '../../readings/number';
import { readBearing } from '../../readings/read-bearing';
import { readStationName } from '../../readings/texts/read-name';
import { ABOVE_ZERO } from '../../units/ranges';
import { plainDecimal } from '../../units/units';
import { PLAIN_CONTEXT } from '../read-line';
import type { RouteLine } from './route-line';

/** Where a measure on paper begins, after the name: `by 220G 45mm on 1:25000`. */
const BY = /\s+by\s+(?=[\dnesw])/i;
const UNIT = new RegExp(`\\s*(${PAPER_UNITS.join('|')})(?![a-z])\\.?`, 'iy');
const SCALE = /\s*(?:on|at)?\s*1\s*[:/]\s*/iy;
const MOST_ON_PAPER = 10_000;

function readPaper(cursor: Cursor): PaperMeasure {
  // What is measured on a map is from its grid, where no letter says otherwise.
  const bearing = readBearing(cursor, 'grid');
  cursor.skipSpace();
  const column = cursor.position;
  const length = readAmount(cursor, 'paper-length');
  const unit = cursor.take(UNIT)?.[1]?.toLowerCase();
  const known = PAPER_UNITS.find((each) => each === unit);
  if (!known) return cursor.expected('paper-length', undefined, column);
  cursor.inRange(length, 'paper-length', ABOVE_ZERO, MOST_ON_PAPER, column);
  if (!cursor.take(SCALE)) return cursor.expected('scale');
  const scaleAt = cursor.position;
  const digits = cursor.take(/\d{1,3}(?:[ ,]\d{3})+(?!\d)|\d+/y)?.[0];
  if (digits === undefined) return cursor.expected('scale');
  const scale = Number(digits.replace(/[ ,]/g, ''));
  cursor.inRange(scale, 'scale', 100, 10_000_000, scaleAt);
  return { bearing, length, unit: known, scale };
}

function readPoint(cursor: LineCursor, note: string | undefined): RoutePoint {
  const line = cursor.text.slice(cursor.position, cursor.end);
  const by = BY.exec(line);
  if (!by) {
    const { entry } = knownKind.read(cursor, note, PLAIN_CONTEXT);
    const { kind: _kind, ...point } = entry;
    return point;
  }
  const name = new Cursor(cursor.text, cursor.position + by.index);
  name.position = cursor.position;
  const called = readStationName(name);
  cursor.position += by.index + by[0].length;
  const paper = readPaper(cursor);
  cursor.finish();
  return { name: called, paper, ...withNote(note) };
}

const pointLine = (keyword: 'point' | 'attack'): RouteLine => ({
  keyword,
  once: null,
  takesWholeLine: false,
  read(cursor, { route }, note) {
    const column = cursor.position;
    const point = readPoint(cursor, note);
    if (point.paper && route.points.length === 0) cursor.expected('position', undefined, column);
    if (route.points.length >= MOST_POINTS) {
      cursor.refuse({ code: 'schema', message: `At most ${MOST_POINTS} points are read.` }, column);
    }
    route.points.push(keyword === 'attack' ? { ...point, isAttack: true } : point);
  },
});

/** `point NAME at PLACE [within 100m]`, `point NAME by BEARING LENGTH on 1:SCALE`; `attack …`. */
export const ROUTE_POINTS: readonly RouteLine[] = [pointLine('point'), pointLine('attack')];

/** The line of a point, without what is planned for its leg. */
export function writePoint(point: RoutePoint): string {
  const { name, position, withinMetres, paper, isAttack, note } = point;
  const keyword = isAttack ? 'attack' : 'point';
  const end = note === undefined ? '' : ` ; ${note}`;
  if (position) {
    const known = { kind: 'known' as const, name, position, withinMetres };
    return knownKind.write(known, 'true').replace(/^known/, keyword) + end;
  }
  if (!paper) throw new RangeError('a point has a position or a measure');
  const { bearing, length, unit, scale } = paper;
  const measure = `${writeBearing(bearing, NO_NORTH)} ${plainDecimal(length)}${unit}`;
  return `${keyword} ${writeStationName(name)} by ${measure} on 1:${plainDecimal(scale)}${end}`;
}
