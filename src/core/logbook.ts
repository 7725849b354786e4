import { z } from 'zod';
import { WINDS } from './angle';
import { NORTHS } from './north';

// The app's policy allows no script made from text, so the validator must not compile its checks. It has to
// be told before the first schema is made.
z.config({ jitless: true });

/**
 * The logbook: the one definition of what an outing is. Types, checks and the published JSON Schema
 * come from here. Everything is kept as it was read; nothing that can be computed is stored.
 */

/** An object that keeps the fields it does not know (a later version's), yet is typed by those it does. */
const open = <Shape extends z.ZodRawShape>(shape: Shape): z.ZodObject<Shape> =>
  z.looseObject(shape) as unknown as z.ZodObject<Shape>;

/** The largest number a reading may hold: beyond it a slip of the finger is certain. */
export const LARGEST_READING = 1_000_000;
const amount = z.number().gt(0).max(LARGEST_READING);

const oneLine = (text: string) => !/[\n\r]/.test(text) && text === text.trim();
const noteText = z
  .string()
  .min(1)
  .max(2000)
  .refine(oneLine, 'one line, without spaces at its ends');

/** True when a station may be called this: one line, no spaces at its ends, no semicolon. */
export const isStationName = (name: string) =>
  name.length > 0 && name.length <= 200 && oneLine(name) && !name.includes(';');
const stationName = z
  .string()
  .refine(isStationName, 'a station name: one line of 1 to 200 characters without a semicolon');

/** In the log a start's name ends where ` at ` and a number begin: a name that holds these can't be written. */
export const isStartName = (name: string) =>
  isStationName(name) && !/(^|\s)at\s+[-+.\d]/i.test(name);

const degreesUpTo = (most: number) => z.number().min(0).max(most);
const north = z.enum(NORTHS);
const wind = z.enum(WINDS);

const bearingReading = z.discriminatedUnion('unit', [
  open({ unit: z.literal('degrees'), value: degreesUpTo(360), word: wind.optional(), north }),
  open({ unit: z.literal('mils'), value: degreesUpTo(6400), word: wind.optional(), north }),
  open({ unit: z.literal('gon'), value: degreesUpTo(400), word: wind.optional(), north }),
  open({
    unit: z.literal('quadrant'),
    from: z.enum(['N', 'S']),
    value: degreesUpTo(90),
    toward: z.enum(['E', 'W']),
    north,
  }),
  open({ unit: z.literal('wind'), wind, north }),
]);
export type BearingReading = z.infer<typeof bearingReading>;

const LENGTH_UNITS = ['paces', 'steps', 'metres', 'kilometres', 'feet', 'yards', 'miles'] as const;
const distanceReading = z.discriminatedUnion('unit', [
  open({ unit: z.enum(LENGTH_UNITS), value: amount }),
  open({ unit: z.literal('minutes'), value: amount, kilometresPerHour: amount }),
]);
export type DistanceReading = z.infer<typeof distanceReading>;

const angleReading = open({
  degrees: degreesUpTo(180),
  minutes: z.number().min(0).lt(60).optional(),
  toward: z.enum(['E', 'W']),
});
export type AngleReading = z.infer<typeof angleReading>;

/** Grounds that a leg may name with a bare word in the log; any other name stands after `on`. */
export const GROUNDS = ['track', 'rough', 'uphill', 'downhill', 'snow', 'night', 'loaded'] as const;
/** True when a ground may be called this: one lower-case word. */
export const isGroundName = (name: string) => /^[a-z][a-z-]{1,23}$/.test(name);
const ground = z.string().refine(isGroundName, 'a ground: one lower-case word');

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time as HH:MM');
const note = noteText.optional();

/** What something seen is, for its mark on the sketch. */
export const THINGS = ['water', 'tree', 'rock', 'path', 'building', 'edge'] as const;
export type Thing = (typeof THINGS)[number];
const thing = z.enum(THINGS).optional();
const side = z.enum(['left', 'right']);

