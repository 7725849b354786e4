import { withNote } from '../../entries/entry-kind';
import { finishWithNote } from '../../entries/trailing-note';
import type { DeclinationSetting } from '../../model/header';
import { writeAngle, type AngleReading } from '../../readings/angle';
import { readAngle, readArc } from '../../readings/texts/read-angle';
import type { Cursor } from '../../readings/cursor';
import { FIRST_YEAR, LAST_YEAR } from '../../readings/calendar';
import { readMonth } from '../../readings/texts/read-day';
import type { HeaderLine } from './header-line';

/**
 * `declination none | model | ANGLE | ANGLE in YYYY[-MM] change ANGLE a year`, or as a map's margin
 * prints it: `2 deg 18 min W, July 2009, 9 min E a year`. `of grid` after the angle says that it is
 * from grid north, as many margins print it.
 */
export const declinationLine: HeaderLine = {
  keyword: 'declination',
  once: 'declination',
  takesWholeLine: false,
  read(cursor, note) {
    const setting = readDeclination(cursor);
    return { declination: { ...setting, ...withNote(finishWithNote(cursor, note)) } };
  },
  write: ({ declination }) => ({
    text: writeDeclination(declination),
    note: declination.note,
  }),
};

/** What a margin says before its angle. */
const BEFORE_ANGLE = /magnetic\s+north(?:\s+is)?(?:\s+(?:about|estimated(?:\s+at)?|at))?\s+/iy;
const FROM_NORTH = /\s*,?\s*(?:of|from)\s+(grid|true)(?:\s+north)?(?![a-z])/iy;
const BEFORE_DATE =
  /\s*[,(]?\s*(?:(?:in|for|on)\s+)?(?=\d{4}(?!\d)|\d{1,2}\/\d{4}|[a-z]{3,9}\.?,?\s+\d{4})/iy;
const BEFORE_CHANGE =
  /\s*[,;.]?\s*(?:annual\s+)?(?:chang(?:e|es|ing)\s*:?\s*)?(?:by\s+)?(?=[\dew+−-])/iy;
/** A change that goes on as the angle goes, or against it. */
const GROWING =
  /\s*[,;.]?\s*(?:and\s+)?(increas|grow|decreas|diminish|shrink)(?:ing|es|s)\s+(?:by\s+)?/iy;
const A_YEAR =
  /\s*(?:(?:a|per|each|every)\s+(?:year|yr)|\/\s*(?:year|yr)|annually|yearly)(?![a-z])\.?/iy;
/** In so many years: what is for one is that part of it. */
const IN_YEARS = /\s*(?:in|per|every|each)\s+(\d{1,2})\s+(?:years|yrs)(?![a-z])\.?/iy;
/** `annual change` says that it is for a year. */
const IS_ANNUAL = /annual/i;

function readDeclination(cursor: Cursor): DeclinationSetting {
  if (cursor.take(/none(?![a-z])/iy)) return { source: 'none' };
  if (cursor.take(/model(?![a-z])/iy)) return { source: 'model' };
  cursor.take(BEFORE_ANGLE);
  const angle = readAngle(cursor, 'declination');
  const isOfGrid = /grid/i.test(cursor.take(FROM_NORTH)?.[1] ?? '');
  const of = isOfGrid ? { of: 'grid' as const } : {};
  if (!cursor.take(BEFORE_DATE)) {
    if (cursor.sees(/\s*,?\s*in\s/iy)) {
      cursor.take(/\s*,?\s*in\s+/iy);
      cursor.expected('margin-date');
    }
    return { source: 'typed', angle, ...of };
  }
  const date = readMapDate(cursor);
  cursor.take(/\s*\)/y);
  return { source: 'margin', angle, ...of, ...date, changePerYear: readChange(cursor, angle) };
}

/** What the angle changes by in a year, as a margin says it. */
function readChange(cursor: Cursor, angle: AngleReading): AngleReading {
  const grows = cursor.take(GROWING)?.[1];
  const words = grows === undefined ? cursor.take(BEFORE_CHANGE)?.[0] : '';
  if (words === undefined) {
    cursor.skipSpace();
    return cursor.expected('margin-change');
  }
  const change =
    grows === undefined ? readAngle(cursor, 'margin-change') : readGrowth(cursor, angle, grows);
  if (cursor.take(A_YEAR) || IS_ANNUAL.test(words)) return change;
  const years = Number(cursor.take(IN_YEARS)?.[1]);
  if (years > 0) return perYear(change, years);
  cursor.skipSpace();
  return cursor.expected('margin-change');
}

/** A change without a letter: toward the angle's own side where it grows, else away from it. */
function readGrowth(cursor: Cursor, { toward }: AngleReading, grows: string): AngleReading {
  const { degrees, minutes } = readArc(cursor, 'margin-change');
  const isMore = /increas|grow/i.test(grows);
  const other = toward === 'E' ? 'W' : 'E';
  const side = { degrees, toward: isMore ? toward : other } as const;
  return minutes === undefined ? side : { ...side, minutes };
}

/** A year's part of a change, in minutes of arc. */
function perYear({ degrees, minutes = 0, toward }: AngleReading, years: number): AngleReading {
  const whole = (60 * degrees + minutes) / years;
  return { degrees: Math.floor(whole / 60), minutes: whole % 60, toward };
}

/** The month or year of a map: `2009`, `2009-07`, `07/2009`, `July 2009`. */
function readMapDate(cursor: Cursor): { year: number; month?: number } {
  const dateAt = cursor.position;
  const slashed = cursor.take(/(\d{1,2})\/(\d{4})(?!\d)/y);
  const named = slashed ? undefined : readMonth(cursor);
  const dashed = slashed ?? cursor.take(/\s*,?\s*(\d{4})(?:-(\d{1,2}))?(?![-\d])/y);
  if (!dashed) return cursor.expected('margin-date', undefined, dateAt);
  const [yearText, monthText] = slashed ? [slashed[2], slashed[1]] : [dashed[1], dashed[2]];
  const year = cursor.inRange(Number(yearText), 'year', FIRST_YEAR, LAST_YEAR, dateAt);
  const month = named ?? (monthText === undefined ? undefined : Number(monthText));
  if (month === undefined) return { year };
  return { year, month: cursor.inRange(month, 'month', 1, 12, dateAt) };
}

/** A declination as what follows its keyword in a log. */
export function writeDeclination(setting: DeclinationSetting): string {
  if (setting.source === 'none' || setting.source === 'model') return setting.source;
  const angle = writeAngle(setting.angle) + (setting.of === 'grid' ? ' of grid' : '');
  if (setting.source === 'typed') return angle;
  const month = setting.month ? `-${String(setting.month).padStart(2, '0')}` : '';
  const change = writeAngle(setting.changePerYear);
  return `${angle} in ${setting.year}${month} change ${change} a year`;
}
