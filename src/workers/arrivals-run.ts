import { chunkArrivals, type Arrivals } from '../core/errors/arrivals';
import { CHUNK_TRIALS, ChunkBuffers, walkChunk } from '../core/errors/random-walks';
import type { ArrivalsJob } from './arrivals-protocol';

/** Simulates the chunks of a job. */
export function runArrivals(job: ArrivalsJob): Arrivals[] {
  const buffers = new ChunkBuffers();
  const parts: Arrivals[] = [];
  for (let chunk = job.firstChunk; chunk < job.firstChunk + job.chunks; chunk++) {
    const left = job.trials - chunk * CHUNK_TRIALS;
    if (left <= 0) break;
    walkChunk(job.walk, job.seed, chunk, buffers);
    parts.push(chunkArrivals(job.walk, buffers, Math.min(left, CHUNK_TRIALS), job.home, job.drawn));
  }
  return parts;
}
