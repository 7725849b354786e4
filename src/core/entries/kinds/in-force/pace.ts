import * as z from 'zod/mini';
import { groundName } from '../../../readings/ground';
import {
  LARGEST_READING,
  openObject,
  optionalNote,
  positiveAmount,
  roundedReading,
} from '../../../readings/shape';
import { METRES_PER_FOOT, plainDecimal } from '../../../units/units';
import { plural } from '../../describe';
import { entryKind, withNote } from '../../entry-kind';
import type { LineCursor } from '../../line-cursor';
import { ABOVE_ZERO } from '../../../units/ranges';

const PACE_UNITS = ['per-100-m', 'metres', 'feet'] as const;
type PaceUnit = (typeof PACE_UNITS)[number];

const MOST_WALKS = 1000;

const schema = openObject({
  kind: z.literal('pace'),
  unit: z.enum(PACE_UNITS),
  value: positiveAmount,
  /** The ground that it is for; without it, every ground that has no pace of its own. */
  ground: z.optional(groundName),
  /** One sigma of a distance paced with it, in per cent. */
  spreadPercent: z.optional(z.number().check(z.gt(0), z.lte(100))),
  /** The walks of the calibration that the spread is from. */
  walks: z.optional(z.int().check(z.gte(1), z.lte(MOST_WALKS))),
  note: optionalNote,
});
/** The schema of a line of this kind, for plans that have paces without a log. */
export const entrySchemaOfPace = schema;
export type PaceEntry = z.infer<typeof schema>;

const UNIT_TEXT: Readonly<Record<PaceUnit, string>> = {
  'per-100-m': 'per 100 m',
  metres: 'm',
  feet: 'ft',
};
const UNIT_WORDS: Readonly<Record<PaceUnit, string>> = {
  'per-100-m': 'paces per 100 m',
  metres: 'm a pace',
  feet: 'ft a pace',
};
/** What was counted over a course: paces, which one foot makes, or single steps. */
const COUNTED =
  /(?:((?:single\s+)?(?:foot)?steps?)|(?:double\s+)?(?:paces?|p)|(?:left|right)[\s-]+foot(?:\s+(?:steps?|strikes?))?)?\s*(?:per|\/|in|to)\s*(\d+(?:\.\d+)?)\s*(m|met(?:re|er)s?|ft|feet|foot|yds?|yards?)(?![a-z])\.?/iy;
