import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Calibration } from '@/core/model/pace-profile';
import { replayCount, NO_COUNT, type CountLine } from '@/store/count';
import { CountSession } from '@/store/count-session';
import { CairnDatabase, SCHEMA_VERSION } from '@/store/database';
import { addCalibration, nameProfile, paceProfiles } from '@/store/profiles';
import { storedOutings } from '@/store/outings';

let databases = 0;
const fresh = () => new CairnDatabase(`count-${databases++}`);
const at = () => new Date('2026-08-14T09:40:00Z');
const countOf = (session: CountSession) => {
  const state = session.getState();
  return state.status === 'ready' ? state.count : NO_COUNT;
};

describe('a count', () => {
  it('that could not be read is tried again (it stayed unavailable)', async () => {
    const database = fresh();
    const session = new CountSession(database, 'outing', at);
    await session.add({ kind: 'paces', by: 7 });
    const { counts } = database;
    const where = counts.where.bind(counts);
    counts.where = () => {
      throw new Error('the disk is away');
    };
    expect(await session.settled()).toBeNull();
    expect(session.getState().status).toBe('unavailable');
    counts.where = where;
    expect((await session.settled())?.paces).toBe(7);
  });

  it('survives a store that the browser empties under it', async () => {
    const database = fresh();
    const session = new CountSession(database, 'outing', at);
    await session.add({ kind: 'paces', by: 7 });
    await new CairnDatabase(database.name).delete();
    expect(await session.add({ kind: 'paces', by: 1 })).toBeNull();
    const again = new CountSession(new CairnDatabase(database.name), 'outing', at);
    expect((await again.settled())?.paces).toBe(8);
  });

  it('that another tab has gone on with is not settled until it was shown', async () => {
    const database = fresh();
    const [one, other] = [0, 1].map(() => new CountSession(database, 'outing', at));
    await one!.add({ kind: 'paces', by: 7 });
    expect((await other!.settled())?.paces).toBe(7);
    await one!.add({ kind: 'end' });
    expect(countOf(other!).number).toBe(0);
    expect(await other!.settled()).toBeNull();
    expect(await other!.settled()).toMatchObject({ paces: 0, number: 1 });
  });

  it('is settled with the taps and undos that were still being written', async () => {
    const session = new CountSession(fresh(), 'outing', at);
    for (const by of [300, 400]) void session.add({ kind: 'metres', by });
    void session.add({ kind: 'undo' });
    expect(countOf(session)).toEqual(NO_COUNT);
    expect(await session.settled()).toMatchObject({ metres: 300, number: 2 });
  });

  it('is replayed from its taps, no matter who reads them', async () => {
    const database = fresh();
    const session = new CountSession(database, 'outing', at);
    await Promise.all(Array.from({ length: 40 }, () => session.add({ kind: 'paces', by: 1 })));
    await session.add({ kind: 'metres', by: 100 });
    await session.add({ kind: 'seen', what: 'spring', side: 'left', sideMetres: 12 });
    await session.add({ kind: 'leg', bearing: '231', ground: 'rough' });
    await session.add({ kind: 'paces', by: 10 });
    await session.add({ kind: 'undo' });
    const again = new CountSession(database, 'outing', at);
    await again.add({ kind: 'paces', by: 1 });
    expect(countOf(again)).toMatchObject({
      paces: 41,
      metres: 100,
      bearing: '231',
      ground: 'rough',
      seen: [{ paces: 40, metres: 100, what: 'spring', side: 'left', sideMetres: 12 }],
    });
    await again.add({ kind: 'end' });
    expect(countOf(again)).toMatchObject({ paces: 0, metres: 0, seen: [], bearing: '231' });
  });

  it('of two tabs at once loses no tap', async () => {
    const database = fresh();
    const [one, other] = [new CountSession(database, 'x', at), new CountSession(database, 'x', at)];
    const faults = await Promise.all(
      Array.from({ length: 60 }, (_, i) => (i % 2 ? one : other).add({ kind: 'paces', by: 1 })),
    );
    expect(faults.every((fault) => fault === null)).toBe(true);
    const records = await database.counts.toArray();
    expect(replayCount(NO_COUNT, records).paces).toBe(60);
  });

  it('says when a tap was not saved', async () => {
    const database = fresh();
    const session = new CountSession(database, 'x', at);
    await session.add({ kind: 'paces', by: 1 });
    database.close();
    await database.delete();
    const broken = new CountSession(
      {
        counts: {
          where: () => {
            throw new DOMException('full', 'QuotaExceededError');
          },
        },
      } as never,
      'x',
      at,
    );
    expect(await broken.add({ kind: 'paces', by: 1 })).toBe('full');
  });

  it('undone tap by tap is zero, whatever was tapped', () => {
    const line: fc.Arbitrary<CountLine> = fc.oneof(
      fc.record({ kind: fc.constant('paces' as const), by: fc.constantFrom(0.5, 1, 10) }),
      fc.record({ kind: fc.constant('metres' as const), by: fc.constant(100) }),
      fc.record({ kind: fc.constant('seen' as const), what: fc.constant('tree') }),
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 30 }), (lines) => {
        const undos = lines.map((): CountLine => ({ kind: 'undo' }));
        const records = [...lines, ...undos, { kind: 'undo' as const }].map((each, number) => ({
          count: 'x',
          number,
          at: at().toISOString(),
          line: each,
        }));
        const { paces, metres, seen } = replayCount(NO_COUNT, records);
        expect([paces, metres, seen]).toEqual([0, 0, []]);
      }),
    );
  });

  it('skips a record that can’t be read, and one that it has already', () => {
    const tap = (number: number) => ({
      count: 'x',
      number,
      at: at().toISOString(),
      line: { kind: 'paces', by: 1 },
    });
    const records = [tap(0), { count: 'x', number: 1, line: 7 }, tap(2), tap(2)];
    expect(replayCount(NO_COUNT, records).paces).toBe(2);
  });
});

