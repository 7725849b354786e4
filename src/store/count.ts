import { z } from 'zod';

const at = z.iso.datetime();

/**
 * One record of a count: a tap, an undo, a feature, what the count is for. Each is stored when it
 * happens, so that a reload or a locked phone loses none; the count is replayed from them.
 */
const countRecordSchema = z.object({
  /** Which count: an outing's id, or that of a calibration. */
  count: z.string(),
  number: z.number().int().min(0),
  at,
  line: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('paces'), by: z.number().positive() }),
    z.object({ kind: z.literal('metres'), by: z.number().positive() }),
    z.object({ kind: z.literal('undo') }),
    z.object({
      kind: z.literal('seen'),
      what: z.string(),
      side: z.enum(['left', 'right']).optional(),
      sideMetres: z.number().min(0).optional(),
    }),
    /** The bearing to follow and the ground, as typed. */
    z.object({ kind: z.literal('leg'), bearing: z.string(), ground: z.string().optional() }),
    /** The count was used or dropped: the next starts at 0. */
    z.object({ kind: z.literal('end') }),
  ]),
});
export type CountRecord = z.infer<typeof countRecordSchema>;
export type CountLine = CountRecord['line'];

/** A feature noted during a count, and how far along it was. */
interface SeenAt {
  readonly paces: number;
  readonly metres: number;
  readonly what: string;
  readonly side?: 'left' | 'right';
  readonly sideMetres?: number;
}

/** The state of a count. Paces and metres are kept apart: a tap may stand for either. */
export interface Count {
  /** Number of the newest record; -1 for none. */
  readonly number: number;
  readonly paces: number;
  readonly metres: number;
  readonly bearing: string;
  readonly ground: string | undefined;
  readonly seen: readonly SeenAt[];
  /** The records that can be undone, the last one last. */
  readonly undoable: readonly CountLine[];
}

export const NO_COUNT: Count = {
  number: -1,
  paces: 0,
  metres: 0,
  bearing: '',
  ground: undefined,
  seen: [],
  undoable: [],
};

function undone(count: Count): Count {
  const last = count.undoable.at(-1);
  const undoable = count.undoable.slice(0, -1);
  if (last?.kind === 'paces') return { ...count, paces: count.paces - last.by, undoable };
  if (last?.kind === 'metres') return { ...count, metres: count.metres - last.by, undoable };
  if (last?.kind === 'seen') return { ...count, seen: count.seen.slice(0, -1), undoable };
  return count;
}

function after(count: Count, line: CountLine): Count {
  switch (line.kind) {
    case 'paces':
      return { ...count, paces: count.paces + line.by, undoable: [...count.undoable, line] };
    case 'metres':
      return { ...count, metres: count.metres + line.by, undoable: [...count.undoable, line] };
    case 'seen': {
      const { what, side, sideMetres } = line;
      const seen: SeenAt = { paces: count.paces, metres: count.metres, what, side, sideMetres };
      return { ...count, seen: [...count.seen, seen], undoable: [...count.undoable, line] };
    }
    case 'leg':
      return { ...count, bearing: line.bearing, ground: line.ground };
    case 'undo':
      return undone(count);
    case 'end':
      return { ...NO_COUNT, number: count.number };
  }
}

/** Replays records from a count on. An unreadable one is skipped: better a tap lost than all. */
export function replayCount(from: Count, records: readonly unknown[]): Count {
  let count = from;
  for (const record of records) {
    const parsed = countRecordSchema.safeParse(record);
    if (!parsed.success || parsed.data.number <= count.number) continue;
    count = { ...after(count, parsed.data.line), number: parsed.data.number };
  }
  return count;
}
