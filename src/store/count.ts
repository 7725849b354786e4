import * as z from 'zod/mini';
import {
  optionalFeatureKind,
  sideSchema,
  type FeatureKind,
  type Side,
} from '../core/entries/feature';

const at = z.iso.datetime();

/**
 * One record of a count: a tap, an undo, a feature, what the count is for. Each is stored when it
 * happens, so that a reload or a locked phone loses none; the count is replayed from them.
 */
const countRecordSchema = z.object({
  /** Which count: an outing's id, or that of a calibration. */
  count: z.string(),
  number: z.int().check(z.gte(0)),
  at,
  line: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('paces'), by: z.number().check(z.positive()) }),
    z.object({ kind: z.literal('metres'), by: z.number().check(z.positive()) }),
    z.object({ kind: z.literal('undo') }),
    z.object({
      kind: z.literal('seen'),
      what: z.string(),
      thing: optionalFeatureKind,
      side: z.optional(sideSchema),
      sideMetres: z.optional(z.number().check(z.gte(0))),
    }),
    /** Where the last feature is beside the leg, said after it was noted. */
    z.object({
      kind: z.literal('beside'),
      side: sideSchema,
      sideMetres: z.optional(z.number().check(z.gte(0))),
    }),
    /** The bearing to follow and the ground, as typed. */
    z.object({ kind: z.literal('leg'), bearing: z.string(), ground: z.optional(z.string()) }),
    /** How far the count goes, and to what; without metres, nowhere in particular. */
    z.object({
      kind: z.literal('target'),
      metres: z.optional(z.number().check(z.positive())),
      name: z.string(),
    }),
    /** At a mark, the next one so many metres ahead, as it is judged by eye. */
    z.object({ kind: z.literal('mark'), aheadMetres: z.optional(z.number().check(z.positive())) }),
    /** An obstacle is boxed to a side: out, `turn`, along, `turn`, back, `turn`. */
    z.object({ kind: z.literal('box'), side: sideSchema }),
    z.object({ kind: z.literal('turn') }),
    /** The stopwatch of a leg by the clock runs, or stands still. */
    z.object({ kind: z.literal('clock'), runs: z.boolean() }),
    /** The count was used or dropped: the next starts at 0. */
    z.object({ kind: z.literal('end') }),
    /** The count that ended last goes on: its leg was taken back. */
    z.object({ kind: z.literal('resume') }),
  ]),
});
export type CountRecord = z.infer<typeof countRecordSchema>;
export type CountLine = CountRecord['line'];

/** What was counted: paces and metres are kept apart, as a tap may stand for either. */
export interface Tally {
  readonly paces: number;
  readonly metres: number;
}

/** A feature noted during a count, and how far along it was. */
interface SeenAt extends Tally {
  /** What the stopwatch said then. */
  readonly clockMs: number;
  readonly what: string;
  readonly thing?: FeatureKind;
  readonly side?: Side;
  readonly sideMetres?: number;
}

/** The sides of a box, in the order in which they are walked. */
export const BOX_SIDES = ['out', 'along', 'back'] as const;
export type BoxSide = (typeof BOX_SIDES)[number];

/** An obstacle that was boxed, or is being boxed. */
export interface CountedBox extends Readonly<Record<BoxSide, Tally>> {
  readonly side: Side;
  /** The side that is walked now; null once it is back on the line. */
  readonly walking: BoxSide | null;
}

/** The state of a count. */
export interface Count extends Tally {
  /** Number of the newest record; -1 for none. */
  readonly number: number;
  readonly bearing: string;
  /** True for a bearing kept from the leg before. */
  readonly isKept: boolean;
  readonly ground: string | undefined;
  readonly seen: readonly SeenAt[];
  readonly target: { readonly metres: number; readonly name: string } | null;
  /** The last mark, and how far ahead the next one is judged to be. */
  readonly mark: (Tally & { readonly aheadMetres: number | undefined }) | null;
  readonly boxes: readonly CountedBox[];
  /** The stopwatch: milliseconds until it last stood still, and since when it runs. */
  readonly clockMs: number;
  readonly runsSince: number | null;
  /** The count as it was before the last record that can be undone. */
  readonly before: Count | null;
  /** The count that ended before this one began. */
  readonly ended: Count | null;
}

const NOTHING: Tally = { paces: 0, metres: 0 };

export const NO_COUNT: Count = {
  ...NOTHING,
  number: -1,
  bearing: '',
  isKept: false,
  ground: undefined,
  seen: [],
  target: null,
  mark: null,
  boxes: [],
  clockMs: 0,
  runsSince: null,
  before: null,
  ended: null,
};

