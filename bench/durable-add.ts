import { addEntry } from '../src/core/edit/command';
import { blankOuting } from '../src/core/model/outing';
import type { Leg } from '../src/core/entries/entry';
import { CairnDatabase } from '../src/store/database';
import { OutingSession } from '../src/store/outing-session';
import { addOuting } from '../src/store/outings';

/** Runs in the page: a leg added through the app's store, beside a raw strict IndexedDB add. */
const leg = (i: number): Leg => ({
  kind: 'leg',
  bearing: { unit: 'degrees', value: i % 360, north: 'magnetic' },
  distance: { unit: 'metres', value: 50 },
});

const result = <Value>(request: IDBRequest<Value>) =>
  new Promise<Value>((resolve, reject) => {
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(new Error('the database would not open'));
  });

async function rawAdd(database: IDBDatabase, value: unknown): Promise<void> {
  const transaction = database.transaction('changes', 'readwrite', { durability: 'strict' });
  transaction.objectStore('changes').add(value);
  await new Promise<void>((resolve, reject) => {
    transaction.oncomplete = () => resolve();
    transaction.onerror = () => reject(new Error('the raw add failed'));
  });
}

/** Milliseconds of each add, raw and through the store, in turns, on an outing of 1,000 legs. */
export async function durableAdds(times: number): Promise<{ raw: number[]; store: number[] }> {
  const database = new CairnDatabase('bench-store');
  const entries = Array.from({ length: 1000 }, (_, i) => leg(i));
  await addOuting(database, { ...blankOuting('bench'), entries }, new Date());
  const session = new OutingSession(database, 'bench');
  session.subscribe(() => undefined);

  const opening = indexedDB.open('bench-raw', 1);
  opening.onupgradeneeded = () =>
    opening.result.createObjectStore('changes', { keyPath: ['outing', 'number'] });
  const raw = await result(opening);

  const samples: { raw: number[]; store: number[] } = { raw: [], store: [] };
  for (let i = 0; i < times; i++) {
    const record = {
      outing: 'bench',
      number: i,
      at: new Date().toISOString(),
      change: { kind: 'edit', operations: [{ op: 'insert', index: 1000 + i, entries: [leg(i)] }] },
    };
    const start = performance.now();
    await rawAdd(raw, record);
    samples.raw.push(performance.now() - start);
    const begun = performance.now();
    const outcome = await session.run(addEntry(leg(i)), null);
    samples.store.push(performance.now() - begun);
    if (outcome.kind !== 'saved') throw new Error(`not saved: ${JSON.stringify(outcome)}`);
  }
  return samples;
}

Object.assign(globalThis, { durableAdds });
