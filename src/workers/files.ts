import { proxy, wrap, type Remote } from 'comlink';
import type { ConflictChoice } from '../store/import';
import type { FileAnswer, FileJob, FilesWorker, ImportAnswer, OnProgress } from './files-protocol';

/** A file that takes longer is given up. The largest files allowed take some seconds. */
const LONGEST_READING_MS = 60_000;

/** Progress comes by a channel of its own, and may come after the answer: then nobody wants it. */
function gated(onProgress: OnProgress) {
  let open = true;
  return {
    tell: (share: number) => {
      if (open) onProgress(share);
    },
    close: () => {
      open = false;
    },
  };
}

/** The result of a job of the worker, or why it came to nothing. */
export type Ended<Answer> = Answer | { readonly kind: 'too-long' | 'died' | 'cancelled' };

/**
 * Reads and imports files in a worker, one job at a time. What hangs, dies or is cancelled ends
 * with its worker; the page goes on. Ending a worker undoes an import that isn't complete.
 */
export class FileImporter {
  private worker: Worker | null = null;
  /** One proxy a worker: when one is collected as garbage, comlink closes the worker's end. */
  private remote: Remote<FilesWorker> | null = null;
  private end: ((how: 'cancelled') => void) | null = null;

  /** Reads a file; a reading that is still running is cancelled. */
  read(job: FileJob, onProgress: OnProgress): Promise<Ended<FileAnswer>> {
    if (this.end) this.stop();
    const progress = gated(onProgress);
    const answer = this.start().read(job, proxy(progress.tell)) as Promise<FileAnswer>;
    return this.guarded(answer, LONGEST_READING_MS, progress.close);
  }

  /** Imports what was read last. It has no time limit, since it may be waited for or cancelled. */
  import(choices: readonly ConflictChoice[], onProgress: OnProgress): Promise<Ended<ImportAnswer>> {
    const progress = gated(onProgress);
    const answer = this.start().import(choices, proxy(progress.tell)) as Promise<ImportAnswer>;
    return this.guarded(answer, null, progress.close);
  }

  /** Ends whatever is running. */
  stop(): void {
    this.end?.('cancelled');
    this.end = null;
    this.worker?.terminate();
    this.worker = null;
    this.remote = null;
  }

  private start(): Remote<FilesWorker> {
    if (this.worker && this.remote) return this.remote;
    this.worker = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
    this.remote = wrap<FilesWorker>(this.worker);
    return this.remote;
  }

  /** The first of the work, its time limit, a death of the worker, and a cancel. */
  private guarded<Answer>(
    work: Promise<Answer>,
    longestMs: number | null,
    closeProgress: () => void,
  ): Promise<Ended<Answer>> {
    const { worker } = this;
    return new Promise((resolve) => {
      const timer = longestMs === null ? undefined : setTimeout(() => end('too-long'), longestMs);
      const settle = (answer: Ended<Answer>) => {
        clearTimeout(timer);
        closeProgress();
        if (this.end === end) this.end = null;
        resolve(answer);
      };
      const end = (how: 'too-long' | 'died' | 'cancelled') => {
        settle({ kind: how });
        if (how !== 'cancelled' && this.worker === worker) this.stop();
      };
      this.end = end;
      worker?.addEventListener('error', () => end('died'));
      worker?.addEventListener('messageerror', () => end('died'));
      work.then(settle, () => end('died'));
    });
  }
}
