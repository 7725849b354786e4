import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { launch } from '../../../scripts/browser.mjs';

const SIZE = '60m';

function mountAt(folder: string): boolean {
  try {
    const options = ['-t', 'tmpfs', '-o', `size=${SIZE}`, 'tmpfs', folder];
    execFileSync('mount', options, { stdio: 'ignore' });
    return true;
  } catch {
    return false;
  }
}

/** True where a small file system can be made: as root, outside a closed sandbox. */
export function canMount(): boolean {
  const folder = mkdtempSync(join(tmpdir(), 'mount-'));
  const can = mountAt(folder);
  if (can) execFileSync('umount', [folder]);
  rmSync(folder, { recursive: true });
  return can;
}

/** Runs something in a browser whose profile is on a disk of 60 MB. */
export async function onSmallDisk(action: (browser: Browser) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'small-disk-'));
  if (!mountAt(folder)) throw new Error('the small disk can’t be mounted');
  const browser = await launch({ userDataDir: folder });
  try {
    await action(browser);
  } finally {
    await browser.close();
    execFileSync('umount', ['-l', folder]);
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Runs in the page: fills the browser's store until it refuses; gives the name of its error. */
export async function fillStore(): Promise<string> {
  const database = await new Promise<IDBDatabase>((resolve, reject) => {
    const open = indexedDB.open('filler', 1);
    open.onupgradeneeded = () => open.result.createObjectStore('data', { autoIncrement: true });
    open.onsuccess = () => resolve(open.result);
    open.onerror = () => reject(new Error('no database'));
  });
  for (let size = 4_000_000; size >= 1000;) {
    const failed = await new Promise<string | null>((resolve) => {
      const transaction = database.transaction('data', 'readwrite', { durability: 'strict' });
      transaction.oncomplete = () => resolve(null);
      transaction.onabort = () => resolve(transaction.error?.name ?? 'no name');
      const bytes = new Uint8Array(size);
      // Random bytes: what repeats may be packed.
      for (let at = 0; at < size; at += 65_536) {
        crypto.getRandomValues(bytes.subarray(at, Math.min(size, at + 65_536)));
      }
      transaction.objectStore('data').add(bytes);
    });
    if (failed === null) continue;
    if (size <= 2000) return failed;
    size = Math.floor(size / 2);
  }
  return 'never full';
}
