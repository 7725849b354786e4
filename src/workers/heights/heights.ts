import { proxy, wrap } from 'comlink';
import { oneJob, type OneJob } from '../one-job';
import type { HeightsAnswer, HeightsJob, HeightsWorker } from './heights-protocol';

/** Reads a file of heights in a worker of its own. */
export function readHeightsInWorker(
  job: HeightsJob,
  onProgress: (share: number) => void,
): OneJob<HeightsAnswer> {
  const worker = new Worker(new URL('./heights.worker.ts', import.meta.url), { type: 'module' });
  const ask = () => wrap<HeightsWorker>(worker).read(job, proxy(onProgress));
  return oneJob<HeightsAnswer>(worker, ask);
}
