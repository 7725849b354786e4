import * as z from 'zod/mini';
import { isOneLine } from './shape';

export const LONGEST_NAME = 200;

/** True for a valid station name: one line, no spaces at its ends, no semicolon. */
export const isStationName = (name: string) =>
  name.length > 0 && name.length <= LONGEST_NAME && isOneLine(name) && !name.includes(';');

/** In a log the start's name ends at ` at ` and a number, so a name can't hold these. */
export const isStartName = (name: string) =>
  isStationName(name) && !/(^|\s)at\s+[-+.\d]/i.test(name);

export const stationName = z
  .string()
  .check(
    z.refine(isStationName, 'a station name: one line of 1 to 200 characters without a semicolon'),
  );
export const startName = z
  .string()
  .check(
    z.refine(isStartName, 'a station name without a semicolon, and without "at" before a number'),
  );

/** Only here can a name end: asked first, since most characters are none of these. */
const MAY_END = String.raw`(?:(?=[\s@,([→>=-])|^(?=[bud]))`;

/**
 * Where an unquoted name ends: before a time, a back bearing, a slope, a note, or another arrow.
 * That is then read as what it is, or refused: nothing is swallowed into a name.
 */
export const NAME_ENDS = new RegExp(
  `${MAY_END}(?:${[
    String.raw`\s*@\s*\d`,
    String.raw`\s+at\s+\d{1,2}[:.h]\d{2}`,
    String.raw`\s+\d{1,2}:\d{2}(?!\d)`,
    String.raw`(?:^|\s+)(?:back|bb)(?:[\s-]?(?:bearing|brg))?\s*[:=]?\s*` +
      String.raw`(?:\d|[nesw]{1,3}(?:\s|\d|$|,)|north|south|east|west)`,
    String.raw`(?:^|\s+)(?:up|down)\s+\d`,
    String.raw`\s*,`,
    String.raw`\s+[-–—]\s`,
    String.raw`\s*[([]`,
    String.raw`\s*(?:->|=>|→|>)`,
  ].join('|')})`,
  'i',
);

export const quotedName = (name: string): string => `"${name.replaceAll('"', '""')}"`;

/** A name as written in a log: in quotes where it could be taken for something else without. */
export const writeStationName = (name: string): string =>
  /^[\p{L}\p{N}]/u.test(name) && !NAME_ENDS.test(name) ? name : quotedName(name);

/** What names are compared by: their letter case and runs of spaces don't matter. */
export const nameKey = (name: string): string => name.toLowerCase().replace(/\s+/g, ' ');
