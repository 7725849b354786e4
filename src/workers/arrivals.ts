import { sumArrivals, type Arrivals, type HomeDetection } from '../core/errors/arrivals';
import { CHUNK_TRIALS, type Walk } from '../core/errors/random-walks';
import type { ArrivalsWorker } from './arrivals-run';
import { WorkerCalls } from './worker-call';

/** Chunks given to a worker at a time: some ten milliseconds, so that a cancel works soon. */
const BATCH = 32;
/** A batch takes milliseconds; a worker that is silent this long is dead. */
const LONGEST_SILENCE_MS = 20_000;
const MOST_WORKERS = 2;
/** Arrivals are kept for drawing from the first chunks. */
const DRAWN_CHUNKS = 2;
const DRAWN_A_CHUNK = 400;

export interface ArrivalsRequest {
  readonly walk: Walk;
  readonly seed: number;
  readonly trials: number;
  readonly home: HomeDetection;
  readonly onProgress: (share: number) => void;
  readonly signal: AbortSignal;
}

/** Gives batches of chunks to workers, and collects their results in order. */
class Batches {
  private readonly parts: Arrivals[] = [];
  private next = 0;
  private done = 0;
  private readonly chunks: number;

  constructor(private readonly request: ArrivalsRequest) {
    this.chunks = Math.ceil(request.trials / CHUNK_TRIALS);
  }

  get workers(): number {
    const cores = navigator.hardwareConcurrency || 1;
    return Math.min(MOST_WORKERS, cores, Math.ceil(this.chunks / BATCH));
  }

  /** Lets one worker simulate batch after batch, until none is left or the run is cancelled. */
  async runOn(calls: WorkerCalls<ArrivalsWorker>): Promise<void> {
    const { walk, seed, trials, home, onProgress, signal } = this.request;
    while (this.next < this.chunks && !signal.aborted) {
      const firstChunk = this.next;
      this.next += BATCH;
      const drawn = firstChunk < DRAWN_CHUNKS ? DRAWN_A_CHUNK : 0;
      const job = { walk, seed, firstChunk, chunks: BATCH, trials, home, drawn };
      const found = await calls.ask((remote) => remote.run(job), LONGEST_SILENCE_MS);
      for (const [index, part] of found.entries()) this.parts[firstChunk + index] = part;
      this.done += found.length;
      if (!signal.aborted) onProgress(this.done / this.chunks);
    }
  }

  get sum(): Arrivals {
    return sumArrivals(this.parts);
  }
}

/**
 * Simulates many walks in workers. Null when it was cancelled; throws when a worker died. The
 * result doesn't depend on the number of workers.
 */
export async function arrivalsInWorkers(request: ArrivalsRequest): Promise<Arrivals | null> {
  const batches = new Batches(request);
  const workers = Array.from(
    { length: batches.workers },
    () =>
      new WorkerCalls<ArrivalsWorker>(
        new Worker(new URL('./arrivals.worker.ts', import.meta.url), { type: 'module' }),
        'simulation',
      ),
  );
  try {
    await Promise.all(workers.map((worker) => batches.runOn(worker)));
  } finally {
    for (const worker of workers) worker.stop();
  }
  return request.signal.aborted ? null : batches.sum;
}
