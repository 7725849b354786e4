import { wrap, type Remote } from 'comlink';
import type { OpenPicture, PictureAnswer, PicturesWorker } from './pictures-protocol';

/** What a reading that was stopped rejects with, in words. */
export class Stopped extends Error {}

/** Decodes pictures and cuts them into tiles in a worker of its own. */
export class PictureReader {
  private readonly worker = new Worker(new URL('./pictures.worker.ts', import.meta.url), {
    type: 'module',
  });
  private readonly remote: Remote<PicturesWorker> = wrap<PicturesWorker>(this.worker);
  /** Rejects when the worker can't be loaded or dies: its answer would never come. */
  private end: (error: Error) => void = () => undefined;
  private readonly death = new Promise<never>((_resolve, reject) => {
    this.end = reject;
    this.worker.addEventListener('error', () =>
      reject(new Error('the reader of pictures stopped')),
    );
  });

  constructor() {
    // Whoever waits for a picture is told; without one, nobody has to be.
    this.death.catch(() => undefined);
  }

  prepare(file: Blob, mayScale: boolean): Promise<PictureAnswer> {
    return Promise.race([this.remote.prepare(file, mayScale), this.death]);
  }

  open(file: Blob): Promise<OpenPicture | null> {
    return Promise.race([this.remote.open(file), this.death]);
  }

  tile(level: number, column: number, row: number): Promise<ImageBitmap | null> {
    return Promise.race([this.remote.tile(level, column, row), this.death]);
  }

  /** Ends the worker; who waits for it is told so in these words. */
  stop(words = ''): void {
    this.end(new Stopped(words));
    this.worker.terminate();
  }
}
