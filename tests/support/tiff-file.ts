/** A small TIFF as a program would write it, by its tags; numbers as longs. */
export interface TiffParts {
  readonly width: number;
  readonly height: number;
  readonly compression: number;
  /** The packed bytes of its only strip. */
  readonly strip: Uint8Array;
  readonly bits?: number;
  readonly samples?: number;
  readonly orientation?: number;
  /** The side of its squares, where it is cut into squares instead. */
  readonly tile?: number;
  readonly predictor?: number;
  /** The high byte of each number first; little-endian without it. */
  readonly bigEndian?: boolean;
}

const LONG = 4;

/** Source of the layout and the tags: Adobe, TIFF Revision 6.0, 1992 (memory). */
export function tiffFile(parts: TiffParts): ArrayBuffer {
  const { width, height, compression, strip, bits = 8, samples = 1, orientation, tile } = parts;
  const { predictor, bigEndian = false } = parts;
  const data = 8;
  const directory = data + strip.length + (strip.length % 2);
  const tags: [number, number][] = [
    [256, width],
    [257, height],
    [258, bits],
    [259, compression],
    [262, 1],
    ...(tile === undefined ? [[273, data] as [number, number]] : []),
    ...(orientation === undefined ? [] : [[274, orientation] as [number, number]]),
    [277, samples],
    ...(tile === undefined
      ? ([
          [278, height],
          [279, strip.length],
          ...(predictor === undefined ? [] : [[317, predictor]]),
        ] as [number, number][])
      : ([
          [322, tile],
          [323, tile],
          [324, data],
          [325, strip.length],
        ] as [number, number][])),
  ];
  const file = new ArrayBuffer(directory + 2 + 12 * tags.length + 4);
  const view = new DataView(file);
  new Uint8Array(file).set(bigEndian ? [0x4d, 0x4d, 0, 42] : [0x49, 0x49, 42, 0]);
  view.setUint32(4, directory, !bigEndian);
  new Uint8Array(file).set(strip, data);
  view.setUint16(directory, tags.length, !bigEndian);
  for (const [i, [tag, value]] of tags.entries()) {
    const at = directory + 2 + 12 * i;
    view.setUint16(at, tag, !bigEndian);
    view.setUint16(at + 2, LONG, !bigEndian);
    view.setUint32(at + 4, 1, !bigEndian);
    view.setUint32(at + 8, value, !bigEndian);
  }
  return file;
}

/** Codes of LZW written from the highest bit on, each with its width. */
export function lzwBits(codes: readonly (readonly [code: number, width: number])[]): Uint8Array {
  const bytes: number[] = [];
  let [held, count] = [0, 0];
  for (const [code, width] of codes) {
    for (let bit = width - 1; bit >= 0; bit--) {
      held = (held << 1) | ((code >> bit) & 1);
      if (++count < 8) continue;
      bytes.push(held);
      [held, count] = [0, 0];
    }
  }
  if (count > 0) bytes.push(held << (8 - count));
  return Uint8Array.from(bytes);
}
