import { proxy } from 'comlink';
import { oneJob, type OneJob } from '../worker-call';
import type { HeightsAnswer, HeightsJob, HeightsWorker } from './heights-run';

/** Reads a file of heights in a worker of its own. */
export function readHeightsInWorker(
  job: HeightsJob,
  onProgress: (share: number) => void,
): OneJob<HeightsAnswer> {
  const worker = new Worker(new URL('./heights.worker.ts', import.meta.url), { type: 'module' });
  return oneJob<HeightsWorker, HeightsAnswer>(worker, (remote) =>
    remote.read(job, proxy(onProgress)),
  );
}
