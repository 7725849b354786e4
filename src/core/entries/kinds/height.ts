import * as z from 'zod/mini';
import { openObject, optionalNote } from '../../readings/shape';
import { METRES_PER_FOOT, plainDecimal } from '../../units/units';
import { entryKind } from '../entry-kind';
import { lengthText } from '../../units/figures';

const UNITS = ['metres', 'feet'] as const;
/** Ground that is walked on, with room for an altimeter that is off. In metres. */
const LOWEST = -1000;
const HIGHEST = 10_000;

const schema = openObject({
  kind: z.literal('height'),
  unit: z.enum(UNITS),
  value: z
    .number()
    .check(z.gte(LOWEST / METRES_PER_FOOT), z.lte(Math.ceil(HIGHEST / METRES_PER_FOOT))),
  /** The altimeter was set here, at a height that the map tells. */
  set: z.optional(z.literal(true)),
  note: optionalNote,
});

const SET = /(?:set(?:\s+(?:to|at))?|=)(?![a-z])\s*/iy;
const METRES = /\s*m(?:et(?:er|re)s?|s)?(?![a-z])\.?/iy;
const FEET = /\s*(?:ft|feet|foot)(?![a-z])\.?|\s*['’′]/iy;
const MINUS = /[-−]/y;

/**
 * `height HEIGHT` or `height set HEIGHT`: what an altimeter reads at the station, or what it was
 * set to there. It moves nothing by itself.
 */
export const heightKind = entryKind(schema)({
  keyword: 'height',
  takesWholeLine: false,
  read(cursor, note) {
    const set = cursor.take(SET) ? { set: true as const } : {};
    const column = cursor.position;
    const sign = cursor.take(MINUS) ? -1 : 1;
    const value = sign * cursor.amount('height');
    const inMetres = cursor.take(METRES) !== null;
    // A bare figure may be either, and they are three to one.
    if (!inMetres && !cursor.take(FEET)) cursor.expected('height');
    const unit = inMetres ? 'metres' : 'feet';
    const perUnit = inMetres ? 1 : METRES_PER_FOOT;
    const [least, most] = [Math.ceil(LOWEST / perUnit), Math.floor(HIGHEST / perUnit)];
    cursor.inRange(value, inMetres ? 'height' : 'height-feet', least, most, column);
    const remark = cursor.finishWithNote(note);
    const noted = remark === undefined ? {} : { note: remark };
    return { entry: { kind: 'height', ...set, unit, value, ...noted }, columns: { whole: column } };
  },
  write: ({ unit, value, set }) =>
    `  height ${set ? 'set ' : ''}${plainDecimal(value)}${unit === 'metres' ? 'm' : 'ft'}`,
  describe({ unit, value, set }, units) {
    const metres = unit === 'metres' ? value : value * METRES_PER_FOOT;
    const height = `${metres < 0 ? '−' : ''}${lengthText(Math.abs(metres), units)}`;
    return set ? `Altimeter set to ${height} here` : `The altimeter reads ${height} here`;
  },
  attachesTo: 'station',
  station: null,
  apply: () => null,
});
