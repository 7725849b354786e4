import type { Arrivals, HomeInSight, Walk } from '../core/monte-carlo';

/** A run of chunks for a worker: which, of which walk, and what to keep. Plain data, so that it survives the crossing. */
export interface ArrivalsJob {
  readonly walk: Walk;
  readonly seed: number;
  readonly firstChunk: number;
  readonly chunks: number;
  /** Trials wanted in all; the last chunk may be walked in part. */
  readonly trials: number;
  readonly home: HomeInSight;
  /** Arrivals of a chunk to keep for the drawing. */
  readonly drawn: number;
}

/** What the worker answers, a part a chunk, in the order of their numbers. */
export interface ArrivalsWorker {
  run(job: ArrivalsJob): Arrivals[];
}
