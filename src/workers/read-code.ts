import jsQR from 'jsqr';

/** What the worker that reads codes answers: the bytes of the code in a picture, or null. */
export interface CodesWorker {
  read(data: Uint8ClampedArray, width: number, height: number): Uint8Array | null;
}

/** The bytes of the QR code in a picture, dark on light or light on dark; null for none. */
export function readCode(
  data: Uint8ClampedArray,
  width: number,
  height: number,
): Uint8Array | null {
  const found = jsQR(data, width, height, { inversionAttempts: 'attemptBoth' });
  return found ? Uint8Array.from(found.binaryData) : null;
}
