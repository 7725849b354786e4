import { keepCopy, keptChoice } from '../../store/kept-choice';

const KEY = 'cairn-reloaded-at';
/** A page that fails again so soon won't be mended by loading it once more. */
const TOO_SOON_MS = 60_000;

/** True for the failure of a part of the app's code to load, as the bundler and browsers say it. */
export const isChunkFailure = (error: unknown): boolean =>
  error instanceof Error &&
  (error.name === 'ChunkLoadError' ||
    /loading (css )?chunk|failed to load chunk|dynamically imported module/i.test(error.message));

/** Loads the page again after such a failure, once; its draft is kept. False if it did already. */
export function reloadOnce(now: number = Date.now()): boolean {
  const last = Number(keptChoice(KEY, 'tab') ?? 0);
  if (Math.abs(now - last) < TOO_SOON_MS) return false;
  // Without a note that survives, the page would load itself again for ever.
  if (!keepCopy(KEY, String(now), 'tab')) return false;
  location.reload();
  return true;
}

/** Reloads for failures that no view is there to show. */
export function watchChunks(): () => void {
  const failed = ({ reason }: PromiseRejectionEvent) => {
    if (isChunkFailure(reason)) reloadOnce();
  };
  addEventListener('unhandledrejection', failed);
  return () => removeEventListener('unhandledrejection', failed);
}
