import { SIDES, SLOPE_WORDS, type PlannedLeg } from '../../model/route';
import { NO_NORTH, writeBearing } from '../../readings/bearing';
import type { Cursor } from '../../readings/cursor';
import { readGround } from '../../readings/texts/read-ground';
import { readMetres } from '../../readings/number';
import { readBearing, takeCompassPoint } from '../../readings/read-bearing';
import { LARGEST_READING } from '../../readings/shape';
import { ABOVE_ZERO } from '../../units/ranges';
import { plainDecimal, type Metres } from '../../units/units';
import { readText } from './head-lines';
import type { RouteLine } from './route-line';

/** A kind of line about the leg to a point, and how it is written. */
interface LegLine extends RouteLine {
  write(leg: PlannedLeg): string[];
}

const MOST_CLIMB = 9000;
const SIDE = new RegExp(`\\s*(${SIDES.join('|')})(?![a-z])`, 'iy');
const SLOPE = new RegExp(`\\s*,?\\s*(${SLOPE_WORDS.join('|')})(?![a-z])`, 'iy');
const DOWN = /\s*(?:,|and)?\s*down\s+/iy;

/** A length that is more than nothing. */
function readLength(cursor: Cursor, most: number = LARGEST_READING): Metres {
  cursor.skipSpace();
  const column = cursor.position;
  return cursor.inRange(readMetres(cursor), 'metres', ABOVE_ZERO, most, column);
}

/** Metres of height, perhaps none. */
function readClimb(cursor: Cursor): Metres {
  const column = cursor.position;
  return cursor.inRange(readMetres(cursor), 'metres', 0, MOST_CLIMB, column);
}

/** Left or right, where it is written here. */
const takeSide = (cursor: Cursor) => {
  const found = cursor.take(SIDE)?.[1]?.toLowerCase();
  return SIDES.find((side) => side === found);
};

const line = (
  keyword: string,
  once: RouteLine['once'],
  takesWholeLine: boolean,
  read: (cursor: Cursor, leg: PlannedLeg) => void,
  write: (leg: PlannedLeg) => (string | undefined)[],
): LegLine => ({
  keyword,
  once,
  takesWholeLine,
  read(cursor, draft) {
    read(cursor, draft.leg(cursor));
    cursor.finish();
  },
  write: (leg) =>
    write(leg)
      .filter((text): text is string => text !== undefined)
      .map((text) => `${keyword} ${text}`),
});

const metresText = (metres: Metres) => `${plainDecimal(metres)}m`;

/** What a route's text says of the leg to a point, in the order in which it is written. */
export const LEG_LINES: readonly LegLine[] = [
  line(
    'ground',
    'point',
    false,
    (cursor, leg) => void (leg.ground = readGround(cursor)),
    ({ ground }) => [ground],
  ),
  line(
    'climb',
    'point',
    false,
    (cursor, leg) => {
      leg.upMetres = readClimb(cursor);
      if (!cursor.take(DOWN)) return;
      leg.downMetres = readClimb(cursor);
    },
    ({ upMetres, downMetres }) => {
      if (upMetres === undefined && downMetres === undefined) return [];
      const down = downMetres === undefined ? '' : ` down ${metresText(downMetres)}`;
      return [`${metresText(upMetres ?? 0)}${down}`];
    },
  ),
  line(
    'expect',
    'point',
    false,
    (cursor, leg) => {
      const point = takeCompassPoint(cursor) ?? cursor.expected('compass-point');
      const found = cursor.take(SLOPE)?.[1]?.toLowerCase();
      const slope = SLOPE_WORDS.find((each) => each === found);
      leg.expect = { point, ...(slope && { slope }) };
    },
    ({ expect }) => [expect && [expect.point, expect.slope].filter(Boolean).join(' ')],
  ),
  line(
    'handrail',
    'point',
    true,
    (cursor, leg) => void (leg.handrail = readText(cursor)),
    ({ handrail }) => [handrail],
  ),
  line(
    'catch',
    'point',
    true,
    (cursor, leg) => {
      const beyondMetres = readLength(cursor);
      cursor.take(/\s*beyond(?![a-z])/iy);
      leg.catching = { beyondMetres, what: readText(cursor) };
    },
    ({ catching }) => [catching && `${metresText(catching.beyondMetres)} ${catching.what}`],
  ),
  line(
    'aim',
    'point',
    true,
    (cursor, leg) => {
      const side = takeSide(cursor) ?? cursor.expected('aim-side');
      cursor.skipSpace();
      leg.aimOff = { side, line: readBearing(cursor, 'grid'), what: readText(cursor) };
    },
    ({ aimOff }) => [
      aimOff && `${aimOff.side} ${writeBearing(aimOff.line, NO_NORTH)} ${aimOff.what}`,
    ],
  ),
  line(
    'danger',
    null,
    true,
    (cursor, leg) => void (leg.dangers ??= []).push(readText(cursor)),
    ({ dangers = [] }) => dangers,
  ),
  line(
    'tick',
    null,
    true,
    (cursor, leg) => {
      const metres = readLength(cursor);
      const side = takeSide(cursor);
      (leg.ticks ??= []).push({ metres, ...(side && { side }), what: readText(cursor) });
    },
    ({ ticks = [] }) =>
      ticks.map(({ metres, side, what }) =>
        [metresText(metres), side, what].filter(Boolean).join(' '),
      ),
  ),
];

/** The lines about the leg to a point. */
export const writeLeg = (leg: PlannedLeg | undefined): string[] =>
  leg ? LEG_LINES.flatMap((line) => line.write(leg)) : [];
