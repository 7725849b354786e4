import type { Page } from 'puppeteer-core';

/** All records of a table of the store, as a page of the app's origin reads them. */
export const allRecords = <Stored>(page: Page, table: string): Promise<Stored[]> =>
  page.evaluate(
    (name) =>
      new Promise<Stored[]>((resolve, reject) => {
        const open = indexedDB.open('cairn-back');
        open.onerror = () => reject(new Error('the database can’t be opened'));
        open.onsuccess = () => {
          const all = open.result.transaction(name).objectStore(name).getAll();
          all.onsuccess = () => {
            open.result.close();
            resolve(all.result as Stored[]);
          };
        };
      }),
    table,
  );

/** A record of a change log, as far as these runs look at it. */
interface StoredChange {
  readonly outing: string;
  readonly change: {
    readonly operations?: readonly {
      readonly entries?: readonly {
        readonly kind: string;
        readonly bearing: { readonly value: number };
        readonly distance: { readonly value: number };
      }[];
    }[];
  };
}

/** The legs that were logged, in order: of one outing, or of all. */
export async function storedLegs(page: Page, outing?: string) {
  return (await allRecords<StoredChange>(page, 'changes'))
    .filter((record) => outing === undefined || record.outing === outing)
    .flatMap(({ change }) => change.operations ?? [])
    .flatMap(({ entries }) => entries ?? [])
    .filter(({ kind }) => kind === 'leg')
    .map(({ bearing, distance }) => ({ bearing: bearing.value, metres: distance.value }));
}
