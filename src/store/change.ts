import * as z from 'zod/mini';
import { operationSchema } from '../core/edit/operations';
import { outingSchema } from '../core/model/outing';

/**
 * One record of an outing's change log, which is all that is stored: the outing is replayed from
 * it. Records are only added, so that nothing written can be lost by writing more.
 */
export const changeSchema = z.object({
  outing: z.string(),
  /** From 0 without gaps; of two tabs that write the same number, the later one tries again. */
  number: z.int().check(z.gte(0)),
  at: z.iso.datetime(),
  change: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('create'), outing: outingSchema }),
    z.object({ kind: z.literal('edit'), operations: z.array(operationSchema) }),
    z.object({ kind: z.literal('undo'), of: z.int() }),
    z.object({ kind: z.literal('redo'), of: z.int() }),
    z.object({ kind: z.literal('discard') }),
    z.object({ kind: z.literal('recover') }),
  ]),
});
export type ChangeRecord = z.infer<typeof changeSchema>;
export type Change = ChangeRecord['change'];
