import { group } from 'd3-array';
import equal from 'fast-deep-equal';
import type * as z from 'zod/mini';
import { inTime, type CairnDatabase } from '../database';
import { againstOtherTabs, unlessClash } from '../log-session';
import { storeFault, type StoreFault } from '../store-fault';
import { replayLog, stepOf, type LogReplayed } from '../change-log';
import {
  documentKind,
  storedRecord,
  type DocumentChange,
  type DocumentState,
  type DocumentTable,
  type StoredRecord,
} from './change';

/** How a change ended: durable, nothing to do, or not written. */
export type DocumentOutcome =
  | { readonly kind: 'saved' }
  | { readonly kind: 'nothing' }
  | { readonly kind: 'unsaved'; readonly fault: StoreFault };

/** A change of a document that another tab deleted: it has to be restored first. */
const GONE = 'gone';

/** What makes a change from the newest state; null for nothing to do. */
export type MakeChange<Document> = (
  state: DocumentState<Document> | null,
) => DocumentChange<Document> | typeof GONE | null;

/** The change logs of one kind of small document: an area, a route. */
export class DocumentLogs<Document extends { readonly id: string }> {
  private readonly kind: ReturnType<typeof documentKind<Document>>;
  /** What this tab has seen of each log: written again where the browser deleted it meanwhile. */
  private readonly seen = new WeakMap<CairnDatabase, Map<string, readonly StoredRecord[]>>();

  constructor(
    /** What the kind is called: the key of the id, and of a new document, in a record. */
    private readonly name: string,
    readonly tableIn: (database: CairnDatabase) => DocumentTable,
    readonly schema: z.ZodMiniType<Document>,
  ) {
    this.kind = documentKind(name, schema);
  }

  private readonly replayed = (records: readonly StoredRecord[]) =>
    replayLog(this.kind, null, records);

  private seenIn(database: CairnDatabase): Map<string, readonly StoredRecord[]> {
    const known = this.seen.get(database) ?? new Map<string, readonly StoredRecord[]>();
    this.seen.set(database, known);
    return known;
  }

  /** One document by its change log; one that the browser deleted is as this tab last saw it. */
  async stored(database: CairnDatabase, id: string): Promise<LogReplayed<DocumentState<Document>>> {
    const records = await this.tableIn(database)
      .where(`[${this.name}+number]`)
      .between([id, 0], [id, Infinity])
      .toArray();
    const seen = this.seenIn(database);
    if (records.length > 0) seen.set(id, records);
    return this.replayed(records.length > 0 ? records : (seen.get(id) ?? []));
  }

  /** Writes a log again if the browser deleted it under this tab: no log ever loses its first. */
  private async restore(database: CairnDatabase, id: string): Promise<void> {
    const seen = this.seenIn(database).get(id);
    if (!seen) return;
    const table = this.tableIn(database);
    await database.transaction('rw', table, async () => {
      const there = await table.where(':id').equals([id, 0]).count();
      if (there === 0) await table.bulkPut(seen);
    });
  }

  /** All documents that aren't deleted, the last changed first. */
  async all(database: CairnDatabase): Promise<DocumentState<Document>[]> {
    const logs = group(await this.tableIn(database).toArray(), (record) => record[this.name]);
    return [...logs.values()]
      .map((records) => this.replayed(records).state)
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
    return this.tableIn(database).add(storedRecord(this.name, id, number, now, change));
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
      await inTime(this.restore(database, id));
      const outcome = await againstOtherTabs(async (): Promise<DocumentOutcome | null> => {
        const { state, damage } = await inTime(this.stored(database, id));
        if (damage) return { kind: 'unsaved', fault: 'failed' };
        const change = make(state);
        if (!change) return { kind: 'nothing' };
        if (change === GONE) return { kind: 'unsaved', fault: GONE };
        const written = this.write(database, id, (state?.number ?? -1) + 1, now, change);
        return (await unlessClash(written)) ? { kind: 'saved' } : null;
      });
      return outcome === 'blocked' ? { kind: 'unsaved', fault: outcome } : outcome;
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
    const { state, damage } = await this.stored(database, document.id);
    if (state && !state.discarded && equal(state.document, document)) return null;
    const id = state || damage ? newId() : document.id;
    await this.write(database, id, 0, now, { kind: 'create', document: { ...document, id } });
    return id;
  }
}

/** The edit of a document; nothing where it stays the same, refused where it was deleted. */
export function edited<Document>(
  state: DocumentState<Document> | null,
  make: (document: Document) => Document,
): ReturnType<MakeChange<Document>> {
  if (!state) return null;
  if (state.discarded) return GONE;
  const after = make(state.document);
  return equal(after, state.document) ? null : { kind: 'edit', before: state.document, after };
}

/** What can be done with an open document; each resolves when it is durable. */
export interface DocumentActions<Document> {
  change(make: (document: Document) => Document): Promise<DocumentOutcome>;
  undo(): Promise<DocumentOutcome>;
  redo(): Promise<DocumentOutcome>;
  discard(): Promise<DocumentOutcome>;
  recover(): Promise<DocumentOutcome>;
}

/** The actions of a document; `tell` is called with why a change was not written, or null. */
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
      if (state?.discarded) return GONE;
      return state && stepOf(kind, state);
    });
  return {
    change: (make) => write((state) => edited(state, make)),
    undo: step('undo'),
    redo: step('redo'),
    discard: () => write((state) => state && { kind: 'discard' }),
    recover: () => write((state) => state && { kind: 'recover' }),
  };
}
