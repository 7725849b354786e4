import type { Arrivals, HomeDetection } from '../core/errors/arrivals';
import type { Walk } from '../core/errors/random-walks';

/** A run of chunks for a worker. Plain data, so that it can be posted. */
export interface ArrivalsJob {
  readonly walk: Walk;
  readonly seed: number;
  readonly firstChunk: number;
  readonly chunks: number;
  /** Trials wanted in all; the last chunk may be walked in part. */
  readonly trials: number;
  readonly home: HomeDetection;
  /** Arrivals of a chunk to keep for the drawing. */
  readonly drawn: number;
}

/** What the worker offers: a result for each chunk, in their order. */
export interface ArrivalsWorker {
  run(job: ArrivalsJob): Arrivals[];
}
