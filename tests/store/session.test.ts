import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { addEntry } from '@/core/edit/command';
import { strikeEntry } from '@/core/edit/ink';
import { writeLog } from '@/core/log-text/write-log';
import { CairnDatabase } from '@/store/database';
import { OutingSession, type SessionState } from '@/store/outing-session';
import { markOuting, addOuting, storedOutings } from '@/store/outings';
import { storeFault } from '@/store/store-fault';
import { leg, solvedLog } from '../support/outings';

const now = new Date('2026-08-14T09:40:00Z');
const strike = { at: now.toISOString(), reason: 'slip' };
let count = 0;
const opened: CairnDatabase[] = [];

/** A new database, and another connection to it, as a second tab would have. */
async function twoTabs(text = '000 10m\n090 20m') {
  const name = `test-${count++}`;
  const [first, second] = [new CairnDatabase(name), new CairnDatabase(name)];
  opened.push(first, second);
  await addOuting(first, { ...solvedLog(text).outing, id: 'one' }, now);
  return { first, second };
}
afterEach(() => {
  vi.restoreAllMocks();
  for (const database of opened.splice(0)) database.close();
});

const session = (database: CairnDatabase) => new OutingSession(database, 'one', () => now);
const legsOf = (state: SessionState) =>
  state.status === 'ready' ? writeLog(state.state.document).trimEnd().split('\n').slice(3) : state;

/** The state once the session has read its change log. */
function settled(open: OutingSession, wanted: (state: SessionState) => boolean = () => true) {
  return new Promise<SessionState>((resolve) => {
    const look = () => {
      const state = open.getState();
      if (state.status !== 'loading' && wanted(state)) resolve(state);
    };
    open.subscribe(look);
    look();
  });
}

describe('a session', () => {
  it('stores legs, undoes and redoes them, and a new session finds them again', async () => {
    const { first } = await twoTabs();
    const open = session(first);
    await settled(open);
    expect(await open.run(addEntry(leg(180, 30)), null)).toEqual({ kind: 'saved' });
    expect(await open.run(addEntry(leg(270, 40)), null)).toEqual({ kind: 'saved' });
    await open.undo();
    expect(legsOf(open.getState())).toEqual(['000 10m', '090 20m', '180 30m']);
    await open.undo();
    await open.redo();
    expect(legsOf(open.getState())).toEqual(['000 10m', '090 20m', '180 30m']);

    const again = session(first);
    const state = await settled(again);
    expect(legsOf(state)).toEqual(['000 10m', '090 20m', '180 30m']);
    // Undo works after a reload, and a new edit clears what could be redone.
    expect(state.status === 'ready' && state.state.redoable.length).toBe(1);
    await again.run(addEntry(leg(1, 1)), null);
    const after = again.getState();
    expect(after.status === 'ready' && after.state.redoable).toEqual([]);
    expect(await again.redo()).toEqual({ kind: 'saved' });
    expect(legsOf(again.getState())).toHaveLength(4);
  });

  it('refuses what the outing doesn’t allow, and stores nothing', async () => {
    const { first } = await twoTabs();
    const open = session(first);
    await settled(open);
    const paces = { ...leg(1, 1), distance: { unit: 'paces', value: 5 } } as const;
    expect(await open.run(addEntry(paces), null)).toMatchObject({
      kind: 'refused',
      fault: { code: 'no-pace', unit: 'paces' },
    });
    expect(await first.changes.count()).toBe(1);
  });

  it('two tabs that write at once lose nothing', async () => {
    const { first, second } = await twoTabs();
    const [one, two] = [session(first), session(second)];
    await Promise.all([settled(one), settled(two)]);
    const outcomes = await Promise.all([
      ...Array.from({ length: 10 }, (_, i) => one.run(addEntry(leg(1, i + 1)), null)),
      ...Array.from({ length: 10 }, (_, i) => two.run(addEntry(leg(2, i + 1)), null)),
    ]);
    expect(outcomes.every(({ kind }) => kind === 'saved')).toBe(true);
    const fresh = await settled(session(first));
    const lines = legsOf(fresh) as string[];
    expect(lines).toHaveLength(22);
    expect(new Set(lines).size).toBe(22);
  });

  it('does not change a line that another tab has moved', async () => {
    const { first, second } = await twoTabs();
    const [one, two] = [session(first), session(second)];
    await Promise.all([settled(one), settled(two)]);
    await one.run(strikeEntry(0, leg(0, 10), strike), null);
    const outcome = await two.run(strikeEntry(0, leg(0, 10), strike), null);
    expect(outcome).toMatchObject({ kind: 'refused', fault: { code: 'changed-elsewhere' } });
    const state = await settled(session(first));
    expect(legsOf(state)).toEqual([`  struck ${strike.at} | slip | 000 10m`, '090 20m']);
  });

  it('says when a write failed, and the outing stays as it was', async () => {
    const { first } = await twoTabs();
    const open = session(first);
    await settled(open);
    const full = new Dexie.QuotaExceededError('no room');
    vi.spyOn(first.changes, 'add').mockRejectedValueOnce(full);
    expect(await open.run(addEntry(leg(5, 5)), null)).toEqual({ kind: 'unsaved', fault: 'full' });
    expect(legsOf(open.getState())).toEqual(['000 10m', '090 20m']);
    expect(await open.run(addEntry(leg(5, 5)), null)).toEqual({ kind: 'saved' });
  });

  it('says when there is no such outing', async () => {
    const { first } = await twoTabs();
    expect(await settled(new OutingSession(first, 'other'))).toEqual({ status: 'missing' });
  });

  it('replays up to a damaged record, and keeps what it could not read', async () => {
    const { first } = await twoTabs();
    const open = session(first);
    await settled(open);
    await open.run(addEntry(leg(180, 30)), null);
    const damaged = { outing: 'one', number: 2, at: 'yesterday', change: { kind: 'edit' } };
    await first.changes.add(damaged as never);
    const state = await settled(session(first));
    if (state.status !== 'damaged') throw new Error(state.status);
    expect(state.damage.number).toBe(2);
    expect(state.damage.state!.document.entries).toHaveLength(3);
    expect(state.damage.records).toEqual([damaged]);
    expect((await storedOutings(first))[0]!.damaged).toBe(true);
  });

  it('a damaged outing can be deleted and brought back, its records as they are', async () => {
    const { first } = await twoTabs();
    const damaged = { outing: 'one', number: 2, at: 'yesterday', change: { kind: 'edit' } };
    await first.changes.bulkAdd([{ ...damaged, number: 1 }, damaged] as never);
    await markOuting(first, 'one', 'discard', new Date());
    expect(await storedOutings(first)).toEqual([]);
    await markOuting(first, 'one', 'recover', new Date());
    expect((await storedOutings(first))[0]!.damaged).toBe(true);
    expect(await first.changes.count()).toBe(5);
  });

  it('replays a thousand changes', async () => {
    const { first } = await twoTabs('000 10m');
    const records = Array.from({ length: 1000 }, (_, i) => ({
      outing: 'one',
      number: i + 1,
      at: now.toISOString(),
      change: {
        kind: 'edit' as const,
        operations: [{ op: 'insert' as const, index: i + 1, entries: [leg(i % 360, 5)] }],
      },
    }));
    await first.changes.bulkAdd(records);
    expect(legsOf(await settled(session(first)))).toHaveLength(1001);
  });
});

