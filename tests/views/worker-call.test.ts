import { expose } from 'comlink';
import { describe, expect, it, vi } from 'vitest';
import { oneJob, WorkerCalls } from '@/workers/worker-call';

interface Doubler {
  double(value: number): number | Promise<number>;
}

/** A worker that answers in this thread; it can be made to die, and says whether it was ended. */
function standIn(double: Doubler['double']) {
  const { port1, port2 } = new MessageChannel();
  expose({ double } satisfies Doubler, port2);
  port2.start();
  const terminate = vi.fn(() => {
    port1.close();
    port2.close();
  });
  port1.start();
  const worker = Object.assign(port1, { terminate }) as unknown as Worker;
  return { worker, terminate, die: () => port1.dispatchEvent(new Event('error')) };
}
const never = () => new Promise<number>(() => undefined);

describe('calls into a worker', () => {
  it('answer one after another until it is stopped', async () => {
    const { worker, terminate } = standIn((value) => 2 * value);
    const calls = new WorkerCalls<Doubler>(worker, 'doubler');
    expect(await calls.ask((remote) => remote.double(4))).toBe(8);
    expect(await calls.ask((remote) => remote.double(5), 10_000)).toBe(10);
    calls.stop();
    expect(terminate).toHaveBeenCalledTimes(1);
    await expect(calls.ask((remote) => remote.double(6))).rejects.toThrow('stopped');
  });

  it('reject when it dies, is silent or is stopped while they wait', async () => {
    const dying = standIn(never);
    const calls = new WorkerCalls<Doubler>(dying.worker, 'doubler');
    const waits = calls.ask((remote) => remote.double(1));
    dying.die();
    await expect(waits).rejects.toThrow('the doubler stopped');
    calls.stop();

    const silent = new WorkerCalls<Doubler>(standIn(never).worker, 'doubler');
    await expect(silent.ask((remote) => remote.double(1), 10)).rejects.toThrow('silent');
    silent.stop();

    const stopped = new WorkerCalls<Doubler>(standIn(never).worker, 'doubler');
    const cut = stopped.ask((remote) => remote.double(1));
    stopped.stop(new Error('by the person'));
    await expect(cut).rejects.toThrow('by the person');
  });
});

describe('one job', () => {
  it('ends its worker when it is done, and when it is stopped', async () => {
    const done = standIn((value) => 2 * value);
    const job = oneJob<Doubler, number>(done.worker, (remote) => remote.double(21));
    expect(await job.answer).toBe(42);
    expect(done.terminate).toHaveBeenCalled();

    const cut = standIn(never);
    const other = oneJob<Doubler, number>(cut.worker, (remote) => remote.double(1));
    other.stop();
    await expect(other.answer).rejects.toThrow('stopped');
    expect(cut.terminate).toHaveBeenCalled();
  });
});
