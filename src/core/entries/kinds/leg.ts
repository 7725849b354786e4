import * as z from 'zod/mini';
import { bearingReading, writeBearing } from '../../readings/bearing';
import {
  countReading,
  distanceReading,
  isCount,
  writeDistance,
  type CountReading,
  type DistanceReading,
} from '../../readings/distance';
import { groundName, writeGround } from '../../readings/ground';
import { stationName, writeStationName } from '../../readings/name';
import { UNIT_NAMES } from '../../readings/unit-words';
import { openObject, optionalNote } from '../../readings/shape';
import { slopeFields, writeSlope } from '../../readings/slope';
import { clockTime } from '../../readings/time';
import type { North } from '../../units/bearing';
import { describeLeg } from '../describe';
import { entryKind, withNote, type Columns } from '../entry-kind';
import { joinedNotes } from '../joined-notes';
import type { LineCursor } from '../line-cursor';

const schema = openObject({
  kind: z.literal('leg'),
  bearing: bearingReading,
  distance: distanceReading,
  /** What was counted where the distance is a length: it checks the pace. */
  counted: z.optional(countReading),
  back: z.optional(bearingReading),
  ...slopeFields,
  ground: z.optional(groundName),
  time: z.optional(clockTime),
  /** The name of the station where it ends; a name that exists already is a return to it. */
  to: z.optional(stationName),
  note: optionalNote,
});
type Leg = z.infer<typeof schema>;

/** Between a bearing and its distance. */
const SEPARATOR = /\s*(?:[,:/–—-]|for(?![a-z]))?\s*/iy;

/**
 * `BEARING DISTANCE [GROUND | on GROUND] [back BEARING] [up SLOPE | down SLOPE] [@HH:MM]
 * [> STATION]`, the parts in any order, and the other ways in which people write them.
 */
export const legKind = entryKind(schema)({
  keyword: null,
  takesWholeLine: false,
  read(cursor, note, { north }) {
    const columns: Columns = { whole: cursor.position, bearing: cursor.position };
    const leg: Leg = { kind: 'leg', ...readStretch(cursor, columns, north) };
    for (cursor.skipSpace(); !cursor.atEnd; cursor.skipSpace()) {
      readPart(cursor, leg, columns, north);
    }
    return { entry: { ...leg, ...withNote(joinedNotes(leg.note, note)) }, columns };
  },
  write(leg, north) {
    return [
      writeBearing(leg.bearing, north),
      leg.counted && writeDistance(leg.counted),
      writeDistance(leg.distance),
      leg.ground && writeGround(leg.ground),
      leg.back && `back ${writeBearing(leg.back, north)}`,
      writeSlope(leg),
      leg.time && `@${leg.time}`,
      leg.to && `> ${writeStationName(leg.to)}`,
    ]
      .filter(Boolean)
      .join(' ');
  },
  describe: (leg, units) => describeLeg(leg, null, units),
  attachesTo: null,
  station: {
    get: (leg) => leg.to,
    set: (leg, name) => ({ ...leg, to: name }),
  },
  apply: (leg, reckoning) => reckoning.addLeg(leg),
});

/** `65 paces at 220`: a count with its unit in words comes first. A time is no bearing. */
const COUNT_FIRST =
  /\d[\d.,]*\s*(p|[a-z]{2,})\.?\s+(?:at|on)\s+(?!\d{1,2}[:.h]\d{2})(?=[\dnsew])/iy;

/** The bearing and the distance, in whichever order they are written. */
function readStretch(cursor: LineCursor, columns: Columns, north: North) {
  const start = cursor.position;
  const unit = cursor.take(COUNT_FIRST)?.[1]?.toLowerCase();
  cursor.position = start;
  if (unit === undefined || !UNIT_NAMES.has(unit)) {
    const bearing = cursor.bearing(north);
    cursor.take(SEPARATOR);
    columns.distance = cursor.position;
    return { bearing, ...readBoth(cursor) };
  }
  columns.distance = cursor.position;
  const distance = cursor.distance();
  cursor.take(/\s*(?:at|on)\s+/iy);
  columns.bearing = cursor.position;
  return { bearing: cursor.bearing(north), distance };
}

