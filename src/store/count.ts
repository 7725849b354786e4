import { z } from 'zod';

const at = z.iso.datetime();

/**
 * One line of a count's journal: a tap, its undoing, something seen, what the count is for. A count is what its lines
 * come to; each is written down when it happens, so that a reload or a locked phone loses none.
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
    /** The bearing to hold and the ground, as typed. */
    z.object({ kind: z.literal('leg'), bearing: z.string(), ground: z.string().optional() }),
    /** The count was used or given up: the next begins at nothing. */
    z.object({ kind: z.literal('end') }),
  ]),
});
export type CountRecord = z.infer<typeof countRecordSchema>;
export type CountLine = CountRecord['line'];

/** Something seen during a count, and how far along it was. */
interface SeenAt {
  readonly paces: number;
  readonly metres: number;
  readonly what: string;
  readonly side?: 'left' | 'right';
  readonly sideMetres?: number;
}

/** What a count comes to. Paces and metres are kept apart: a tap may stand for either. */
export interface Count {
  /** Number of the newest line; -1 for none. */
  readonly number: number;
  readonly paces: number;
  readonly metres: number;
  readonly bearing: string;
  readonly ground: string | undefined;
  readonly seen: readonly SeenAt[];
  /** The lines that can be undone, the last one last. */
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

/** Follows records from a count on. A record that can't be read is passed over: a lost tap is better than a lost count. */
export function followCount(from: Count, records: readonly unknown[]): Count {
  let count = from;
  for (const record of records) {
    const parsed = countRecordSchema.safeParse(record);
    if (!parsed.success || parsed.data.number <= count.number) continue;
    count = { ...after(count, parsed.data.line), number: parsed.data.number };
  }
  return count;
}
