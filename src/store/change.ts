import { z } from 'zod';
import { operationSchema } from '../core/edit/operations';
import { outingSchema } from '../core/logbook';

/**
 * One line of an outing's journal. The journal is all that is stored: an outing is what its changes, in
 * order, come to. Nothing is overwritten, so nothing that was written can be lost by writing more.
 */
export const changeSchema = z.object({
  outing: z.string(),
  /** Counts from 0 without gaps; two tabs that write the same number clash, and the later one tries again. */
  number: z.number().int().min(0),
  at: z.iso.datetime(),
  change: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('create'), outing: outingSchema }),
    z.object({ kind: z.literal('edit'), operations: z.array(operationSchema) }),
    z.object({ kind: z.literal('undo'), of: z.number().int() }),
    z.object({ kind: z.literal('redo'), of: z.number().int() }),
    z.object({ kind: z.literal('discard') }),
    z.object({ kind: z.literal('recover') }),
  ]),
});
export type ChangeRecord = z.infer<typeof changeSchema>;
export type Change = ChangeRecord['change'];
