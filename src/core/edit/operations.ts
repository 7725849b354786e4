import equal from 'fast-deep-equal';
import * as z from 'zod/mini';
import { entrySchema, type Entry } from '../entries/entry';
import type { Fault } from '../faults/fault';
import { headerSchema } from '../model/header';
import { headerOf, type Outing } from '../model/outing';
import { fail, ok, type Result } from '../units/result';

const index = z.int().check(z.gte(0));

/**
 * The smallest reversible changes to an outing. Each carries what it takes away as well as what it
 * puts in, which gives undo, and refuses to act on an outing that is not the one it was made for.
 */
export const operationSchema = z.discriminatedUnion('op', [
  z.object({ op: z.literal('insert'), index, entries: z.array(entrySchema) }),
  z.object({ op: z.literal('remove'), index, entries: z.array(entrySchema) }),
  z.object({ op: z.literal('replace'), index, before: entrySchema, after: entrySchema }),
  z.object({ op: z.literal('header'), before: headerSchema, after: headerSchema }),
]);
export type Operation = z.infer<typeof operationSchema>;

const changedElsewhere = fail<Fault>({ code: 'changed-elsewhere' });

function applyOne(outing: Outing, operation: Operation): Result<Outing, Fault> {
  const { entries } = outing;
  switch (operation.op) {
    case 'insert': {
      if (operation.index > entries.length) return changedElsewhere;
      // Not by `toSpliced`: a long list would not fit on the stack as arguments.
      const [before, after] = [entries.slice(0, operation.index), entries.slice(operation.index)];
      return ok({ ...outing, entries: [...before, ...operation.entries, ...after] });
    }
    case 'remove': {
      const end = operation.index + operation.entries.length;
      if (!equal(entries.slice(operation.index, end), operation.entries)) return changedElsewhere;
      return ok({ ...outing, entries: entries.toSpliced(operation.index, end - operation.index) });
    }
    case 'replace': {
      if (!equal(entries[operation.index], operation.before)) return changedElsewhere;
      return ok({ ...outing, entries: entries.with(operation.index, operation.after) });
    }
    case 'header':
      if (!equal(headerOf(outing), operation.before)) return changedElsewhere;
      return ok({ id: outing.id, ...operation.after, entries });
  }
}

/** The outing after the operations, in order: all of them or none. */
export function apply(outing: Outing, operations: readonly Operation[]): Result<Outing, Fault> {
  let current = outing;
  for (const operation of operations) {
    const next = applyOne(current, operation);
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
    case 'replace':
      return { ...operation, before: operation.after, after: operation.before };
    case 'header':
      return { ...operation, before: operation.after, after: operation.before };
  }
}

/** The operations that undo these. */
export const inverse = (operations: readonly Operation[]): Operation[] =>
  operations.map(inverseOf).reverse();

/** Entries inserted at an index. */
export const insertion = (at: number, entries: Entry[]): Operation => ({
  op: 'insert',
  index: at,
  entries,
});
