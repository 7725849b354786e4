import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { addEntry } from '@/core/edit/command';
import { strikeEntry } from '@/core/edit/ink';
import { writeLog } from '@/core/log-text/write-log';
import { CairnDatabase } from '@/store/database';
import { OutingSession, type SessionState } from '@/store/outing-session';
import { mark, putOnShelf, shelf } from '@/store/shelf';
import { storeFault } from '@/store/store-fault';
import { leg, solvedLog } from '../support/outings';

const now = new Date('2026-08-14T09:40:00Z');
const strike = { at: now.toISOString(), reason: 'slip' };
let count = 0;
const opened: CairnDatabase[] = [];

/** A fresh database, and another connection to it, as a second tab would have. */
async function twoTabs(text = '000 10m\n090 20m') {
  const name = `test-${count++}`;
  const [first, second] = [new CairnDatabase(name), new CairnDatabase(name)];
  opened.push(first, second);
  await putOnShelf(first, { ...solvedLog(text).outing, id: 'one' }, now);
  return { first, second };
}
afterEach(() => {
  vi.restoreAllMocks();
  for (const database of opened.splice(0)) database.close();
});

const session = (database: CairnDatabase) => new OutingSession(database, 'one', () => now);
const legsOf = (state: SessionState) =>
  state.status === 'ready' ? writeLog(state.page.outing).trimEnd().split('\n').slice(3) : state;

/** The state once the session has read its journal. */
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
  it('writes legs down, undoes and redoes them, and a new one finds them again', async () => {
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
    // Undo reaches back over a reload, and a new edit ends what could be redone.
    expect(state.status === 'ready' && state.page.redoable.length).toBe(1);
    await again.run(addEntry(leg(1, 1)), null);
    const after = again.getState();
    expect(after.status === 'ready' && after.page.redoable).toEqual([]);
    expect(await again.redo()).toEqual({ kind: 'saved' });
    expect(legsOf(again.getState())).toHaveLength(4);
  });

  it('refuses what the page can’t do, and writes nothing', async () => {
    const { first } = await twoTabs();
    const open = session(first);
    await settled(open);
    const paces = { ...leg(1, 1), distance: { unit: 'paces', value: 5 } } as const;
    expect(await open.run(addEntry(paces), null)).toMatchObject({
      kind: 'refused',
      fault: { code: 'no-pace' },
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

  it('a write that fails is told, and the page stays as it was', async () => {
    const { first } = await twoTabs();
    const open = session(first);
    await settled(open);
    const full = new Dexie.QuotaExceededError('no room');
    vi.spyOn(first.changes, 'add').mockRejectedValueOnce(full);
    expect(await open.run(addEntry(leg(5, 5)), null)).toEqual({ kind: 'unsaved', fault: 'full' });
    expect(legsOf(open.getState())).toEqual(['000 10m', '090 20m']);
    expect(await open.run(addEntry(leg(5, 5)), null)).toEqual({ kind: 'saved' });
  });

  it('an outing that is not there is missing', async () => {
    const { first } = await twoTabs();
    expect(await settled(new OutingSession(first, 'other'))).toEqual({ status: 'missing' });
  });

  it('a damaged record stops the reading there, with everything before it intact', async () => {
    const { first } = await twoTabs();
    const open = session(first);
    await settled(open);
    await open.run(addEntry(leg(180, 30)), null);
    const damaged = { outing: 'one', number: 2, at: 'yesterday', change: { kind: 'edit' } };
    await first.changes.add(damaged as never);
    const state = await settled(session(first));
    if (state.status !== 'damaged') throw new Error(state.status);
    expect(state.damage.number).toBe(2);
    expect(state.damage.page!.outing.entries).toHaveLength(3);
    expect(state.damage.records).toEqual([damaged]);
    expect((await shelf(first))[0]!.damaged).toBe(true);
  });

  it('a thousand changes are followed quickly', async () => {
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
    const start = performance.now();
    const state = await settled(session(first));
    expect(legsOf(state)).toHaveLength(1001);
    expect(performance.now() - start).toBeLessThan(3000);
  });
});

describe('the shelf', () => {
  it('lists outings, last changed first; one taken off comes back whole', async () => {
    const { first } = await twoTabs();
    const other = { ...solvedLog('outing Second\n000 5m').outing, id: 'two' };
    await putOnShelf(first, other, new Date('2026-08-15T09:40:00Z'));
    const names = async () => (await shelf(first)).map(({ page }) => page.outing.id);
    expect(await names()).toEqual(['two', 'one']);
    await mark(first, 'two', 'discard', now);
    expect(await names()).toEqual(['one']);
    await mark(first, 'two', 'discard', now);
    await putOnShelf(first, other, now);
    expect(await names()).toHaveLength(2);
    const back = (await shelf(first)).find(({ page }) => page.outing.id === 'two');
    expect(back!.page.outing.entries).toHaveLength(1);
  });

  it('refuses an outing that breaks the schema', async () => {
    const { first } = await twoTabs();
    const broken = { ...solvedLog('000 5m').outing, id: 'three', name: 'two\nlines' };
    await expect(putOnShelf(first, broken, now)).rejects.toThrow();
    expect(await shelf(first)).toHaveLength(1);
  });
});

describe('faults of the database', () => {
  it('are sorted into what a person can do something about', () => {
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
