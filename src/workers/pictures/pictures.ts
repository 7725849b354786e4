import { WorkerCalls } from '../worker-call';
import type { OpenPicture, PictureAnswer, PicturesWorker } from './pictures-protocol';

/** What a reading that was stopped rejects with, in words. */
export class Stopped extends Error {}

/** Decodes pictures and cuts them into tiles in a worker of its own. */
export class PictureReader {
  private readonly calls = new WorkerCalls<PicturesWorker>(
    new Worker(new URL('./pictures.worker.ts', import.meta.url), { type: 'module' }),
    'reader of pictures',
  );

  prepare(file: Blob, mayScale: boolean): Promise<PictureAnswer> {
    return this.calls.ask<PictureAnswer>((remote) => remote.prepare(file, mayScale));
  }

  open(file: Blob): Promise<OpenPicture | null> {
    return this.calls.ask((remote) => remote.open(file));
  }

  tile(level: number, column: number, row: number): Promise<ImageBitmap | null> {
    return this.calls.ask((remote) => remote.tile(level, column, row));
  }

  /** Ends the worker; calls under way reject with these words. */
  stop(words = ''): void {
    this.calls.stop(new Stopped(words));
  }
}
