import { group } from 'd3-array';
import equal from 'fast-deep-equal';
import type * as z from 'zod/mini';
import type { CairnDatabase } from '../database';
import { isClash, storeFault, type StoreFault } from '../store-fault';
import { recordReader, storedRecord, type DocumentChange, type DocumentTable } from './change';
import { replayDocument, type DocumentState, type Replayed } from './replay';

/** How a change ended: durable, nothing to do, or not written. */
export type DocumentOutcome =
  | { readonly kind: 'saved' }
  | { readonly kind: 'nothing' }
  | { readonly kind: 'unsaved'; readonly fault: StoreFault };

/** Tabs that keep clashing are few and quick; after this many tries something else is wrong. */
const MOST_TRIES = 64;

/** What makes a change from the newest state; null for nothing to do. */
export type MakeChange<Document> = (
  state: DocumentState<Document> | null,
) => DocumentChange<Document> | null;

/** The change logs of one kind of small document: an area, a route. */
export class DocumentLogs<Document extends { readonly id: string }> {
  private readonly read: ReturnType<typeof recordReader<Document>>;

  constructor(
    /** What the kind is called: the key of the id, and of a new document, in a record. */
    private readonly name: string,
    readonly tableIn: (database: CairnDatabase) => DocumentTable,
    readonly schema: z.ZodMiniType<Document>,
  ) {
    this.read = recordReader(name, schema);
  }

  /** One document by its change log. */
  async stored(database: CairnDatabase, id: string): Promise<Replayed<Document>> {
    const records = await this.tableIn(database)
      .where(`[${this.name}+number]`)
      .between([id, 0], [id, Infinity])
      .toArray();
    return replayDocument(records, this.read);
  }

  /** All documents that aren't deleted, the last changed first. */
  async all(database: CairnDatabase): Promise<DocumentState<Document>[]> {
    const logs = group(await this.tableIn(database).toArray(), (record) => record[this.name]);
    return [...logs.values()]
      .map((records) => replayDocument(records, this.read).state)
      .filter((state): state is DocumentState<Document> => state !== null && !state.discarded)
      .sort((a, b) => b.changedAt.localeCompare(a.changedAt));
  }

  private write(
    database: CairnDatabase,
    id: string,
    number: number,
    now: Date,
    change: DocumentChange<Document>,
  ): Promise<unknown> {
    const record = storedRecord(this.name, { id, number, at: now.toISOString(), change });
    return this.tableIn(database).add(record);
  }

  /**
   * Changes a document: `make` says how, on the newest state. Durable when it resolves; made again
   * where another tab was quicker.
   */
  async change(
    database: CairnDatabase,
    id: string,
    make: MakeChange<Document>,
    now: Date,
  ): Promise<DocumentOutcome> {
    try {
      for (let tries = 0; tries < MOST_TRIES; tries++) {
        const { state, damaged } = await this.stored(database, id);
        if (damaged) return { kind: 'unsaved', fault: 'failed' };
        const change = make(state);
        if (!change) return { kind: 'nothing' };
        try {
          await this.write(database, id, (state?.number ?? -1) + 1, now, change);
          return { kind: 'saved' };
        } catch (error) {
          if (!isClash(error)) throw error;
        }
      }
      return { kind: 'unsaved', fault: 'blocked' };
    } catch (error) {
      return { kind: 'unsaved', fault: storeFault(error) };
    }
  }

  /** Adds a document; one that is there stays as it is. */
  add(database: CairnDatabase, document: Document, now: Date): Promise<DocumentOutcome> {
    const make: MakeChange<Document> = (state) => (state ? null : { kind: 'create', document });
    return this.change(database, document.id, make, now);
  }

  /**
   * Adds a document of a file, inside the transaction of the import; resolves to its id here, or
   * null where the same one is there already. One with other contents is added beside it.
   */
  async import(
    database: CairnDatabase,
    document: Document,
    now: Date,
    newId: () => string,
  ): Promise<string | null> {
    const { state, damaged } = await this.stored(database, document.id);
    if (state && !state.discarded && equal(state.document, document)) return null;
    const id = state || damaged ? newId() : document.id;
    await this.write(database, id, 0, now, { kind: 'create', document: { ...document, id } });
    return id;
  }
}

/** What can be done with an open document; each resolves when it is durable. */
export interface DocumentActions<Document> {
  change(make: (document: Document) => Document): Promise<DocumentOutcome>;
  undo(): Promise<DocumentOutcome>;
  redo(): Promise<DocumentOutcome>;
  discard(): Promise<DocumentOutcome>;
  recover(): Promise<DocumentOutcome>;
}

/** The actions of a document; `tell` is told why a change was not written, or null. */
export function documentActions<Document extends { readonly id: string }>(
  logs: DocumentLogs<Document>,
  database: () => CairnDatabase,
  id: string,
  tell: (fault: StoreFault | null) => void,
): DocumentActions<Document> {
  const write = async (make: MakeChange<Document>) => {
    const outcome = await logs.change(database(), id, make, new Date());
    tell(outcome.kind === 'unsaved' ? outcome.fault : null);
    return outcome;
  };
  const step = (kind: 'undo' | 'redo') => () =>
    write((state) => {
      const edit = (kind === 'undo' ? state?.undoable : state?.redoable)?.at(-1);
      return edit ? { kind, of: edit.number } : null;
    });
  return {
    change: (make) =>
      write((state) => {
        if (!state) return null;
        const after = make(state.document);
        const isSame = equal(after, state.document);
        return isSame ? null : { kind: 'edit', before: state.document, after };
      }),
    undo: step('undo'),
    redo: step('redo'),
    discard: () => write((state) => state && { kind: 'discard' }),
    recover: () => write((state) => state && { kind: 'recover' }),
  };
}
