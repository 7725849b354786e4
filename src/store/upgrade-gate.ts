import { UPGRADE_WAITS, WORKER_BUILD } from '../ui/version/protocol';
import { BUILD } from '../ui/version/build';
import { SCHEMA_VERSION } from './database';

/** Thrown where an older app has the database, which this one would upgrade under it. */
class WaitingError extends Error {
  override readonly name = 'WaitingError';
}

/** Whether opening a database would upgrade it; false where the browser does not say. */
async function wouldUpgrade(name: string): Promise<boolean> {
  const all = (await globalThis.indexedDB?.databases?.().catch(() => [])) ?? [];
  const version = all.find((each) => each.name === name)?.version;
  // The library counts a version as ten of the browser's.
  return version !== undefined && version / 10 < SCHEMA_VERSION;
}

/** A worker that does not answer is of a version that can't. */
const ANSWER_MS = 1000;

/** The build of the offline worker that is in charge; null for none, '' for one that can't say. */
async function workerBuild(): Promise<string | null> {
  const registration = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  const active = registration?.active;
  if (!active) return null;
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = ({ data }: MessageEvent<unknown>) =>
      resolve(typeof data === 'string' ? data : '');
    setTimeout(() => resolve(''), ANSWER_MS);
    active.postMessage({ kind: WORKER_BUILD }, [port2]);
  });
}

/**
 * Passes unless opening would upgrade the database while the offline worker of another build is in
 * charge: then tabs of that build may be open, which could not use it any more.
 */
export async function upgradeGate(name: string): Promise<void> {
  if (!(await wouldUpgrade(name))) return;
  const build = await workerBuild();
  if (build === null || build === BUILD) return;
  dispatchEvent(new Event(UPGRADE_WAITS));
  throw new WaitingError('tabs of another build use the database');
}
