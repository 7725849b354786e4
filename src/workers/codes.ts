import type { CodesWorker } from './read-code';
import { WorkerCalls } from './worker-call';

/** Reads QR codes from pictures in a worker, one picture at a time. */
export class CodeReader {
  private readonly calls = new WorkerCalls<CodesWorker>(
    new Worker(new URL('./codes.worker.ts', import.meta.url), { type: 'module' }),
    'reader of codes',
  );
  private waiting = 0;

  /** True while a picture is being read: a camera's next one may be skipped. */
  get busy(): boolean {
    return this.waiting > 0;
  }

  /** The bytes of the code in a picture, or null. */
  async read({ data, width, height }: ImageData): Promise<Uint8Array | null> {
    this.waiting++;
    try {
      return await this.calls.ask((remote) => remote.read(data, width, height));
    } finally {
      this.waiting--;
    }
  }

  stop(): void {
    this.calls.stop();
  }
}
