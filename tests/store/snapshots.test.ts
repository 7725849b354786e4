import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { addEntry } from '@/core/edit/command';
import { strikeEntry } from '@/core/edit/ink';
import type { Outing } from '@/core/model/outing';
import type { CairnDatabase } from '@/store/database';
import { OutingSession, type SessionState } from '@/store/outing-session';
import { addOuting, markOuting, replayed, storedOutings, type StoredOuting } from '@/store/outings';
import type { OutingState } from '@/store/replay';
import { listedOutings } from '@/store/snapshots/listed';
import { keepSnapshots, keptSnapshot, snapshotOf, stateOf } from '@/store/snapshots/snapshot';
import { closeAfterEach, NOW, openDatabase, outingWithId } from '../support/databases';
import { leg } from '../support/outings';

closeAfterEach();

const session = (database: CairnDatabase) => new OutingSession(database, 'one', () => NOW);
const readyState = (state: SessionState): OutingState | null =>
  state.status === 'ready' ? state.state : null;

/** Every state that a session shows until it is at a change. */
function statesUntil(open: OutingSession, number: number) {
  const seen: OutingState[] = [];
  return new Promise<{ seen: OutingState[]; stop: () => void }>((resolve) => {
    const stop = open.subscribe(() => {
      const state = readyState(open.getState());
      if (!state) return;
      seen.push(state);
      // The checked state has the edits that undo needs.
      if (state.number === number && state.edits.get(1)) resolve({ seen, stop });
    });
  });
}

/** An outing with so many legs, each logged; undone and redone in between. */
async function logged(legs: number): Promise<CairnDatabase> {
  const database = openDatabase();
  await addOuting(database, outingWithId('one'), NOW);
  const open = session(database);
  for (let n = 0; n < legs; n++) await open.run(addEntry(leg(n, n + 1)), null);
  return database;
}

const records = (database: CairnDatabase) => database.changes.toArray();
const wholeState = async (database: CairnDatabase) => (await replayed(database, 'one'))!.state!;

/** Keeps a snapshot of the outing as it is. */
async function keep(database: CairnDatabase, change: (outing: Outing) => Outing = (it) => it) {
  const state = await wholeState(database);
  const last = (await records(database)).at(-1)!;
  await keepSnapshots(database, [snapshotOf(last, { ...state, document: change(state.document) })]);
}

