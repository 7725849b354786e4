import { wrap, type Remote } from 'comlink';
import type { PracticeWorker } from './practice-protocol';

/** The worker of the trainer. It keeps the countries that it has made. */
export class Trainer {
  private readonly worker = new Worker(new URL('./practice.worker.ts', import.meta.url), {
    type: 'module',
  });
  private readonly remote: Remote<PracticeWorker> = wrap<PracticeWorker>(this.worker);
  /** Rejects when the worker can't be loaded or dies: its answer would never come. */
  private readonly death = new Promise<never>((_resolve, reject) => {
    this.worker.addEventListener('error', () => reject(new Error('the trainer stopped')));
  });

  constructor() {
    // Whoever waits for an answer is told; without one, nobody has to be.
    this.death.catch(() => undefined);
  }

  /** Asks the worker; rejects when it is gone. */
  ask<Value>(question: (remote: Remote<PracticeWorker>) => Promise<Value>): Promise<Value> {
    return Promise.race([question(this.remote), this.death]);
  }
}

let running: Trainer | undefined;

/** The one trainer of this tab, started when it is first needed. */
export function trainer(): Trainer {
  running ??= new Trainer();
  return running;
}
