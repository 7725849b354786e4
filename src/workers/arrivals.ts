import { wrap, type Remote } from 'comlink';
import {
  addedArrivals,
  CHUNK_TRIALS,
  type Arrivals,
  type HomeInSight,
  type Walk,
} from '../core/monte-carlo';
import type { ArrivalsJob, ArrivalsWorker } from './arrivals-protocol';

/** Chunks handed to a worker at a time: some ten milliseconds of work, so that a cancel is heard soon. */
const BATCH = 32;
/** A batch takes milliseconds; a worker that is silent this long is dead. */
const LONGEST_SILENCE_MS = 20_000;
const MOST_WORKERS = 2;
const DRAWN_CHUNKS = 2;
const DRAWN_A_CHUNK = 400;

export interface ArrivalsRequest {
  readonly walk: Walk;
  readonly seed: number;
  readonly trials: number;
  readonly home: HomeInSight;
  readonly onProgress: (share: number) => void;
  readonly signal: AbortSignal;
}

const silenced = <Value>(work: Promise<Value>): Promise<Value> =>
  Promise.race([
    work,
    new Promise<never>((_, reject) =>
      setTimeout(() => reject(new Error('the worker is silent')), LONGEST_SILENCE_MS),
    ),
  ]);

/**
 * Walks many trials in workers. Null when it was cancelled; throws when a worker died. The result does not hang on how many
 * workers there are.
 */
export async function arrivalsInWorkers(request: ArrivalsRequest): Promise<Arrivals | null> {
  const { walk, seed, trials, home, onProgress, signal } = request;
  const chunks = Math.ceil(trials / CHUNK_TRIALS);
  const parts: Arrivals[] = new Array<Arrivals>(chunks);
  const count = Math.min(
    MOST_WORKERS,
    navigator.hardwareConcurrency || 1,
    Math.ceil(chunks / BATCH),
  );
  const workers: Worker[] = [];
  let [next, done] = [0, 0];
  const work = async () => {
    const worker = new Worker(new URL('./arrivals.worker.ts', import.meta.url), { type: 'module' });
    workers.push(worker);
    const failed = new Promise<never>((_, reject) => {
      worker.onerror = () => reject(new Error('the worker failed'));
    });
    const remote: Remote<ArrivalsWorker> = wrap<ArrivalsWorker>(worker);
    while (next < chunks && !signal.aborted) {
      const firstChunk = next;
      next += BATCH;
      const drawn = firstChunk < DRAWN_CHUNKS ? DRAWN_A_CHUNK : 0;
      const job: ArrivalsJob = {
        walk,
        seed,
        firstChunk,
        chunks: BATCH,
        trials,
        home,
        drawn,
      };
      const found = await silenced(Promise.race([remote.run(job), failed]));
      found.forEach((part, index) => (parts[firstChunk + index] = part));
      done += found.length;
      if (!signal.aborted) onProgress(done / chunks);
    }
  };
  try {
    await Promise.all(Array.from({ length: count }, work));
  } finally {
    for (const worker of workers) worker.terminate();
  }
  return signal.aborted ? null : addedArrivals(parts);
}
