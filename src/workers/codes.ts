import { wrap, type Remote } from 'comlink';
import type { CodesWorker } from './codes-protocol';

/** Reads codes off pictures in a worker, one picture at a time. */
export class CodeReader {
  private readonly worker = new Worker(new URL('./codes.worker.ts', import.meta.url), {
    type: 'module',
  });
  private readonly remote: Remote<CodesWorker> = wrap<CodesWorker>(this.worker);
  private waiting = 0;

  /** True while a picture is being read: a camera's next one may be passed over. */
  get busy(): boolean {
    return this.waiting > 0;
  }

  /** The bytes of the code in a picture, or null. */
  async read({ data, width, height }: ImageData): Promise<Uint8Array | null> {
    this.waiting++;
    try {
      return await this.remote.read(data, width, height);
    } finally {
      this.waiting--;
    }
  }

  stop(): void {
    this.worker.terminate();
  }
}
