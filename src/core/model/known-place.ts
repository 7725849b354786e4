import * as z from 'zod/mini';
import { stationName } from '../readings/name';
import { positionSchema } from '../readings/position';
import { openObject, optionalNote } from '../readings/shape';
import { recordId } from './outing';

/** The most corners of a path, a river or a ridge. */
const MOST_CORNERS = 5000;

/**
 * Something that a map tells, shared by all outings: a place by its position, or a line (a path, a
 * river, a ridge) by its corners.
 */
export const knownPlaceSchema = openObject({
  id: recordId,
  name: stationName,
  positions: z.array(positionSchema).check(z.minLength(1), z.maxLength(MOST_CORNERS)),
  /** The place is somewhere in a square of this width: how finely it was read. */
  withinMetres: z.optional(z.number().check(z.gt(0), z.lte(10_000))),
  /** A line that is not to be crossed: a cliff, deep water. Plans are checked against it. */
  isBarrier: z.optional(z.boolean()),
  /** A point where a barrier may be crossed: a gate, a bridge, a ford. */
  isCrossing: z.optional(z.boolean()),
  note: optionalNote,
});
export type KnownPlace = z.infer<typeof knownPlaceSchema>;

export const isLine = ({ positions }: KnownPlace): boolean => positions.length > 1;
