import * as z from 'zod/mini';
import { stationName } from '../../readings/name';
import { positionIn, writeNameBefore, writePosition } from '../../readings/place/named-place';
import { positionSchema } from '../../readings/position';
import { openObject, optionalNote } from '../../readings/shape';
import { plainDecimal } from '../../units/units';
import { entryKind, withNote } from '../entry-kind';

/** The widest square that still tells a place. */
const MOST_WITHIN_METRES = 10_000;

const schema = openObject({
  kind: z.literal('known'),
  name: stationName,
  position: positionSchema,
  /** The place is somewhere in a square of this width: how finely it was read. */
  withinMetres: z.optional(z.number().check(z.gt(0), z.lte(MOST_WITHIN_METRES))),
  note: optionalNote,
});

const WITHIN = /\s+within\s+(\d+(?:\.\d+)?)\s*m$/i;

/**
 * `known NAME at PLACE [within 100m]`: a place that the map tells. A sighting of that name is a
 * bearing for a fix; the name of a station pins that station to the map.
 */
export const knownKind = entryKind(schema)({
  keyword: 'known',
  takesWholeLine: false,
  read(cursor, note) {
    const column = cursor.position;
    const line = cursor.text.slice(column, cursor.end).trimEnd();
    const within = WITHIN.exec(line);
    const body = within ? line.slice(0, within.index) : line;
    const at = positionIn(body);
    if (!at) {
      return cursor.expected(line === '' ? 'station-name' : 'position', undefined, cursor.end);
    }
    const end = column + at.from;
    const name = cursor.nameUntil(end) ?? cursor.expected('station-name', undefined, column);
    const { position, withinMetres } = cursor.place(column + at.to, column + body.length);
    cursor.position = cursor.end;
    const metres = within ? Number(within[1]) : null;
    if (metres !== null && !(metres > 0 && metres <= MOST_WITHIN_METRES)) {
      const found = within?.[1] ?? '';
      const range = { least: 1, most: MOST_WITHIN_METRES };
      cursor.refuse({ code: 'out-of-range', what: 'distance', found, ...range }, column);
    }
    const finely = metres ?? withinMetres;
    const width = finely === undefined ? {} : { withinMetres: finely };
    return {
      entry: { kind: 'known', name, position, ...width, ...withNote(note) },
      columns: { station: column, whole: column },
    };
  },
  write({ name, position, withinMetres }) {
    const within = withinMetres === undefined ? '' : ` within ${plainDecimal(withinMetres)}m`;
    return `known ${writeNameBefore(name)} ${writePosition(position)}${within}`;
  },
  describe({ name, position: { latitude, longitude } }) {
    return `${name} is known on the map, at ${latitude.toFixed(5)} ${longitude.toFixed(5)}`;
  },
  attachesTo: null,
  station: {
    get: ({ name }) => name,
    set: (entry, name) => ({ ...entry, name }),
  },
  apply: () => null,
});
