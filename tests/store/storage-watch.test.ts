import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { inTime } from '@/store/database';
import { addOuting } from '@/store/outings';
import { forgetHad, keepLastLog, LEAST_ROOM_BYTES, storageNews } from '@/store/storage-watch';
import { storeFault } from '@/store/store-fault';
import { closeAfterEach, NOW, openDatabase, outingWithId } from '../support/databases';

closeAfterEach();

const room = (left: number) => () => Promise.resolve({ quota: 1e9, usage: 1e9 - left });
const ENOUGH = room(LEAST_ROOM_BYTES);

beforeEach(() => {
  const copies = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => copies.get(key) ?? null,
    setItem: (key: string, value: string) => copies.set(key, value),
    removeItem: (key: string) => copies.delete(key),
  });
});

describe('the storage of a device', () => {
  it('that the browser emptied is not taken for a new one', async () => {
    const before = openDatabase();
    expect(await storageNews(before, ENOUGH)).toBeNull();
    await addOuting(before, outingWithId('one'), NOW);
    await addOuting(before, outingWithId('two'), NOW);
    keepLastLog('220 65m');
    expect(await storageNews(before, ENOUGH)).toBeNull();
    // Another database stands for the one that is there after the first was deleted.
    const after = openDatabase();
    const emptied = { kind: 'emptied', outings: 2, log: '220 65m' };
    expect(await storageNews(after, ENOUGH)).toEqual(emptied);
    expect(await storageNews(after, ENOUGH)).toEqual(emptied);
    forgetHad();
    expect(await storageNews(after, ENOUGH)).toBeNull();
  });

  it('is watched for the room that is left', async () => {
    const database = openDatabase();
    expect(await storageNews(database, room(LEAST_ROOM_BYTES - 1))).toEqual({
      kind: 'little-room',
      megabytes: 50,
    });
    expect(await storageNews(database, () => undefined)).toBeNull();
    expect(await storageNews(database, () => Promise.reject(new Error('no')))).toBeNull();
  });

  it('keeps no log in the second place that would crowd out the rest', async () => {
    const database = openDatabase();
    await addOuting(database, outingWithId('one'), NOW);
    await storageNews(database, ENOUGH);
    keepLastLog('x'.repeat(200_001));
    expect(await storageNews(openDatabase(), ENOUGH)).toMatchObject({ log: null });
  });
});

describe('a store that does not answer', () => {
  it('is said so in time, and what answers in time is given back', async () => {
    const late = inTime(new Promise(() => undefined), 20);
    await expect(late).rejects.toThrow('does not answer');
    expect(storeFault(await late.catch((error: unknown) => error))).toBe('silent');
    expect(await inTime(Promise.resolve(3), 20)).toBe(3);
    await expect(inTime(Promise.reject(new RangeError('own')), 20)).rejects.toThrow(RangeError);
  });

  it('leaves a change unsaved, with its line kept by who asked', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    const work = inTime(new Promise(() => undefined));
    const ended = work.catch((error: unknown) => storeFault(error));
    await vi.advanceTimersByTimeAsync(10_000);
    expect(await ended).toBe('silent');
    vi.useRealTimers();
  });
});