const LENGTH_NAMES = [...UNIT_NAMES].filter((name) => /^[a-z]/.test(name)).join('|');
/** Between a count and the length of the same stretch: `65p 100m`, `65p = 100m`, `65p (100m)`. */
const SECOND = new RegExp(
  String.raw`\s*(?:=|is(?![a-z])|,|/|\()?\s*(?=~?\d[\d.,]*\s?(?:${LENGTH_NAMES})(?![a-z]))`,
  'iy',
);

/** A distance; and where both were written, the length counts and the count is beside it. */
function readBoth(cursor: LineCursor): { distance: DistanceReading; counted?: CountReading } {
  const first = cursor.distance();
  const start = cursor.position;
  const between = cursor.take(SECOND);
  if (!between) return { distance: first };
  const second = cursor.distance();
  if (between[0].includes('(')) cursor.take(/\s*\)/y);
  const [counted, distance] = isCount(first) ? [first, second] : [second, first];
  if (isCount(counted) && !isCount(distance) && distance.unit !== 'minutes') {
    return { distance, counted };
  }
  cursor.position = start;
  return { distance: first };
}

const ARROW = /(?:->|=>|→|>)|to(?![a-z])(?=\s+\S)/iy;
const TIME = /@\s*|(?:at\s+)?(?=\d{1,2}:\d{2}(?!\d))|at\s+(?=\d{1,2}[.h]\d{2})/iy;
const BACK = /(?:back|bb)(?![a-z])(?:[\s-]?(?:bearing|brg|azimuth)(?![a-z]))?\.?\s*[:=]?/iy;
const PART = /(up|down|on)(?![a-z])/iy;
/** `rough ground` is the ground rough. */
const GROUND_NOUN = /\s+(?:ground|terrain)(?![a-z])/iy;

/** The parts of a leg by what they begin with: where each is kept, and how it is read. */
function readPart(cursor: LineCursor, leg: Leg, columns: Columns, north: North): void {
  const column = cursor.position;
  if (cursor.take(ARROW)) {
    refuseTwice(cursor, '>', leg.to, column);
    cursor.skipSpace();
    columns.to = cursor.position;
    leg.to = cursor.stationName();
    return;
  }
  if (cursor.take(TIME)) {
    refuseTwice(cursor, '@', leg.time, column);
    leg.time = cursor.time();
    return;
  }
  if (cursor.take(BACK)) {
    refuseTwice(cursor, 'back', leg.back, column);
    cursor.skipSpace();
    columns.back = cursor.position;
    leg.back = cursor.bearing(north, 'back-bearing');
    return;
  }
  const usual = cursor.usualGround();
  const word = usual ?? cursor.take(PART)?.[1]?.toLowerCase();
  switch (word) {
    case undefined:
      return readRemark(cursor, leg, column);
    case 'up':
    case 'down':
      refuseTwice(cursor, word, leg.slopeDegrees ?? leg.slopeRatio, column);
      Object.assign(leg, cursor.slope(word));
      return;
    default:
      refuseTwice(cursor, word, leg.ground, column);
      leg.ground = usual ?? cursor.ground();
      cursor.take(GROUND_NOUN);
  }
}

/** What is no part of a leg is its note, if it can be nothing else; or it is refused. */
function readRemark(cursor: LineCursor, leg: Leg, column: number): void {
  const afterComma = cursor.take(/,\s*/y) !== null;
  const note = cursor.markedNote() ?? (afterComma ? cursor.noteToEnd() : cursor.trailingNote());
  // After a comma another part may follow; a comma that ends the line ends nothing else.
  if (note === null && afterComma && !cursor.atEnd) return refuseUnlessPart(cursor);
  if (note === null) return cursor.expected('leg-part', undefined, column);
  leg.note = joinedNotes(leg.note, note);
}

const PART_BEGINS =
  /->|=>|[→>@]|to\s|(?:at\s+)?\d{1,2}[:.h]\d{2}|back|bb(?![a-z])|up(?![a-z])|down|on\s/iy;

/** After a comma only a part may stand that begins as one. */
function refuseUnlessPart(cursor: LineCursor): void {
  const start = cursor.position;
  const isPart = cursor.sees(PART_BEGINS) || cursor.usualGround() !== undefined;
  cursor.position = start;
  if (!isPart) cursor.expected('leg-part', undefined, start);
}

function refuseTwice(cursor: LineCursor, part: string, there: unknown, column: number): void {
  if (there !== undefined) cursor.refuse({ code: 'part-twice', part, found: part }, column);
}
