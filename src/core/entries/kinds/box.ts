import * as z from 'zod/mini';
import { distanceReading, writeDistance } from '../../readings/distance';
import { sideSchema } from '../feature';
import { openObject, optionalNote } from '../../readings/shape';
import { distanceWords } from '../describe';
import { entryKind, withNote } from '../entry-kind';

const schema = openObject({
  kind: z.literal('box'),
  side: sideSchema,
  out: distanceReading,
  along: distanceReading,
  note: optionalNote,
});

/**
 * `box SIDE OUT along ALONG`: an obstacle boxed on the last leg: out to a side, along, and back by
 * as much; only the part along counts.
 */
export const boxKind = entryKind(schema)({
  keyword: 'box',
  takesWholeLine: false,
  read(cursor, note) {
    const column = cursor.position;
    const side = cursor.side();
    cursor.skipSpace();
    const distance = cursor.position;
    const out = cursor.distance();
    if (!cursor.takeAfterSpace(/,?\s*along(?![a-z])/iy)) {
      cursor.skipSpace();
      return cursor.expected('box');
    }
    cursor.skipSpace();
    const along = cursor.distance();
    cursor.finish();
    return {
      entry: { kind: 'box', side, out, along, ...withNote(note) },
      columns: { whole: column, distance },
    };
  },
  write: ({ side, out, along }) =>
    `  box ${side} ${writeDistance(out)} along ${writeDistance(along)}`,
  describe: ({ side, out, along }, units) =>
    `Boxed an obstacle on the ${side}: ${distanceWords(out, units)} out and back, ` +
    `${distanceWords(along, units)} along; only the part along counts`,
  attachesTo: 'leg',
  station: null,
  apply: (entry, reckoning) => reckoning.needsLeg() ?? reckoning.boxLastLeg(entry),
});
