import equal from 'fast-deep-equal';
import { z } from 'zod';
import type { Fault } from '../faults';
import { entrySchema, headerOf, headerSchema, type Entry, type Outing } from '../logbook';
import { fail, ok, type Result } from '../result';

const index = z.number().int().min(0);

/**
 * The smallest reversible changes to an outing. Each carries what it takes away as well as what it puts in,
 * which gives undo, and refuses to act on a page that is no longer the one it was meant for.
 */
export const operationSchema = z.discriminatedUnion('op', [
  z.object({ op: z.literal('insert'), index, entries: z.array(entrySchema) }),
  z.object({ op: z.literal('remove'), index, entries: z.array(entrySchema) }),
  z.object({ op: z.literal('replace'), index, before: entrySchema, after: entrySchema }),
  z.object({ op: z.literal('header'), before: headerSchema, after: headerSchema }),
]);
export type Operation = z.infer<typeof operationSchema>;

const elsewhere = fail<Fault>({ code: 'changed-elsewhere' });

function applyTo(outing: Outing, operation: Operation): Result<Outing, Fault> {
  const { entries } = outing;
  switch (operation.op) {
    case 'insert': {
      if (operation.index > entries.length) return elsewhere;
      const next = entries.slice();
      next.splice(operation.index, 0, ...operation.entries);
      return ok({ ...outing, entries: next });
    }
    case 'remove': {
      const end = operation.index + operation.entries.length;
      if (!equal(entries.slice(operation.index, end), operation.entries)) return elsewhere;
      return ok({ ...outing, entries: entries.toSpliced(operation.index, end - operation.index) });
    }
    case 'replace': {
      if (!equal(entries[operation.index], operation.before)) return elsewhere;
      return ok({ ...outing, entries: entries.with(operation.index, operation.after) });
    }
    case 'header':
      if (!equal(headerOf(outing), operation.before)) return elsewhere;
      return ok({ id: outing.id, ...operation.after, entries });
  }
}

/** The outing after the operations, in order: all of them or none. */
export function applied(outing: Outing, operations: readonly Operation[]): Result<Outing, Fault> {
  let current = outing;
  for (const operation of operations) {
    const next = applyTo(current, operation);
    if (!next.ok) return next;
    current = next.value;
  }
  return ok(current);
}

function inverseOf(operation: Operation): Operation {
  switch (operation.op) {
    case 'insert':
      return { ...operation, op: 'remove' };
    case 'remove':
      return { ...operation, op: 'insert' };
    default:
      return { ...operation, before: operation.after, after: operation.before } as Operation;
  }
}

/** The operations that take these back. */
export const inverse = (operations: readonly Operation[]): Operation[] =>
  operations.map(inverseOf).reverse();

/** A page's entries put in one go, without spreading a long list over the stack. */
export const insertion = (at: number, entries: Entry[]): Operation => ({
  op: 'insert',
  index: at,
  entries,
});
