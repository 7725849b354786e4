/** One job in a worker of its own. */
export interface OneJob<Answer> {
  /** Rejects when the worker died or was stopped. */
  readonly answer: Promise<Answer>;
  stop(): void;
}

/** Asks a worker for one thing; it is ended after that, or when it is stopped. */
export function oneJob<Answer>(worker: Worker, ask: () => Promise<Answer>): OneJob<Answer> {
  let stop: () => void = () => undefined;
  const ended = new Promise<never>((_resolve, reject) => {
    worker.onerror = () => reject(new Error('the worker failed'));
    stop = () => reject(new Error('stopped'));
  });
  const answer = Promise.race([ask(), ended]).finally(() => worker.terminate());
  return { answer, stop: () => stop() };
}
