import * as z from 'zod/mini';
import { sideSchema } from '../feature';
import { noteText, openObject } from '../../readings/shape';
import { entryKind } from '../entry-kind';

const schema = openObject({ kind: z.literal('passed'), side: sideSchema, what: noteText });

/** `passed SIDE ; what`: an obstacle passed with the mark ahead kept in sight; adds nothing. */
export const passedKind = entryKind(schema)({
  keyword: 'passed',
  takesWholeLine: false,
  read(cursor, note) {
    const side = cursor.side();
    return { entry: { kind: 'passed', side, what: cursor.whatSeen(note) }, columns: {} };
  },
  write: ({ side, what }) => `  passed ${side} ; ${what}`,
  describe: ({ side, what }) => `Passed on the ${side}, mark ahead kept: ${what}`,
  attachesTo: 'leg',
  station: null,
  apply: () => null,
});
