import { speedText } from '../../../units/figures';
import * as z from 'zod/mini';
import { groundName, writeGround } from '../../../readings/ground';
import { openObject, optionalNote, positiveAmount } from '../../../readings/shape';
import { plainDecimal } from '../../../units/units';
import { entryKind, withNote } from '../../entry-kind';
import type { LineCursor } from '../../line-cursor';
import { AIMS, type HomeReadings } from '../../reckoning';
import { AIM_WORDS } from './aim';

const schema = openObject({
  kind: z.literal('home'),
  aim: z.optional(z.enum(AIMS)),
  ground: z.optional(groundName),
  kilometresPerHour: z.optional(positiveAmount),
  note: optionalNote,
}).check(
  z.refine(
    ({ ground, kilometresPerHour }) => ground === undefined || kilometresPerHour === undefined,
    'a walk home by paces on a ground, or by the clock',
  ),
);

const AIM = new RegExp(`(${AIMS.join('|')})(?![a-z-])`, 'iy');
const ON = /on(?![a-z])/iy;
const TIMED = /(?:timed|by\s+the\s+clock)(?![a-z])\s*(?:@|at(?![a-z]))?\s*/iy;

/** `home [AIM] [GROUND | on GROUND | timed N kmh]`: how the walk home will be made. */
export const homeKind = entryKind(schema)({
  keyword: 'home',
  takesWholeLine: false,
  read(cursor, note) {
    const home: { -readonly [Key in keyof HomeReadings]: HomeReadings[Key] } = {};
    const aim = cursor.take(AIM)?.[1]?.toLowerCase();
    home.aim = AIMS.find((each) => each === aim);
    cursor.skipSpace();
    readDistanceMeans(cursor, home);
    if (home.aim === undefined) delete home.aim;
    if (Object.keys(home).length === 0) cursor.expected('home');
    cursor.finish();
    return { entry: { kind: 'home', ...home, ...withNote(note) }, columns: {} };
  },
  write: ({ aim, ground, kilometresPerHour }) =>
    [
      'home',
      aim,
      ground && writeGround(ground),
      kilometresPerHour && `timed ${plainDecimal(kilometresPerHour)} kmh`,
    ]
      .filter(Boolean)
      .join(' '),
  describe: ({ aim, ground, kilometresPerHour }, units) =>
    `On the way home ${[
      aim && AIM_WORDS[aim],
      ground && `you count paces on ${ground}`,
      kilometresPerHour && `you go by the clock at ${speedText(kilometresPerHour, units)}`,
    ]
      .filter(Boolean)
      .join(', and ')}`,
  attachesTo: null,
  station: null,
  apply(home, reckoning) {
    reckoning.setHome(home);
    return null;
  },
});

function readDistanceMeans(
  cursor: LineCursor,
  home: { ground?: string | undefined; kilometresPerHour?: number | undefined },
): void {
  if (cursor.take(TIMED)) home.kilometresPerHour = cursor.speed();
  else if (cursor.take(ON)) home.ground = cursor.ground();
  else {
    const ground = cursor.usualGround();
    if (ground !== undefined) home.ground = ground;
  }
}
