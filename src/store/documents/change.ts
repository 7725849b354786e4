import type { Table } from 'dexie';
import * as z from 'zod/mini';

/** A change of a small document: an edit has the whole of it, twice. */
export type DocumentChange<Document> =
  | { readonly kind: 'create'; readonly document: Document }
  | { readonly kind: 'edit'; readonly before: Document; readonly after: Document }
  | { readonly kind: 'undo' | 'redo'; readonly of: number }
  | { readonly kind: 'discard' | 'recover' };

/** One record of a document's change log. */
export interface DocumentRecord<Document> {
  readonly id: string;
  /** From 0 without gaps; of two tabs that write the same number, the later one tries again. */
  readonly number: number;
  readonly at: string;
  readonly change: DocumentChange<Document>;
}

/** A record as it is stored: its id, and a new document, under the name of their kind. */
export type StoredRecord = Readonly<Record<string, unknown>> & {
  readonly number: number;
  readonly at: string;
};

export type DocumentTable = Table<StoredRecord, [string, number]>;

/** Reads a stored record of a kind of document, whose name is a key in it; null for no record. */
export function recordReader<Document>(name: string, schema: z.ZodMiniType<Document>) {
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
  return (stored: unknown): DocumentRecord<Document> | null => {
    const parsed = record.safeParse(stored);
    if (!parsed.success) return null;
    // The name of the key is known only here, and the compiler can't follow it.
    const read = parsed.data as unknown as DocumentRecord<Document> & Record<string, string>;
    const { number, at } = read;
    return { id: read[name]!, number, at, change: withDocument(name, read.change) };
  };
}

/** A change whose new document is under its kind's name, under the common one. */
function withDocument<Document>(
  name: string,
  change: DocumentChange<Document>,
): DocumentChange<Document> {
  if (change.kind !== 'create') return change;
  const named = change as unknown as Record<string, Document>;
  return { kind: 'create', document: named[name]! };
}

/** A record as it is stored. */
export function storedRecord<Document>(
  name: string,
  { id, number, at, change }: DocumentRecord<Document>,
): StoredRecord {
  const stored = change.kind === 'create' ? { kind: 'create', [name]: change.document } : change;
  return { [name]: id, number, at, change: stored };
}
