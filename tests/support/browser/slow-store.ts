/**
 * Runs in the page before its own script: everything written waits this long first, and is never
 * written if the page is left in the meantime, as on the slowest machine. Before each transaction
 * that writes, another one keeps the same stores busy.
 */
export function slowStore(waitMs: number) {
  const open = IDBDatabase.prototype.transaction;
  IDBDatabase.prototype.transaction = function (stores, mode, options) {
    if (mode === 'readwrite') {
      const before = open.call(this, stores, mode);
      const store = before.objectStore(before.objectStoreNames[0]!);
      const end = performance.now() + waitMs;
      const wait = () => {
        if (performance.now() < end) store.count().onsuccess = wait;
      };
      wait();
    }
    return open.call(this, stores, mode, options);
  };
}
