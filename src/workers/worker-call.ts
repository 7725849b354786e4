import { wrap, type Remote } from 'comlink';

/** Calls into one worker. They reject when it can't be loaded, dies, is silent or is stopped. */
export class WorkerCalls<Offers> {
  private readonly remote: Remote<Offers>;
  private reject: (reason: Error) => void = () => undefined;
  private readonly end = new Promise<never>((_resolve, reject) => {
    this.reject = reject;
  });

  /** `what` names the worker in its errors. */
  constructor(
    private readonly worker: Worker,
    what: string,
  ) {
    this.remote = wrap<Offers>(worker);
    const died = () => this.reject(new Error(`the ${what} stopped`));
    worker.addEventListener('error', died);
    worker.addEventListener('messageerror', died);
    // Calls under way reject; without one there is nothing to do.
    this.end.catch(() => undefined);
  }

  /** Asks the worker; one that is silent for more than `longestMs` is taken for dead. */
  async ask<Value>(
    question: (remote: Remote<Offers>) => Promise<Value>,
    longestMs?: number,
  ): Promise<Value> {
    const timer =
      longestMs === undefined
        ? undefined
        : setTimeout(() => this.reject(new Error('the worker is silent')), longestMs);
    try {
      return await Promise.race([question(this.remote), this.end]);
    } finally {
      clearTimeout(timer);
    }
  }

  /** Ends the worker; calls under way reject with the reason. */
  stop(reason = new Error('stopped')): void {
    this.reject(reason);
    this.worker.terminate();
  }
}

/** One job in a worker of its own. */
export interface OneJob<Answer> {
  /** Rejects when the worker died or was stopped. */
  readonly answer: Promise<Answer>;
  stop(): void;
}

/** Asks a worker for one thing; it is ended after that, or when it is stopped. */
export function oneJob<Offers, Answer>(
  worker: Worker,
  question: (remote: Remote<Offers>) => Promise<Answer>,
): OneJob<Answer> {
  const calls = new WorkerCalls<Offers>(worker, 'worker');
  const answer = calls.ask(question).finally(() => calls.stop());
  return { answer, stop: () => calls.stop() };
}
