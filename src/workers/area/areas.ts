import { proxy } from 'comlink';
import type { AreaParts } from '../../core/navigation/area-answer';
import { Factor } from '../../core/survey/network/factor';
import { oneJob } from '../worker-call';
import type { AreaJob, AreasWorker } from './areas-run';

/** An adjustment that is under way. */
export interface AreaRun {
  /** Rejects when the worker died or was stopped. */
  readonly parts: Promise<AreaParts>;
  stop(): void;
}

/** Adjusts an area in a worker of its own. */
export function adjustInWorker(job: AreaJob, onRound: (round: number) => void): AreaRun {
  const worker = new Worker(new URL('./areas.worker.ts', import.meta.url), { type: 'module' });
  const { answer, stop } = oneJob<AreasWorker, AreaParts>(
    worker,
    (remote) => remote.solve(job, proxy(onRound)) as unknown as Promise<AreaParts>,
  );
  return { parts: answer.then(restored), stop };
}

/** What was posted, able again to do what it could. */
const restored = ({ adjusted, ...rest }: AreaParts): AreaParts => ({
  ...rest,
  adjusted: adjusted && { ...adjusted, factor: Factor.restored(adjusted.factor) },
});
