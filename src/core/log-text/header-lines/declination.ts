import { withNote } from '../../entries/entry-kind';
import { finishWithNote } from '../../entries/trailing-note';
import type { DeclinationSetting } from '../../model/header';
import { writeAngle } from '../../readings/angle';
import { readAngle } from '../../readings/texts/read-angle';
import type { Cursor } from '../../readings/cursor';
import { FIRST_YEAR, LAST_YEAR } from '../../readings/calendar';
import { readMonth } from '../../readings/texts/read-day';
import type { HeaderLine } from './header-line';

/**
 * `declination none | model | ANGLE | ANGLE in YYYY[-MM] change ANGLE a year`, or as a map's margin
 * prints it: `2 deg 18 min W, July 2009, 9 min E a year`.
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

const BEFORE_DATE = /\s*[,(]?\s*(?:in\s+)?(?=\d{4}(?!\d)|\d{1,2}\/\d{4}|[a-z]{3,9}\.?,?\s+\d{4})/iy;
const BEFORE_CHANGE =
  /\s*,?\s*(?:annual\s+)?(?:chang(?:e|es|ing)\s*:?\s*)?(?:by\s+)?(?=[\dew+−-])/iy;
const A_YEAR =
  /\s*(?:(?:a|per|each|every)\s+(?:year|yr)|\/\s*(?:year|yr)|annually|yearly)(?![a-z])\.?/iy;
/** `annual change` says that it is for a year. */
const IS_ANNUAL = /annual/i;

function readDeclination(cursor: Cursor): DeclinationSetting {
  if (cursor.take(/none(?![a-z])/iy)) return { source: 'none' };
  if (cursor.take(/model(?![a-z])/iy)) return { source: 'model' };
  const angle = readAngle(cursor, 'declination');
  if (!cursor.take(BEFORE_DATE)) {
    if (cursor.sees(/\s*,?\s*in\s/iy)) {
      cursor.take(/\s*,?\s*in\s+/iy);
      cursor.expected('margin-date');
    }
    return { source: 'typed', angle };
  }
  const date = readMapDate(cursor);
  cursor.take(/\s*\)/y);
  const words = cursor.take(BEFORE_CHANGE)?.[0];
  if (words === undefined) {
    cursor.skipSpace();
    return cursor.expected('margin-change');
  }
  const changePerYear = readAngle(cursor, 'margin-change');
  if (!cursor.take(A_YEAR) && !IS_ANNUAL.test(words)) {
    cursor.skipSpace();
    return cursor.expected('margin-change');
  }
  return { source: 'margin', angle, ...date, changePerYear };
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
  if (setting.source === 'typed') return writeAngle(setting.angle);
  if (setting.source !== 'margin') return setting.source;
  const month = setting.month ? `-${String(setting.month).padStart(2, '0')}` : '';
  const change = writeAngle(setting.changePerYear);
  return `${writeAngle(setting.angle)} in ${setting.year}${month} change ${change} a year`;
}
