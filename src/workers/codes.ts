import { wrap, type Remote } from 'comlink';
import type { CodesWorker } from './codes-protocol';

/** Reads QR codes from pictures in a worker, one picture at a time. */
export class CodeReader {
  private readonly worker = new Worker(new URL('./codes.worker.ts', import.meta.url), {
    type: 'module',
  });
  private readonly remote: Remote<CodesWorker> = wrap<CodesWorker>(this.worker);
  private waiting = 0;
  /** Rejects when the worker can't be loaded or dies: its answer would never come. */
  private readonly death = new Promise<never>((_resolve, reject) => {
    const died = () => reject(new Error('the reader of codes stopped'));
    this.worker.addEventListener('error', died);
    this.worker.addEventListener('messageerror', died);
  });

  constructor() {
    // Whoever waits for a picture is told; without one, nobody has to be.
    this.death.catch(() => undefined);
  }

  /** True while a picture is being read: a camera's next one may be skipped. */
  get busy(): boolean {
    return this.waiting > 0;
  }

  /** The bytes of the code in a picture, or null. */
  async read({ data, width, height }: ImageData): Promise<Uint8Array | null> {
    this.waiting++;
    try {
      return await Promise.race([this.remote.read(data, width, height), this.death]);
    } finally {
      this.waiting--;
    }
  }

  stop(): void {
    this.worker.terminate();
  }
}
