import { deflateSync, inflateSync, strToU8 } from 'fflate';
import { fail, ok, type Result } from '../core/units/result';
import { fileFault, type FileFault } from './format';

/**
 * A text as a series of frames, each small enough for a QR code that a phone reads off another's
 * screen. A frame is bytes:
 *
 * | bytes | meaning                               |
 * | 2     | 0xCB, 0x01: these are ours, version 1 |
 * | 4     | checksum of the whole, packed         |
 * | 2, 2  | number of the frame from 0; how many  |
 * | rest  | the part                              |
 */
const MARK = [0xcb, 0x01] as const;
const HEAD = 10;
/** Bytes a frame: its code has some 80 cells a side, which an old phone reads in poor light. */
const PART = 320;
const MOST_FRAMES = 2_000;
/** The largest text, unpacked. */
const MOST_TEXT = 8_000_000;

/** Adler-32 (M. Adler, in RFC 1950): tells series apart, and a whole one from a broken one. */
function checksum(bytes: Uint8Array): number {
  let [a, b] = [1, 0];
  for (const byte of bytes) {
    a = (a + byte) % 65_521;
    b = (b + a) % 65_521;
  }
  return ((b << 16) | a) >>> 0;
}

/** The frames of a text. Throws RangeError when it would take more than 2,000. */
export function qrFrames(text: string): Uint8Array[] {
  const packed = deflateSync(strToU8(text), { level: 9 });
  const count = Math.max(1, Math.ceil(packed.length / PART));
  if (count > MOST_FRAMES) throw new RangeError(`${count} frames are too many to show`);
  const sum = checksum(packed);
  return Array.from({ length: count }, (_, number) => {
    const part = packed.subarray(number * PART, (number + 1) * PART);
    const frame = new Uint8Array(HEAD + part.length);
    const view = new DataView(frame.buffer);
    frame.set(MARK);
    view.setUint32(2, sum);
    view.setUint16(6, number);
    view.setUint16(8, count);
    frame.set(part, HEAD);
    return frame;
  });
}

/** What was seen of a series so far. */
interface Series {
  readonly sum: number;
  readonly parts: readonly (Uint8Array | undefined)[];
}

/** The series that is being read, and those begun before: a stray code drops none of them. */
export interface FramesSeen extends Series {
  readonly others: readonly Series[];
}
/** So many series are kept beside the one that is read. */
const MOST_OTHERS = 3;

/** What a code was: not one of ours, or a frame, and whether it begins another series. */
export type FrameTaken =
  | { readonly kind: 'foreign' }
  | { readonly kind: 'taken'; readonly seen: FramesSeen; readonly another: boolean };

/**
 * Takes a frame, in any order, again or not. A frame of another series begins that one, or goes on
 * with it where it was begun before.
 */
export function takeFrame(seen: FramesSeen | null, frame: Uint8Array): FrameTaken {
  const ours = frame.length > HEAD && frame[0] === MARK[0] && frame[1] === MARK[1];
  if (!ours) return { kind: 'foreign' };
  const view = new DataView(frame.buffer, frame.byteOffset, frame.length);
  const [sum, number, count] = [view.getUint32(2), view.getUint16(6), view.getUint16(8)];
  if (count === 0 || count > MOST_FRAMES || number >= count) return { kind: 'foreign' };
  const isOf = (series: Series) => series.sum === sum && series.parts.length === count;
  const known = seen ? [{ sum: seen.sum, parts: seen.parts }, ...seen.others] : [];
  const before = known.find(isOf);
  const parts = before?.parts.slice() ?? new Array<Uint8Array | undefined>(count).fill(undefined);
  parts[number] = frame.slice(HEAD);
  const others = known.filter((series) => series !== before).slice(0, MOST_OTHERS);
  const another = seen !== null && !isOf(seen);
  return { kind: 'taken', seen: { sum, parts, others }, another };
}

/** The numbers, from 1, of the frames that are still missing. */
export const missingFrames = ({ parts }: Pick<FramesSeen, 'parts'>): number[] =>
  parts.flatMap((part, index) => (part ? [] : [index + 1]));

/** The text of a whole series. Fails while frames are missing, or when they don't fit together. */
export function textOfFrames(seen: FramesSeen): Result<string, FileFault[]> {
  const missing = missingFrames(seen);
  if (missing.length > 0)
    return fail([fileFault(`QR codes still missing: ${missing.join(', ')}.`)]);
  const parts = seen.parts as Uint8Array[];
  const packed = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    packed.set(part, at);
    at += part.length;
  }
  const broken = () => fail([fileFault('The QR codes don’t fit together: read them again.')]);
  if (checksum(packed) !== seen.sum) return broken();
  try {
    // A buffer of fixed size, one byte longer than the longest text: what fills it is refused.
    const unpacked = inflateSync(packed, {
      out: new Uint8Array(Math.min(MOST_TEXT + 1, packed.length * 1032 + 64)),
    });
    if (unpacked.length > MOST_TEXT) {
      const message = `These codes hold more than ${MOST_TEXT / 1_000_000} MB: not read.`;
      return fail([fileFault(message)]);
    }
    return ok(new TextDecoder('utf-8', { fatal: true }).decode(unpacked));
  } catch {
    return broken();
  }
}