describe('pace profiles', () => {
  const calibration = (id: string): Calibration => ({
    id,
    at: at().toISOString(),
    course: { value: 100, unit: 'metres' },
    counted: 'paces',
    counts: [65, 66, 64],
  });

  it('keep every calibration, also of two tabs at once, and a new name', async () => {
    const database = fresh();
    const profile = { id: 'p', name: 'Mine' };
    await Promise.all(
      ['a', 'b', 'c', 'd'].map((id) => addCalibration(database, profile, calibration(id))),
    );
    await nameProfile(database, 'p', 'Boots');
    await nameProfile(database, 'q', 'Skis');
    const found = await paceProfiles(database);
    expect(found.map(({ name }) => name)).toEqual(['Boots', 'Skis']);
    expect(found[0]!.calibrations.map(({ id }) => id).sort()).toEqual(['a', 'b', 'c', 'd']);
    await expect(nameProfile(database, 'p', '')).rejects.toThrow();
  });
});

describe('a database of the first released version', () => {
  it('is migrated: its outings stay, and counts and profiles can be stored', async () => {
    const name = `old-${databases++}`;
    const old = new Dexie(name);
    // The schema of the first release, frozen here.
    old.version(1).stores({ changes: '[outing+number]' });
    const outing = {
      id: 'o',
      name: 'Old one',
      start: { name: 'Dock' },
      declination: { source: 'none' },
      show: { north: 'magnetic' },
      entries: [],
    };
    await old.table('changes').add({
      outing: 'o',
      number: 0,
      at: at().toISOString(),
      change: { kind: 'create', outing },
    });
    old.close();
    const database = new CairnDatabase(name);
    expect((await storedOutings(database)).map(({ state }) => state.document.name)).toEqual([
      'Old one',
    ]);
    expect(database.verno).toBe(SCHEMA_VERSION);
    const session = new CountSession(database, 'o', at);
    expect(await session.add({ kind: 'paces', by: 1 })).toBeNull();
    await nameProfile(database, 'p', 'Mine');
    expect(await paceProfiles(database)).toHaveLength(1);
  });
});
