import * as z from 'zod/mini';
import { sideSchema } from '../../entries/feature';
import { AIMS } from '../../entries/reckoning';
import { recordId } from '../../model/outing';
import { stationName } from '../../readings/name';
import { openObject } from '../../readings/shape';
import { seedSchema } from '../attempt';

export const MOST_PACES = 2000;
const MOST_LEGS = 500;
/** A country is 4 km wide: no place of it is farther away. */
const FURTHEST_METRES = 10_000;
const metres = z.number().check(z.gte(-FURTHEST_METRES), z.lte(FURTHEST_METRES));

const setLegSchema = openObject({
  bearingDegrees: z.number().check(z.gte(0), z.lt(360)),
  paces: z.int().check(z.gte(1), z.lte(MOST_PACES)),
  aim: z.enum(AIMS),
  /** Water in the way is boxed to this side; without one it ends the leg. */
  boxes: z.optional(sideSchema),
});
/** What the person tells the walker: a compass setting, how many paces, and how to aim. */
export type SetLeg = Readonly<z.infer<typeof setLegSchema>>;

/** A walk in fog, by the outing that it is logged in: what was set, and nothing that follows. */
export const keptWalkSchema = openObject({
  outing: recordId,
  country: seedSchema,
  /** Of the walker's errors. */
  seed: seedSchema,
  start: openObject({ east: metres, north: metres }),
  /** The place that it began at, and should end at. */
  startName: stationName,
  legs: z.array(setLegSchema).check(z.maxLength(MOST_LEGS)),
  /** True once the walker has said to be home. */
  isOver: z.boolean(),
});
export type KeptWalk = Readonly<z.infer<typeof keptWalkSchema>>;