describe('the outings', () => {
  it('are listed, the last changed first; a deleted one can be restored', async () => {
    const { first } = await twoTabs();
    const other = { ...solvedLog('outing Second\n000 5m').outing, id: 'two' };
    await addOuting(first, other, new Date('2026-08-15T09:40:00Z'));
    const names = async () => (await storedOutings(first)).map(({ state }) => state.document.id);
    expect(await names()).toEqual(['two', 'one']);
    await markOuting(first, 'two', 'discard', now);
    expect(await names()).toEqual(['one']);
    await markOuting(first, 'two', 'discard', now);
    await addOuting(first, other, now);
    expect(await names()).toHaveLength(2);
    const back = (await storedOutings(first)).find(({ state }) => state.document.id === 'two');
    expect(back!.state.document.entries).toHaveLength(1);
  });

  it('are refused when they don’t fit the schema', async () => {
    const { first } = await twoTabs();
    const broken = { ...solvedLog('000 5m').outing, id: 'three', name: 'two\nlines' };
    await expect(addOuting(first, broken, now)).rejects.toThrow();
    expect(await storedOutings(first)).toHaveLength(1);
  });
});

describe('faults of the database', () => {
  it('are distinguished by what a person can do about them', () => {
    const named = (name: string, inner?: unknown) =>
      Object.assign(new Error(name), { name, inner });
    expect(storeFault(named('AbortError', named('QuotaExceededError')))).toBe('full');
    expect(storeFault(named('OpenFailedError', named('VersionError')))).toBe('newer');
    expect(storeFault(named('OpenFailedError', named('UnknownError')))).toBe('unavailable');
    expect(storeFault(named('MissingAPIError'))).toBe('unavailable');
    expect(storeFault(named('Whatever'))).toBe('failed');
    expect(storeFault('text')).toBe('failed');
  });
});

describe('a store that the browser empties under an open tab', () => {
  it('is written again with the whole change log before a leg is said to be saved', async () => {
    const { first, second } = await twoTabs();
    const open = session(first);
    await settled(open);
    await open.run(addEntry(leg(180, 30)), null);
    second.close();
    await new CairnDatabase(first.name).delete();
    expect(await open.run(addEntry(leg(270, 40)), null)).toEqual({ kind: 'saved' });
    const again = session(new CairnDatabase(first.name));
    const wanted = ['000 10m', '090 20m', '180 30m', '270 40m'];
    expect(legsOf(await settled(again))).toEqual(wanted);
    expect(open.getState()).toMatchObject({ status: 'ready', rewritten: true });
    expect(again.getState()).toMatchObject({ status: 'ready', rewritten: false });
    // Its history came back with it.
    await open.undo();
    await open.undo();
    expect(legsOf(open.getState())).toEqual(wanted.slice(0, 2));
  });

  it('is noticed without a write, and told', async () => {
    const { first, second } = await twoTabs();
    const open = session(first);
    await settled(open);
    second.close();
    await new CairnDatabase(first.name).delete();
    const told = await settled(open, (state) => state.status === 'ready' && state.rewritten);
    expect(legsOf(told)).toEqual(['000 10m', '090 20m']);
    const stored = new CairnDatabase(first.name);
    expect(await stored.changes.count()).toBe(1);
    stored.close();
  });

  it('loses its records alone, with the database kept: they come back too', async () => {
    const { first, second } = await twoTabs();
    const open = session(first);
    await settled(open);
    await second.changes.clear();
    expect(await open.run(addEntry(leg(180, 30)), null)).toEqual({ kind: 'saved' });
    expect(await second.changes.count()).toBe(2);
  });
});
