import { chunkArrivals, type Arrivals } from '../core/errors/arrivals';
import { CHUNK_TRIALS, ChunkBuffers, walkChunk } from '../core/errors/random-walks';
import { NormalStream } from '../core/errors/ziggurat';
import type { ArrivalsJob } from './arrivals-protocol';

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
