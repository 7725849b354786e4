import * as z from 'zod/mini';
import { openObject, optionalNote } from '../../readings/shape';
import { entryKind, withNote } from '../entry-kind';

const LONGEST_ID = 100;

/** The id of a route, in one word. */
export const routeId = z
  .string()
  .check(z.minLength(1), z.maxLength(LONGEST_ID), z.regex(/^\S+$/, 'one word'));

const schema = openObject({ kind: z.literal('route'), route: routeId, note: optionalNote });

/**
 * `route ID ; NAME`: from the station where one is, the outing follows the route with that id; the
 * last such line counts. The outing and its start stay what they are.
 */
export const routeKind = entryKind(schema)({
  keyword: 'route',
  takesWholeLine: false,
  read(cursor, note) {
    const column = cursor.position;
    const route = cursor.rest();
    if (!routeId.safeParse(route).success) cursor.expected('route-id', undefined, column);
    return { entry: { kind: 'route', route, ...withNote(note) }, columns: { whole: column } };
  },
  write: ({ route }) => `route ${route}`,
  describe: ({ note, route }) => `Route from here: ${note ? `“${note}”` : route}`,
  attachesTo: 'station',
  station: null,
  apply: () => null,
});
