import * as z from 'zod/mini';
import { bearingReading, writeBearing } from '../../readings/bearing';
import {
  LARGEST_READING,
  numberUpTo,
  openObject,
  optionalNote,
  positiveAmount,
} from '../../readings/shape';
import type { SlopeReading } from '../../readings/slope';
import { plainDecimal, type Degrees } from '../../units/units';
import { bearingWords } from '../describe';
import { entryKind } from '../entry-kind';
import type { LineCursor } from '../line-cursor';

/** How steep the ground is, in words. */
export const STEEPNESS = ['level', 'gentle', 'steep'] as const;

const STEEPEST_DEGREES: Degrees = 89.9;

const schema = openObject({
  kind: z.literal('falls'),
  bearing: bearingReading,
  steepness: z.optional(z.enum(STEEPNESS)),
  slopeDegrees: z.optional(numberUpTo(STEEPEST_DEGREES)),
  slopeRatio: z.optional(openObject({ rise: numberUpTo(LARGEST_READING), run: positiveAmount })),
  note: optionalNote,
});
type Falls = z.infer<typeof schema>;
type HowSteep = SlopeReading & Pick<Falls, 'steepness'>;

const WORD = /(level|gentle|gently|steep|steeply)(?![a-z])/iy;
const FIGURE = /(?=\.?\d)/y;

/** How steep it is, as written behind the bearing; empty where nothing says. */
function writeHowSteep({ steepness, slopeDegrees, slopeRatio }: HowSteep): string {
  if (steepness) return ` ${steepness}`;
  if (slopeDegrees !== undefined) return ` ${plainDecimal(slopeDegrees)}°`;
  if (!slopeRatio) return '';
  return ` ${plainDecimal(slopeRatio.rise)}/${plainDecimal(slopeRatio.run)}`;
}

function readHowSteep(cursor: LineCursor): HowSteep {
  cursor.take(/\s*,?\s*/y);
  const word = cursor.take(WORD)?.[1]?.toLowerCase();
  const steepness = STEEPNESS.find((each) => word?.startsWith(each.slice(0, 4)));
  if (steepness) return { steepness };
  return cursor.sees(FIGURE) ? cursor.slope('up') : {};
}

/**
 * `falls BEARING [DEG | N/N | level | gentle | steep]`: which way the ground falls at the station,
 * and how steeply. It moves nothing by itself.
 */
export const fallsKind = entryKind(schema)({
  keyword: 'falls',
  takesWholeLine: false,
  read(cursor, note, { north }) {
    cursor.take(/to(?:wards?)?(?:\s+the)?\s+/iy);
    const column = cursor.position;
    const bearing = cursor.bearing(north);
    const howSteep = readHowSteep(cursor);
    const remark = cursor.finishWithNote(note);
    const noted = remark === undefined ? {} : { note: remark };
    return {
      entry: { kind: 'falls', bearing, ...howSteep, ...noted },
      columns: { bearing: column, whole: column },
    };
  },
  write: (entry, north) => `  falls ${writeBearing(entry.bearing, north)}${writeHowSteep(entry)}`,
  describe: (entry, units) =>
    `The ground falls to ${bearingWords(entry.bearing, units)}` +
    (entry.steepness === 'level' ? ', nearly level' : writeHowSteep(entry).replace(/^ /, ', ')),
  attachesTo: 'station',
  station: null,
  apply: ({ bearing }, reckoning) => reckoning.needsNorth(bearing, 'bearing'),
});
