import {
  CHUNK_TRIALS,
  ChunkRoom,
  chunkArrivals,
  walkChunk,
  type Arrivals,
} from '../core/monte-carlo';
import type { ArrivalsJob } from './arrivals-protocol';

/** Walks the chunks of a job. */
export function runArrivals(job: ArrivalsJob): Arrivals[] {
  const room = new ChunkRoom();
  const parts: Arrivals[] = [];
  for (let chunk = job.firstChunk; chunk < job.firstChunk + job.chunks; chunk++) {
    const left = job.trials - chunk * CHUNK_TRIALS;
    if (left <= 0) break;
    walkChunk(job.walk, job.seed, chunk, room);
    parts.push(chunkArrivals(job.walk, room, Math.min(left, CHUNK_TRIALS), job.home, job.drawn));
  }
  return parts;
}
