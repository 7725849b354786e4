import * as z from 'zod/mini';
import { optionalFeatureKind, writeFeatureKind } from '../feature';
import { noteText, openObject } from '../../readings/shape';
import { entryKind } from '../entry-kind';

const schema = openObject({
  kind: z.literal('landmark'),
  thing: optionalFeatureKind,
  what: noteText,
});

/** `landmark [KIND] ; what`: what marks the start, so that one knows it again. */
export const landmarkKind = entryKind(schema)({
  keyword: 'landmark',
  takesWholeLine: false,
  read(cursor, note) {
    const kind = cursor.featureKind();
    const what = cursor.whatSeen(note, kind.thing);
    return { entry: { kind: 'landmark', ...kind, what }, columns: {} };
  },
  write: (entry) => `landmark${writeFeatureKind(entry)} ; ${entry.what}`,
  describe: ({ what }) => `The start is marked by: ${what}`,
  attachesTo: null,
  station: null,
  apply: () => null,
});
