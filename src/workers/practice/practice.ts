import { WorkerCalls } from '../worker-call';
import type { PracticeWorker } from './practice-run';

/** The worker of the trainer. It keeps the countries that it has made. */
export type Trainer = WorkerCalls<PracticeWorker>;

let running: Trainer | undefined;

/** The one trainer of this tab, started when it is first needed. */
export function trainer(): Trainer {
  running ??= new WorkerCalls<PracticeWorker>(
    new Worker(new URL('./practice.worker.ts', import.meta.url), { type: 'module' }),
    'trainer',
  );
  return running;
}
