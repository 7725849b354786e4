import * as z from 'zod/mini';
import { areaSchema } from '../../core/model/area';

/** One record of an area's change log. An area is small: an edit has the whole of it, twice. */
export const areaChangeSchema = z.object({
  area: z.string(),
  /** From 0 without gaps; of two tabs that write the same number, the later one tries again. */
  number: z.int().check(z.gte(0)),
  at: z.iso.datetime(),
  change: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('create'), area: areaSchema }),
    z.object({ kind: z.literal('edit'), before: areaSchema, after: areaSchema }),
    z.object({ kind: z.literal('undo'), of: z.int() }),
    z.object({ kind: z.literal('redo'), of: z.int() }),
    z.object({ kind: z.literal('discard') }),
    z.object({ kind: z.literal('recover') }),
  ]),
});
export type AreaRecord = z.infer<typeof areaChangeSchema>;
export type AreaChange = AreaRecord['change'];