const lineSchema = z.discriminatedUnion('kind', [
  open({
    kind: z.literal('leg'),
    bearing: bearingReading,
    distance: distanceReading,
    back: bearingReading.optional(),
    /** Along-slope angle, up positive. */
    slopeDegrees: z.number().gt(-90).lt(90).optional(),
    /** The same as metres of rise over metres of level run, up positive; instead of degrees. */
    slopeRatio: open({
      rise: z.number().min(-LARGEST_READING).max(LARGEST_READING),
      run: amount,
    }).optional(),
    ground: ground.optional(),
    time: clock.optional(),
    /** The name of the station where it ends; one that already stands is a return to it. */
    to: stationName.optional(),
    note,
  }),
  open({ kind: z.literal('from'), station: stationName, note }),
  open({
    kind: z.literal('at'),
    metres: z.number().min(0).max(LARGEST_READING),
    side: side.optional(),
    sideMetres: z.number().min(0).max(LARGEST_READING).optional(),
    thing,
    what: noteText,
  }),
  open({ kind: z.literal('see'), bearing: bearingReading, thing, what: noteText }),
  /** How one will know that one is back: what stands at the start. */
  open({ kind: z.literal('landmark'), thing, what: noteText }),
  /** An obstacle boxed on the leg before: out to a side, along, and back by as much; only the along part counts. */
  open({ kind: z.literal('box'), side, out: distanceReading, along: distanceReading, note }),
  /** An obstacle passed with the mark ahead kept: nothing to add, but worth a line. */
  open({ kind: z.literal('passed'), side, what: noteText }),
  /** A step off a path with no distance yet: out on a bearing, home on its back bearing. */
  open({ kind: z.literal('out'), bearing: bearingReading, time: clock.optional(), note }),
  /** Roughly which way the next leg should go. */
  open({ kind: z.literal('expect'), wind, note }),
  /** A remark of the page on the line before (or on the header) was looked at, and it is right. */
  open({ kind: z.literal('right'), code: z.string().regex(/^[a-z][a-z-]{1,60}$/), note }),
  /** A line that was struck out: its text as it stood, when, and why. It counts for nothing. */
  open({
    kind: z.literal('struck'),
    at: z.iso.datetime({ offset: true }),
    reason: noteText.refine((text) => !text.includes('|'), 'a reason without |').optional(),
    was: z.string().min(1).max(5000).refine(oneLine, 'one line, without spaces at its ends'),
  }),
  open({ kind: z.literal('read'), north, note }),
  open({ kind: z.literal('aim'), aim: z.enum(['needle', 'landmark', 'sighted']), note }),
  open({
    kind: z.literal('pace'),
    unit: z.enum(['per-100-m', 'metres', 'feet']),
    value: amount,
    /** The ground that it is for; without it, for every ground that has none of its own. */
    ground: ground.optional(),
    /** One sigma of a distance paced with it, in per cent. */
    spreadPercent: z.number().gt(0).max(100).optional(),
    note,
  }),
]);
const entry = lineSchema.refine(
  (line) => line.kind !== 'leg' || line.slopeDegrees === undefined || line.slopeRatio === undefined,
  'a slope in degrees or as rise over run, not both',
);
export type Entry = z.infer<typeof entry>;
export type EntryOf<Kind extends Entry['kind']> = Extract<Entry, { kind: Kind }>;
export type Leg = EntryOf<'leg'>;
export type Aim = EntryOf<'aim'>['aim'];

const declination = z.discriminatedUnion('source', [
  open({ source: z.literal('none'), note }),
  open({ source: z.literal('model'), note }),
  open({ source: z.literal('typed'), angle: angleReading, note }),
  open({
    source: z.literal('margin'),
    angle: angleReading,
    year: z.number().int().min(1600).max(2500),
    month: z.number().int().min(1).max(12).optional(),
    changePerYear: angleReading,
    note,
  }),
]);
export type DeclinationSetting = z.infer<typeof declination>;

/** How the angle between the norths is dealt with: the schools of the trade, by what each does. */
export const CORRECTIONS = [
  'none',
  'by-sum',
  'compass-set',
  'by-mark',
  'left-out',
  'magnetic-map',
] as const;
export type Correction = (typeof CORRECTIONS)[number];

