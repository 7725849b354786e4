import type { Table } from 'dexie';
import equal from 'fast-deep-equal';
import * as z from 'zod/mini';
import type { Kind, LogState } from '../change-log';

/** A change of a small document: an edit has the whole of it, twice. */
export type DocumentChange<Document> =
  | { readonly kind: 'create'; readonly document: Document }
  | { readonly kind: 'edit'; readonly before: Document; readonly after: Document }
  | { readonly kind: 'undo' | 'redo'; readonly of: number }
  | { readonly kind: 'discard' | 'recover' };

/** An edit of a small document: the whole of it, before and after. */
interface Whole<Document> {
  readonly before: Document;
  readonly after: Document;
}
/** A document by its change log so far. */
export type DocumentState<Document> = LogState<Document, Whole<Document>>;

/** A record as it is stored: its id, and a new document, under the name of their kind. */
export type StoredRecord = Readonly<Record<string, unknown>> & {
  readonly number: number;
  readonly at: string;
};

export type DocumentTable = Table<StoredRecord, [string, number]>;

/** How the records of a kind of document are read, whose name is a key in them, and replayed. */
export function documentKind<Document>(
  name: string,
  schema: z.ZodMiniType<Document>,
): Kind<Document, Whole<Document>> {
  const record = z.object({
    [name]: z.string(),
    number: z.int().check(z.gte(0)),
    at: z.iso.datetime(),
    change: z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('create'), [name]: schema }),
      z.object({ kind: z.literal('edit'), before: schema, after: schema }),
      z.object({ kind: z.literal('undo'), of: z.int() }),
      z.object({ kind: z.literal('redo'), of: z.int() }),
      z.object({ kind: z.literal('discard') }),
      z.object({ kind: z.literal('recover') }),
    ]),
  });
  return {
    read(stored) {
      const parsed = record.safeParse(stored);
      if (!parsed.success) return null;
      // The name of the key is known only here, and the compiler can't follow it.
      const { number, at, change } = parsed.data as unknown as StoredRecord & {
        change: DocumentChange<Document> & Record<string, Document>;
      };
      if (change.kind === 'create') {
        const document = change[name];
        return document === undefined ? null : { number, at, change: { kind: 'create', document } };
      }
      if (change.kind !== 'edit') return { number, at, change };
      const { before, after } = change;
      return { number, at, change: { kind: 'edit', edit: { before, after } } };
    },
    apply: (document, { before, after }) => (equal(document, before) ? after : null),
    reversed: ({ before, after }) => ({ before: after, after: before }),
  };
}

/** A record as it is stored. */
export function storedRecord<Document>(
  name: string,
  id: string,
  number: number,
  now: Date,
  change: DocumentChange<Document>,
): StoredRecord {
  const stored = change.kind === 'create' ? { kind: 'create', [name]: change.document } : change;
  return { [name]: id, number, at: now.toISOString(), change: stored };
}
