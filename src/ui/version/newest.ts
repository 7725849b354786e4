import { keepCopy, keptChoice } from '../../store/kept-choice';
import { BUILD } from './build';
import { CACHE_PREFIX } from './protocol';

const KEY = 'cairn-newest-at';
/** A page that comes back as old as it was would come back so for ever. */
const TOO_SOON_MS = 60_000;
/** A worker that takes longer to be installed, or to take over, is not waited for. */
const LONGEST_MS = 15_000;

const within = <Value>(work: Promise<Value>, longestMs = LONGEST_MS): Promise<Value | null> =>
  Promise.race([work, new Promise<null>((resolve) => setTimeout(() => resolve(null), longestMs))]);

/** The build that the server has now; null where it can't be reached. */
async function servedBuild(): Promise<string | null> {
  try {
    const answer = await fetch('/api/start', { cache: 'no-store' });
    const { build } = (await answer.json()) as { build?: unknown };
    return typeof build === 'string' ? build : null;
  } catch {
    return null;
  }
}

/** A new worker once it is installed; null for none. */
async function installed(registration: ServiceWorkerRegistration): Promise<ServiceWorker | null> {
  const { waiting, installing } = registration;
  if (waiting || !installing) return waiting;
  return within(
    new Promise<ServiceWorker | null>((resolve) => {
      installing.addEventListener('statechange', () => {
        if (installing.state === 'installed') resolve(installing);
        if (installing.state === 'redundant') resolve(null);
      });
    }),
  );
}

/**
 * Loads the newest version, for a page that is older than its database: the waiting worker takes
 * over, copies of other builds are emptied, and the page is loaded again. Nothing is emptied unless
 * the server has another build. Resolves to false where there is none to be had.
 */
export async function loadNewest(now: number = Date.now()): Promise<boolean> {
  const last = Number(keptChoice(KEY, 'tab') ?? 0);
  if (Math.abs(now - last) < TOO_SOON_MS) return false;
  const served = await servedBuild();
  if (served === null || served === BUILD) return false;
  if (!keepCopy(KEY, String(now), 'tab')) return false;
  const registration = await navigator.serviceWorker?.getRegistration();
  await registration?.update().catch(() => undefined);
  const next = registration && (await installed(registration));
  if (next) {
    const taken = new Promise<void>((resolve) => {
      navigator.serviceWorker.addEventListener('controllerchange', () => resolve(), { once: true });
    });
    next.postMessage({ type: 'SKIP_WAITING' });
    await within(taken);
  } else {
    // Its worker is as old as this page: without it the page comes from the server.
    await registration?.unregister();
  }
  const names = await caches.keys();
  const old = names.filter((name) => name !== CACHE_PREFIX + served);
  await Promise.all(old.map((name) => caches.delete(name)));
  location.reload();
  return true;
}
