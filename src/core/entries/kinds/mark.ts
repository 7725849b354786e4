import * as z from 'zod/mini';
import { optionalFeatureKind, writeFeatureKind } from '../feature';
import { noteText, openObject } from '../../readings/shape';
import { entryKind } from '../entry-kind';

const schema = openObject({
  kind: z.literal('mark'),
  thing: optionalFeatureKind,
  what: noteText,
});

/**
 * `mark [KIND] ; what`: what was hung or set up at the station where one is, to be seen on the way
 * back; or what is there anyhow.
 */
export const markKind = entryKind(schema)({
  keyword: 'mark',
  takesWholeLine: false,
  read(cursor, note) {
    const kind = cursor.featureKind();
    const what = cursor.whatSeen(note, kind.thing);
    return { entry: { kind: 'mark', ...kind, what }, columns: {} };
  },
  write: (entry) => `mark${writeFeatureKind(entry)} ; ${entry.what}`,
  describe: ({ what }) => `This station is marked by: ${what}`,
  attachesTo: null,
  station: null,
  apply: () => null,
});
