import * as z from 'zod/mini';
import { entrySchemaOfPace } from '../entries/kinds/in-force/pace';
import { bearingReading, compassPointSchema } from '../readings/bearing';
import { groundName } from '../readings/ground';
import { stationName } from '../readings/name';
import { positionSchema } from '../readings/position';
import { noteText, openObject, optionalNote, positiveAmount } from '../readings/shape';
import { clockTime } from '../readings/time';
import { headerFields } from './header';
import { recordId } from './outing';

/** More points than anyone walks between in one plan. */
export const MOST_POINTS = 500;
const MOST_LINES = 100;
const MOST_CLIMB = 9000;
const MOST_SCALE = 10_000_000;

export const SIDES = ['left', 'right'] as const;
export type RouteSide = (typeof SIDES)[number];
/** How walking times are estimated. */
export const TIMINGS = ['naismith', 'langmuir', 'level'] as const;
export type Timing = (typeof TIMINGS)[number];
export const SLOPE_WORDS = ['uphill', 'downhill', 'level'] as const;
/** Units of a length on paper. */
export const PAPER_UNITS = ['mm', 'cm', 'in'] as const;

const climb = z.optional(z.number().check(z.gte(0), z.lte(MOST_CLIMB)));

/** Bearing and length as measured on a map, from the point before. */
const paperMeasure = openObject({
  bearing: bearingReading,
  length: positiveAmount,
  unit: z.enum(PAPER_UNITS),
  /** The map's scale is 1 to this. */
  scale: z.number().check(z.gte(100), z.lte(MOST_SCALE)),
});
export type PaperMeasure = z.infer<typeof paperMeasure>;

/** Something that is passed on a leg, so many metres after its beginning. */
const tick = openObject({
  metres: positiveAmount,
  side: z.optional(z.enum(SIDES)),
  what: noteText,
});
export type Tick = z.infer<typeof tick>;

/** What is planned for the leg that leads to a point. */
const plannedLeg = openObject({
  /** The ground whose pace is counted; without it, the general one. */
  ground: z.optional(groundName),
  upMetres: climb,
  downMetres: climb,
  /** Which way the leg goes as the map shows it, as the person says: a guard against 180°. */
  expect: z.optional(
    openObject({ point: compassPointSchema, slope: z.optional(z.enum(SLOPE_WORDS)) }),
  ),
  handrail: z.optional(noteText),
  /** What tells that one went too far, and how far beyond the point it is. */
  catching: z.optional(openObject({ beyondMetres: positiveAmount, what: noteText })),
  /** Aim to one side of the point, at a line that leads to it. */
  aimOff: z.optional(openObject({ side: z.enum(SIDES), line: bearingReading, what: noteText })),
  dangers: z.optional(z.array(noteText).check(z.maxLength(MOST_LINES))),
  ticks: z.optional(z.array(tick).check(z.maxLength(MOST_LINES))),
});
export type PlannedLeg = z.infer<typeof plannedLeg>;

/** A point of a route: where the map says it is, or as measured from the point before. */
const routePoint = openObject({
  name: stationName,
  position: z.optional(positionSchema),
  /** The place is somewhere in a square of this width: how finely it was read. */
  withinMetres: z.optional(z.number().check(z.gt(0), z.lte(10_000))),
  paper: z.optional(paperMeasure),
  /** A place that is easily found, near the point after it. */
  isAttack: z.optional(z.boolean()),
  leg: z.optional(plannedLeg),
  note: optionalNote,
}).check(
  z.refine(
    ({ position, paper }) => (position === undefined) !== (paper === undefined),
    'a position, or a bearing and a length on the map',
  ),
);
export type RoutePoint = z.infer<typeof routePoint>;

/** A route that was planned from a map: everything as it was read, and nothing computed. */
export const routeSchema = openObject({
  id: recordId,
  name: headerFields.name,
  /** The day, and the time of leaving. */
  date: headerFields.date,
  declination: headerFields.declination,
  correction: headerFields.correction,
  /** The grid of the map; without it UTM. */
  convergence: headerFields.convergence,
  show: headerFields.show,
  errors: headerFields.errors,
  /** Paces by ground; the one without a ground is the general one. */
  paces: z.array(entrySchemaOfPace).check(z.maxLength(MOST_LINES)),
  kilometresPerHour: z.optional(z.number().check(z.gt(0), z.lte(20))),
  timing: z.optional(z.enum(TIMINGS)),
  /** How far off a point is seen, in metres. */
  sightMetres: z.optional(positiveAmount),
  /** What to leave with someone. */
  party: z.optional(noteText),
  tell: z.optional(noteText),
  turnBackBy: z.optional(clockTime),
  backBy: z.optional(clockTime),
  /** The picture of the map that it was planned on. */
  picture: z.optional(recordId),
  points: z.array(routePoint).check(z.maxLength(MOST_POINTS)),
  note: optionalNote,
}).check(
  z.refine(({ points }) => points[0]?.paper === undefined, 'the first point by its position'),
);
export type Route = z.infer<typeof routeSchema>;

/** A route without a point: declination by the model on this day, on a UTM map. */
export const blankRoute = (id: string, name: string, day?: string): Route => ({
  id,
  name,
  ...(day !== undefined && { date: { day } }),
  declination: { source: day === undefined ? 'none' : 'model' },
  show: { north: 'magnetic' },
  paces: [],
  points: [],
});
