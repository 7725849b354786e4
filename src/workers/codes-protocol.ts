/** What the worker that reads codes answers: the bytes of the code in a picture, or null. */
export interface CodesWorker {
  read(data: Uint8ClampedArray, width: number, height: number): Uint8Array | null;
}