const METRES = /(?:m|metres?|meters?)(?![a-z])/iy;
const CENTIMETRES = /(?:cm|centimetres?|centimeters?)(?![a-z])/iy;
const FEET = /(?:ft|feet|foot)(?![a-z])\.?|['’′](?!['’′])/iy;
const INCHES = /\s*(\d{1,2}(?:\.\d+)?)\s*(?:in(?:s|ch|ches)?(?![a-z])\.?|["”″]|['’′]{2})/iy;
/** `154 cm a pace`. */
const A_PACE = /\s*(?:a|per|\/)\s*pace(?![a-z])/iy;

/**
 * `pace [GROUND] N per 100 m | N m | N ft [spread P% [of N walks]]`: the length of one pace (two
 * steps), and how much a new walk differs from it.
 */
export const paceKind = entryKind(schema)({
  keyword: 'pace',
  takesWholeLine: false,
  read(cursor, note) {
    const whole = cursor.position;
    cursor.take(/on\s+/iy);
    const ground = /[a-z]/i.test(cursor.next) ? cursor.ground() : undefined;
    cursor.skipSpace();
    const column = cursor.position;
    const { unit, value } = readLengthOfPace(cursor, column);
    const spread = readSpread(cursor);
    const remark = cursor.finishWithNote(note);
    const entry: PaceEntry = { kind: 'pace', unit, value };
    if (ground !== undefined) entry.ground = ground;
    return { entry: { ...entry, ...spread, ...withNote(remark) }, columns: { whole } };
  },
  write({ ground, value, unit, spreadPercent, walks }) {
    const of = walks === undefined ? '' : ` of ${plural(walks, 'walk', 'walks')}`;
    const spread =
      spreadPercent === undefined ? '' : ` spread ${plainDecimal(spreadPercent)}%${of}`;
    return `pace ${ground ? `${ground} ` : ''}${plainDecimal(value)} ${UNIT_TEXT[unit]}${spread}`;
  },
  describe({ ground, value, unit, spreadPercent, walks }) {
    const by = walks === undefined ? '' : ` by ${plural(walks, 'walk', 'walks')}`;
    const spread = spreadPercent === undefined ? '' : `, ±${spreadPercent} %${by}`;
    return `Pace from here${ground ? ` on ${ground}` : ''}: ${value} ${UNIT_WORDS[unit]}${spread}`;
  },
  attachesTo: null,
  station: null,
  apply(entry, reckoning) {
    reckoning.setPace(entry);
    return null;
  },
});

/** `65 per 100 m`, `65/100m`, `1.54 m`, `154 cm`, `5 ft 2 in`; without a unit asked back. */
function readLengthOfPace(cursor: LineCursor, column: number): Pick<PaceEntry, 'unit' | 'value'> {
  const value = cursor.amount('pace');
  cursor.inRange(value, 'pace', ABOVE_ZERO, LARGEST_READING, column);
  const number = cursor.text.slice(column, cursor.position);
  cursor.skipSpace();
  const courseAt = cursor.position;
  const counted = cursor.take(COUNTED);
  if (counted) return perHundred(cursor, counted, value, courseAt);
  if (cursor.take(CENTIMETRES)) return lengthOfPace(cursor, 'metres', roundedReading(value / 100));
  if (cursor.take(METRES)) return lengthOfPace(cursor, 'metres', value);
  if (cursor.take(FEET)) {
    const inches = cursor.take(INCHES)?.[1];
    const feet = inches === undefined ? value : roundedReading(value + Number(inches) / 12);
    return lengthOfPace(cursor, 'feet', feet);
  }
  if (!cursor.atEnd) return cursor.expected('pace');
  const nearest = [`${number} per 100 m`, `${number} m`];
  const fault = { code: 'unexpected', found: '', expected: 'pace', nearest } as const;
  return cursor.refuse(fault, cursor.position, column);
}

/** Nobody's pace is shorter or longer than this: a figure is missing, or one too many. */
const [SHORTEST_PACE, LONGEST_PACE] = [0.8, 2.5];

/** A count over a course as paces per 100 m: `8 per 50 ft`, `110 steps per 100 m`. */
function perHundred(
  cursor: LineCursor,
  [, steps, length, unit = 'm']: RegExpExecArray,
  value: number,
  column: number,
): Pick<PaceEntry, 'unit' | 'value'> {
  const isMetric = /^m/i.test(unit);
  // In metres the course is a hundred: another one is a slip of the pen.
  if (isMetric && Number(length) !== 100) return cursor.expected('pace', undefined, column);
  const paces = steps === undefined ? value : value / 2;
  if (isMetric) return { unit: 'per-100-m', value: paces };
  const course = Number(length) * METRES_PER_FOOT * (/^y/i.test(unit) ? 3 : 1);
  const metres = course / paces;
  if (!(metres >= SHORTEST_PACE && metres <= LONGEST_PACE)) {
    return cursor.expected('pace', undefined, column);
  }
  return { unit: 'per-100-m', value: roundedReading(100 / metres) };
}

function lengthOfPace(cursor: LineCursor, unit: 'metres' | 'feet', value: number) {
  cursor.take(A_PACE);
  return { unit, value };
}

const OF_WALKS = /\s*,?\s*(?:of|from|by|in)\s+(?=\d)/iy;
const WALKS = /\s*walks?(?![a-z])/iy;

/** A spread in per cent after the length of a pace, and by how many walks it is known. */
function readSpread(cursor: LineCursor): Pick<PaceEntry, 'spreadPercent' | 'walks'> {
  if (!cursor.takeAfterSpace(/,?\s*(?:spread(?![a-z])|±|\+\/-)/iy)) return {};
  cursor.skipSpace();
  const column = cursor.position;
  const value = cursor.amount('spread');
  cursor.inRange(value, 'spread', ABOVE_ZERO, 100, column);
  cursor.skipSpace();
  if (!cursor.take(/%/y)) return cursor.expected('spread');
  if (!cursor.take(OF_WALKS)) return { spreadPercent: value };
  const walksAt = cursor.position;
  const walks = cursor.amount('walks');
  cursor.inRange(walks, 'walks', 1, MOST_WALKS, walksAt);
  if (!Number.isInteger(walks) || !cursor.take(WALKS)) {
    return cursor.expected('walks', undefined, walksAt);
  }
  return { spreadPercent: value, walks };
}