/** A map projection as a proj definition: one line of `+key=value` words, the first one `+proj=`. */
export const isProjection = (text: string) =>
  text.length <= 300 && /^\+proj=[\w-]+( \+[\w-]+(=[\w.,+-]+)?)*$/.test(text);

const convergence = z.discriminatedUnion('source', [
  open({ source: z.literal('model'), note }),
  open({
    source: z.literal('projection'),
    definition: z.string().refine(isProjection, 'a projection: +proj=… and further +words'),
    note,
  }),
  open({ source: z.literal('typed'), angle: angleReading, note }),
]);
export type ConvergenceSetting = z.infer<typeof convergence>;

/** True for a day that is in the calendar (Gregorian, years 1600 to 2500). */
export function isCalendarDay(text: string): boolean {
  const found = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text);
  if (!found) return false;
  const [year, month, day] = [Number(found[1]), Number(found[2]), Number(found[3])];
  const days = new Date(Date.UTC(year, month, 0)).getUTCDate();
  return year >= 1600 && year <= 2500 && month >= 1 && month <= 12 && day >= 1 && day <= days;
}

const position = open({
  latitude: z.number().min(-90).max(90),
  longitude: z.number().min(-180).max(180),
});
export type Position = z.infer<typeof position>;

const header = {
  name: z.string().max(200).refine(oneLine, 'one line, without spaces at its ends'),
  date: open({
    day: z.string().refine(isCalendarDay, 'a day as YYYY-MM-DD'),
    time: clock.optional(),
    note,
  }).optional(),
  start: open({
    name: z
      .string()
      .refine(isStartName, 'a station name without a semicolon, and without "at" before a number'),
    position: position.optional(),
    note,
  }),
  declination,
  /** Without it: by sums where a declination is set, else magnetic all the way. */
  correction: open({ how: z.enum(CORRECTIONS), note }).optional(),
  convergence: convergence.optional(),
  show: open({ north, note }),
};
export const headerSchema = open(header);
export type Header = z.infer<typeof headerSchema>;

export const entrySchema = entry;
export const outingSchema = open({
  id: z.string().min(1).max(100),
  ...header,
  entries: z.array(entry),
});
export type Outing = z.infer<typeof outingSchema>;

/** One calibration: a course of known length walked once or more, with the count of each walk. */
const calibrationSchema = open({
  id: z.string().min(1).max(100),
  at: z.iso.datetime({ offset: true }),
  /** Absent for the general pace. */
  ground: ground.optional(),
  course: open({ value: amount, unit: z.enum(['metres', 'feet', 'yards']) }),
  /** What was counted: paces (the same foot each time) or single steps. */
  counted: z.enum(['paces', 'steps']),
  counts: z.array(amount).min(1).max(100),
  note,
});
export type Calibration = z.infer<typeof calibrationSchema>;

/** How long someone's pace is, ground by ground: every calibration that was made, the newest of a ground in force. */
export const paceProfileSchema = open({
  id: z.string().min(1).max(100),
  name: z.string().min(1).max(200).refine(oneLine, 'one line, without spaces at its ends'),
  calibrations: z.array(calibrationSchema),
});
export type PaceProfile = z.infer<typeof paceProfileSchema>;

export const logbookSchema = open({
  format: z.literal('cairn-back/logbook'),
  version: z.literal(1),
  exportedAt: z.iso.datetime({ offset: true }),
  outings: z.array(outingSchema),
  paceProfiles: z.array(paceProfileSchema),
});
export type Logbook = z.infer<typeof logbookSchema>;

/** An outing with nothing on its page. */
export const blankOuting = (id: string, name = ''): Outing => ({
  id,
  name,
  start: { name: 'Start' },
  declination: { source: 'none' },
  show: { north: 'magnetic' },
  entries: [],
});

/** The header of an outing, without its entries. */
export function headerOf(outing: Outing): Header {
  const { id: _id, entries: _entries, ...rest } = outing;
  return rest;
}
