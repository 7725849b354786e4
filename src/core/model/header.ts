import * as z from 'zod/mini';
import { routeId } from '../entries/kinds/route';
import { angleReading } from '../readings/angle';
import { northSchema } from '../readings/bearing';
import { LONGEST_NAME, startName } from '../readings/name';
import { positionSchema } from '../readings/position';
import { isOneLine, ONE_LINE, openObject, optionalNote } from '../readings/shape';
import { calendarDay, FIRST_YEAR, LAST_YEAR } from '../readings/calendar';
import { clockTime } from '../readings/time';
import { SIGMA_IDS, unitOfSigma } from './error-settings';
import { METHODS } from './method';

/** The north that a margin's or a typed angle is from; true north without it. */
const ofGrid = z.optional(z.literal('grid'));

const declination = z.discriminatedUnion('source', [
  openObject({ source: z.literal('none'), note: optionalNote }),
  openObject({ source: z.literal('model'), note: optionalNote }),
  openObject({
    source: z.literal('typed'),
    angle: angleReading,
    of: ofGrid,
    note: optionalNote,
  }),
  openObject({
    source: z.literal('margin'),
    angle: angleReading,
    of: ofGrid,
    year: z.int().check(z.gte(FIRST_YEAR), z.lte(LAST_YEAR)),
    month: z.optional(z.int().check(z.gte(1), z.lte(12))),
    changePerYear: angleReading,
    note: optionalNote,
  }),
]);
export type DeclinationSetting = z.infer<typeof declination>;
export type MarginDeclination = Extract<DeclinationSetting, { source: 'margin' }>;

/**
 * The declination methods: magnetic only, apply declination, adjusted compass, fixed declination
 * scale, ignore declination, map with magnetic meridians. The names are those of the file format.
 */
export const CORRECTIONS = [
  'none',
  'by-sum',
  'compass-set',
  'by-mark',
  'left-out',
  'magnetic-map',
] as const;
export type Correction = (typeof CORRECTIONS)[number];

/** In degrees, or per cent. */
export const MOST_SIGMA = 100;

const LONGEST_PROJECTION = 300;

/** True for a proj definition: one line of `+key=value` words, the first one `+proj=`. */
export const isProjection = (text: string) =>
  text.length <= LONGEST_PROJECTION && /^\+proj=[\w-]+( \+[\w-]+(=[\w.,+-]+)?)*$/.test(text);

const convergence = z.discriminatedUnion('source', [
  openObject({ source: z.literal('model'), note: optionalNote }),
  openObject({
    source: z.literal('projection'),
    definition: z
      .string()
      .check(z.refine(isProjection, 'a projection: +proj=… and further +words')),
    note: optionalNote,
  }),
  openObject({ source: z.literal('typed'), angle: angleReading, note: optionalNote }),
]);
export type ConvergenceSetting = z.infer<typeof convergence>;

/** The fields of an outing that hold for all of it. */
export const headerFields = {
  name: z.string().check(z.maxLength(LONGEST_NAME), z.refine(isOneLine, ONE_LINE)),
  /** Whose outing it is: a person's outings share a compass and a stride. */
  by: z.optional(
    z.string().check(z.minLength(1), z.maxLength(LONGEST_NAME), z.refine(isOneLine, ONE_LINE)),
  ),
  date: z.optional(
    openObject({
      day: calendarDay,
      time: z.optional(clockTime),
      note: optionalNote,
    }),
  ),
  start: openObject({
    name: startName,
    position: z.optional(positionSchema),
    note: optionalNote,
  }),
  /** The route that it follows from its start, by its id; the note is the route's name. */
  follows: z.optional(
    openObject({
      route: routeId,
      note: optionalNote,
    }),
  ),
  declination,
  /** Without it: declination applied where one is set, else magnetic only. */
  correction: z.optional(openObject({ how: z.enum(CORRECTIONS), note: optionalNote })),
  convergence: z.optional(convergence),
  /** How loops become places; without it, as walked. */
  adjust: z.optional(openObject({ method: z.enum(METHODS), note: optionalNote })),
  show: openObject({ north: northSchema, note: optionalNote }),
  /** Errors that are known better on this outing than from the person's own record. */
  errors: z.optional(
    openObject({
      sigmas: z
        .array(
          openObject({
            of: z.enum(SIGMA_IDS),
            unit: z.enum(['degrees', 'percent']),
            value: z.number().check(z.gte(0), z.lte(MOST_SIGMA)),
          }).check(z.refine(({ of, unit }) => unitOfSigma(of) === unit, 'the unit of this error')),
        )
        .check(z.minLength(1), z.maxLength(SIGMA_IDS.length)),
      note: optionalNote,
    }),
  ),
};
export const headerSchema = openObject(headerFields);
export type Header = z.infer<typeof headerSchema>;
