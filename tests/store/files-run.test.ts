import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { logbookOf } from '@/core/model/logbook';
import type { FileJob } from '@/workers/files-protocol';
import { FilesRun } from '@/workers/files-run';
import { addOuting } from '@/store/outings';
import { paceProfiles } from '@/store/profiles';
import { closeAfterEach, NOW, openDatabase, outingsIn, outingWithId } from '../support/databases';

closeAfterEach();

const job = (content: string, more: Partial<FileJob> = {}): FileJob => ({
  name: 'file',
  content,
  toleranceMetres: 10,
  mapping: null,
  distanceUnit: null,
  today: '2026-08-14',
  paces: [],
  ...more,
});
const book = (...args: Parameters<typeof logbookOf>) => JSON.stringify(logbookOf(...args));
const DATE = NOW.toISOString();

describe('the worker that reads files', () => {
  it('shows what would be imported, and imports it with a choice for each', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    const run = new FilesRun(database);
    const text = book([outingWithId('one', '180 5m'), outingWithId('two')], DATE);
    const answer = await run.read(job(text), () => undefined);
    expect(answer).toMatchObject({
      kind: 'read',
      summary: {
        outings: [
          { legs: 1, conflict: 'other' },
          { legs: 2, conflict: 'nothing' },
        ],
        profiles: 0,
      },
    });
    expect((await outingsIn(database)).size).toBe(1);
    expect(await run.import(['skip', 'keep-both'], () => undefined)).toMatchObject({
      kind: 'imported',
      result: { added: 1, skipped: 1, replaced: 0 },
    });
    expect([...(await outingsIn(database)).keys()].sort()).toEqual(['one', 'two']);
  });

  it('never replaces what clashes unless told, whatever its id', async () => {
    for (const id of ['constructor', '__proto__', 'toString', 'hasOwnProperty']) {
      const database = openDatabase();
      await addOuting(database, outingWithId(id), NOW);
      const run = new FilesRun(database);
      const text = book([outingWithId(id, '180 5m')], DATE);
      expect(await run.read(job(text), () => undefined)).toMatchObject({
        summary: { outings: [{ conflict: 'other' }] },
      });
      await run.import([], () => undefined);
      const there = await outingsIn(database);
      expect(there.size).toBe(2);
      expect(there.get(id)).toEqual(outingWithId(id));
    }
  });

  it('tells its progress, a hundred times at most', async () => {
    const database = openDatabase();
    const run = new FilesRun(database);
    const outings = Array.from({ length: 1000 }, (_, n) => outingWithId(`o${n}`));
    const steps: number[] = [];
    const answer = await run.read(job(book(outings, DATE)), (share) => steps.push(share));
    expect(answer.kind === 'read' && answer.summary.outings).toHaveLength(1000);
    expect(steps.length).toBeGreaterThan(20);
    expect(steps.length).toBeLessThanOrEqual(101);
    expect(steps).toEqual([...steps].sort((a, b) => a - b));
    const written: number[] = [];
    await run.import([], (share) => written.push(share));
    expect(written.length).toBeGreaterThan(50);
    expect((await outingsIn(database)).size).toBe(1000);
  });

  it('imports pace profiles alone, and says how many', async () => {
    const database = openDatabase();
    const run = new FilesRun(database);
    const profile = { id: 'p', name: 'Mine', calibrations: [] };
    const answer = await run.read(job(book([], DATE, [profile])), () => undefined);
    expect(answer).toMatchObject({ kind: 'read', summary: { outings: [], profiles: 1 } });
    expect(await run.import([], () => undefined)).toMatchObject({
      kind: 'imported',
      result: { added: 0 },
      profiles: 1,
    });
    expect(await paceProfiles(database)).toEqual([profile]);
  });

  it('tells why a file can’t be read, and a store that fails', async () => {
    const database = openDatabase();
    const run = new FilesRun(database);
    expect(await run.read(job('22O 65m\n'), () => undefined)).toMatchObject({
      kind: 'unread',
      faults: [{ line: 1 }],
    });
    await expect(run.import([], () => undefined)).rejects.toThrow('nothing was read');
    const table = await run.read(job('bearing,distance\n220,65\n'), () => undefined);
    expect(table).toMatchObject({
      kind: 'unread',
      table: { head: ['bearing', 'distance'], firstRow: ['220', '65'], asksUnit: true },
    });
    database.changes.toCollection = () => {
      throw new DOMException('the disk is away', 'UnknownError');
    };
    expect(await run.read(job('220 65m\n'), () => undefined)).toEqual({
      kind: 'store-fault',
      fault: 'unavailable',
    });
  });
});