/** The box that is being walked, if there is one. */
export function openBox({ boxes }: Count): (CountedBox & { readonly walking: BoxSide }) | null {
  const box = boxes.at(-1);
  return box?.walking ? { ...box, walking: box.walking } : null;
}

/** True while nothing is counted, boxed or timed. */
export const isEmpty = ({ paces, metres, boxes, clockMs, runsSince }: Count): boolean =>
  paces === 0 && metres === 0 && boxes.length === 0 && clockMs === 0 && runsSince === null;

/** How long a leg by the clock has been walked at a moment, in milliseconds. */
export const clockMsAt = ({ clockMs, runsSince }: Count, now: number): number =>
  clockMs + (runsSince === null ? 0 : Math.max(0, now - runsSince));

const plus = (tally: Tally, more: Tally): Tally => ({
  paces: tally.paces + more.paces,
  metres: tally.metres + more.metres,
});

const withLastBox = (count: Count, box: CountedBox): Count => ({
  ...count,
  boxes: [...count.boxes.slice(0, -1), box],
});

/** Adds what was walked: on the line, or on a side of a box, of which only the one along counts. */
function walked(count: Count, more: Tally): Count {
  const box = openBox(count);
  const after =
    box === null
      ? count
      : withLastBox(count, { ...box, [box.walking]: plus(box[box.walking], more) });
  return box === null || box.walking === 'along' ? { ...after, ...plus(count, more) } : after;
}

/** The next side of a box, or the line again. */
function turned(count: Count): Count {
  const box = openBox(count);
  if (!box) return count;
  const walking = BOX_SIDES[BOX_SIDES.indexOf(box.walking) + 1] ?? null;
  return withLastBox(count, { ...box, walking });
}

/** As before the last record that can be undone; what is followed stays as it is. */
function undone(count: Count): Count {
  const { bearing, isKept, ground, target } = count;
  return count.before ? { ...count.before, bearing, isKept, ground, target } : count;
}

function clocked(count: Count, runs: boolean, at: number): Count {
  if (runs === (count.runsSince !== null)) return count;
  return runs
    ? { ...count, runsSince: at }
    : { ...count, clockMs: count.clockMs + at - (count.runsSince ?? at), runsSince: null };
}

/** What a record that can be undone makes of a count; null for another record. */
function undoable(count: Count, line: CountLine, at: number): Count | null {
  switch (line.kind) {
    case 'paces':
      return walked(count, { paces: line.by, metres: 0 });
    case 'metres':
      return walked(count, { paces: 0, metres: line.by });
    case 'seen': {
      const { kind: _kind, ...feature } = line;
      const { paces, metres } = count;
      const seen = { ...feature, paces, metres, clockMs: clockMsAt(count, at) };
      return { ...count, seen: [...count.seen, seen] };
    }
    case 'beside': {
      const last = count.seen.at(-1);
      const { side, sideMetres } = line;
      if (!last) return count;
      return { ...count, seen: [...count.seen.slice(0, -1), { ...last, side, sideMetres }] };
    }
    case 'mark': {
      const { paces, metres } = count;
      return { ...count, mark: { paces, metres, aheadMetres: line.aheadMetres } };
    }
    case 'box': {
      const box = { side: line.side, out: NOTHING, along: NOTHING, back: NOTHING } as const;
      if (openBox(count)) return count;
      return { ...count, boxes: [...count.boxes, { ...box, walking: 'out' }] };
    }
    case 'turn':
      return turned(count);
    default:
      return null;
  }
}

function after(count: Count, line: CountLine, at: number): Count {
  const next = undoable(count, line, at);
  if (next) return { ...next, before: count };
  switch (line.kind) {
    case 'leg':
      return { ...count, bearing: line.bearing, isKept: false, ground: line.ground };
    case 'target':
      return { ...count, target: line.metres ? { metres: line.metres, name: line.name } : null };
    case 'clock':
      return clocked(count, line.runs, at);
    case 'undo':
      return undone(count);
    case 'end': {
      const { bearing, ground } = count;
      const ended = { ...clocked(count, false, at), ended: null };
      return { ...NO_COUNT, bearing, ground, isKept: bearing !== '', ended };
    }
    case 'resume':
      return isEmpty(count) && count.ended ? count.ended : count;
    default:
      return count;
  }
}

/** Replays records from a count on. An unreadable one is skipped: better a tap lost than all. */
export function replayCount(from: Count, records: readonly unknown[]): Count {
  let count = from;
  for (const record of records) {
    const parsed = countRecordSchema.safeParse(record);
    if (!parsed.success || parsed.data.number <= count.number) continue;
    const { line, at: moment, number } = parsed.data;
    count = { ...after(count, line, Date.parse(moment)), number };
  }
  return count;
}
