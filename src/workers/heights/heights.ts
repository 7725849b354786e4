import { proxy } from 'comlink';
import { oneJob, WorkerCalls, type OneJob } from '../worker-call';
import type { HeightsAnswer, HeightsJob, HeightsWorker, KeepAnswer, KeepJob } from './heights-run';

type OnProgress = (share: number) => void;

const newWorker = () =>
  new Worker(new URL('./heights.worker.ts', import.meta.url), { type: 'module' });

/** Reads files of heights in a worker of their own. */
export const readHeightsInWorker = (
  job: HeightsJob,
  onProgress: OnProgress,
): OneJob<HeightsAnswer> =>
  oneJob<HeightsWorker, HeightsAnswer>(newWorker(), (remote) =>
    remote.read(job, proxy(onProgress)),
  );

/** Keeps files of heights on the device; one that is stopped leaves no part of a sheet. */
export const keepHeightsInWorker = (job: KeepJob, onProgress: OnProgress): OneJob<KeepAnswer> =>
  oneJob<HeightsWorker, KeepAnswer>(newWorker(), (remote) => remote.keep(job, proxy(onProgress)));

/** A worker that draws the ground for as long as a view is open. */
export const groundWorker = () => new WorkerCalls<HeightsWorker>(newWorker(), 'worker of heights');