describe('a snapshot of a change log', () => {
  it('is shown first, then checked: the outing stays the same object', async () => {
    const database = await logged(6);
    await keep(database);
    const whole = await wholeState(database);
    const { seen, stop } = await statesUntil(session(database), 6);
    expect(seen).toHaveLength(2);
    expect(seen[0]!.document).toEqual(whole.document);
    expect(seen[1]!.document).toBe(seen[0]!.document);
    expect(seen[1]).toEqual(whole);
    stop();
  });

  it('lets edits from before it be undone, and takes new ones', async () => {
    const database = await logged(4);
    await keep(database);
    const open = session(database);
    const stop = open.subscribe(() => undefined);
    await vi.waitFor(() => expect(readyState(open.getState())).not.toBeNull());
    for (let times = 0; times < 4; times++) expect(await open.undo()).toEqual({ kind: 'saved' });
    expect(await open.run(addEntry(leg(90, 5)), null)).toEqual({ kind: 'saved' });
    expect(readyState(open.getState())).toEqual(await wholeState(database));
    expect(readyState(open.getState())!.document.entries).toHaveLength(3);
    stop();
  });

  it('with changes after it shows what both come to, also an undo of an older edit', async () => {
    const database = await logged(4);
    await keep(database);
    const other = session(database);
    await other.run(addEntry(leg(7, 7)), null);
    const first = await statesUntil(session(database), 5);
    expect(first.seen.map(({ number }) => number)).toEqual([5, 5]);
    first.stop();
    await other.undo();
    await other.undo();
    const second = await statesUntil(session(database), 7);
    // Nothing is shown that leaves the undo out.
    expect(second.seen.map(({ number }) => number)).toEqual([7]);
    expect(second.seen[0]).toEqual(await wholeState(database));
    second.stop();
  });

  it('that is not of its log is not shown; one that says other things is thrown away', async () => {
    const database = await logged(4);
    await keep(database);
    const last = (await records(database)).at(-1)!;
    await database.changes.put({ ...last, at: '2026-08-15T00:00:00.000Z' });
    expect(await keptSnapshot(database, 'one')).toBeNull();
    await database.changes.put(last);
    expect(await keptSnapshot(database, 'one')).not.toBeNull();
    await database.changes.delete(['one', 2]);
    expect(await keptSnapshot(database, 'one')).toBeNull();

    const tampered = await logged(4);
    await keep(tampered, (outing) => ({ ...outing, name: 'Another' }));
    const { seen, stop } = await statesUntil(session(tampered), 4);
    expect(seen.at(-1)!.document.name).not.toBe('Another');
    await vi.waitFor(async () => expect(await tampered.snapshots.count()).toBe(0));
    stop();
  });

  it('that can’t be read is done without', async () => {
    const database = await logged(2);
    await keep(database);
    const snapshot = (await database.snapshots.get('one'))!;
    const state = { ...snapshot.state, outing: { ...snapshot.state.outing, entries: 'none' } };
    expect(stateOf({ ...snapshot, state } as never)).toBeNull();
    await database.snapshots.put({ ...snapshot, state } as never);
    const { seen, stop } = await statesUntil(session(database), 2);
    expect(seen).toHaveLength(1);
    stop();
  });

  it('shows damage that came after it, and before it', async () => {
    for (const number of [1, 5]) {
      const database = await logged(4);
      await keep(database);
      await database.changes.put({ outing: 'one', number, at: 'never', change: {} } as never);
      const open = session(database);
      const stop = open.subscribe(() => undefined);
      await vi.waitFor(() => expect(open.getState().status).toBe('damaged'));
      const state = open.getState();
      const damage = state.status === 'damaged' ? state.damage : null;
      expect(damage!.number).toBe(number);
      expect(damage!.records).toHaveLength(number === 1 ? 4 : 1);
      stop();
    }
  });

  it('is kept after fifty changes, once it is quiet', async () => {
    const database = await logged(0);
    const open = session(database);
    const stop = open.subscribe(() => undefined);
    await vi.waitFor(() => expect(readyState(open.getState())).not.toBeNull());
    for (let n = 0; n < 48; n++) await open.run(addEntry(leg(n, n + 1)), null);
    await new Promise((resolve) => setTimeout(resolve, 3500));
    expect(await database.snapshots.count()).toBe(0);
    for (let n = 0; n < 3; n++) await open.run(addEntry(leg(n, n + 1)), null);
    await vi.waitFor(async () => expect((await database.snapshots.get('one'))?.number).toBe(51), {
      timeout: 20_000,
    });
    expect((await keptSnapshot(database, 'one'))!.state.document).toEqual(
      (await wholeState(database)).document,
    );
    stop();
  });
});

describe('the list of outings from snapshots', () => {
  /** What is done to an outing, in any order. */
  const step = fc.constantFrom('add', 'strike', 'undo', 'redo', 'keep', 'discard', 'recover');

  it('is the list by whole change logs, whatever was done', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 14 }), async (steps) => {
        const database = await logged(2);
        await addOuting(database, outingWithId('two'), NOW);
        const open = session(database);
        for (const [index, each] of steps.entries()) {
          if (each === 'add') await open.run(addEntry(leg(index, 10 + index)), null);
          if (each === 'strike') {
            await open.run(
              strikeEntry(0, leg(0, 10), { at: NOW.toISOString(), reason: 'slip' }),
              null,
            );
          }
          if (each === 'undo') await open.undo();
          if (each === 'redo') await open.redo();
          if (each === 'keep') await keep(database);
          if (each === 'discard' || each === 'recover') {
            await markOuting(database, 'one', each, NOW);
          }
        }
        const plain = (outings: readonly StoredOuting[]) =>
          outings.map(({ state: { document, number, undoable }, damaged }) => ({
            document,
            number,
            undoable,
            damaged,
          }));
        const { outings } = await listedOutings(database);
        expect(plain(outings)).toEqual(plain(await storedOutings(database)));
      }),
      { numRuns: 40 },
    );
  });

  it('says which are worth keeping: those with many changes', async () => {
    const database = await logged(60);
    const { worthKeeping } = await listedOutings(database);
    expect(worthKeeping.map(({ outing, number }) => [outing, number])).toEqual([['one', 60]]);
    await keepSnapshots(database, worthKeeping);
    expect((await listedOutings(database)).worthKeeping).toEqual([]);
  });
});
