import { chunkArrivals, type Arrivals, type HomeDetection } from '../core/errors/arrivals';
import { CHUNK_TRIALS, ChunkBuffers, walkChunk, type Walk } from '../core/errors/random-walks';
import { NormalStream } from '../core/errors/ziggurat';

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

/** Their stream of normals is apart from that of the walks. */
const SEARCHERS = 0x5345;

/** Simulates the chunks of a job. */
export function runArrivals(job: ArrivalsJob): Arrivals[] {
  const buffers = new ChunkBuffers();
  const parts: Arrivals[] = [];
  for (let chunk = job.firstChunk; chunk < job.firstChunk + job.chunks; chunk++) {
    const left = job.trials - chunk * CHUNK_TRIALS;
    if (left <= 0) break;
    walkChunk(job.walk, job.seed, chunk, buffers);
    const trials = Math.min(left, CHUNK_TRIALS);
    const searchers = new NormalStream(job.seed ^ SEARCHERS, chunk);
    parts.push(chunkArrivals(job.walk, buffers, trials, job.home, job.drawn, searchers));
  }
  return parts;
}
