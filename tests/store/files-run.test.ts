import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { logbookOf } from '@/core/model/logbook';
import type { FileJob } from '@/workers/files-protocol';
import { FilesRun } from '@/workers/files-run';
import { addOuting } from '@/store/outings';
import { paceProfiles } from '@/store/profiles';
import { closeAfterEach, NOW, openDatabase, outingsIn, outingWithId } from '../support/databases';

closeAfterEach();

const job = (...contents: string[]): FileJob => ({
  files: contents.map((content, index) => ({
    name: `file ${index + 1}`,
    content,
    mapping: null,
    distanceUnit: null,
  })),
  toleranceMetres: 10,
  today: '2026-08-14',
  paces: [],
});
const book = (...args: Parameters<typeof logbookOf>) => JSON.stringify(logbookOf(...args));
const DATE = NOW.toISOString();

describe('the worker that reads files', () => {
  it('shows what would be imported, and imports it with a choice for each', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    const run = new FilesRun(database);
    const text = book([outingWithId('one', '180 5m'), outingWithId('two', '100 7m\n200 9m')], DATE);
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
      kind: 'read',
      unread: [{ name: 'file 1', faults: [{ line: 1 }] }],
    });
    await expect(run.import([], () => undefined)).rejects.toThrow('nothing was read');
    const table = await run.read(job('bearing,distance\n220,65\n'), () => undefined);
    expect(table).toMatchObject({
      unread: [{ file: 0 }],
      tables: [
        { table: { head: ['bearing', 'distance'], firstRow: ['220', '65'], asksUnit: true } },
      ],
    });
    database.changes.toCollection = () => {
      throw new DOMException('the disk is away', 'UnknownError');
    };
    expect(await run.read(job('220 65m\n'), () => undefined)).toEqual({
      kind: 'store-fault',
      fault: 'unavailable',
    });
  });

  const CIL =
    'cairn-back log 1\nouting Cil\nby Cil\ndate 2026-07-03\nstart Ford\n220 65m\n350 130m\n';
  const DAN = CIL.replaceAll('Cil', 'Dan').replace('220 65m', '100 40m');

  it('takes any number of files, and says which can’t be read', async () => {
    const database = openDatabase();
    const run = new FilesRun(database);
    const answer = await run.read(job(CIL, '22O 65m', DAN, CIL), () => undefined);
    expect(answer).toMatchObject({
      summary: {
        outings: [
          { name: 'Cil', by: 'Cil', day: '2026-07-03', legs: 2, conflict: 'nothing' },
          { name: 'Dan', by: 'Dan', conflict: 'nothing' },
        ],
        messages: ['file 4: 1 of the outings in file 4 are in the files before it as well.'],
      },
      unread: [{ file: 1, name: 'file 2', faults: [{ line: 1, column: 3 }] }],
    });
    expect(await run.import([], () => undefined)).toMatchObject({ result: { added: 2 } });
    // And both in one text, which was pasted.
    const pasted = await run.read(job(`${CIL}\n${DAN}`), () => undefined);
    expect(pasted).toMatchObject({
      summary: { outings: [{ conflict: 'same' }, { conflict: 'same' }] },
    });
    expect(await run.import([], () => undefined)).toMatchObject({
      result: { added: 0, skipped: 2 },
    });
    expect((await outingsIn(database)).size).toBe(2);
  });

  it('knows an outing again by its start, its day and its legs, and replaces that', async () => {
    const database = openDatabase();
    const run = new FilesRun(database);
    const choose = async (log: string, choice: 'keep-both' | 'replace' | 'skip') => {
      const read = await run.read(job(log), () => undefined);
      await run.import([choice], () => undefined);
      return read.kind === 'read' ? read.summary.outings.map(({ conflict }) => conflict) : [];
    };
    await choose(CIL, 'keep-both');
    const [id] = [...(await outingsIn(database)).keys()];
    const longer = CIL.replace('350 130m', '351 130m') + '090 20m\n';
    expect(await choose(longer, 'replace')).toEqual(['other']);
    const there = await outingsIn(database);
    expect([...there.keys()]).toEqual([id]);
    expect(there.get(id!)!.entries).toHaveLength(3);
    expect(await choose(longer, 'keep-both')).toEqual(['same']);
    // Another day, another start, another person, other legs: another outing.
    for (const other of [
      CIL.replace('07-03', '07-04'),
      CIL.replace('Ford', 'Dock'),
      CIL.replace('by Cil', 'by Dan'),
      CIL.replace('220 65m', '100 40m').replace('350 130m', '010 20m'),
    ]) {
      expect(await choose(other, 'skip')).toEqual(['nothing']);
    }
    expect((await outingsIn(database)).size).toBe(5);
    expect(await choose(longer + '100 3m\n', 'keep-both')).toEqual(['other']);
    expect((await outingsIn(database)).size).toBe(6);
  });
});
