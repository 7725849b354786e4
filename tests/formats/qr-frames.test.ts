import fc from 'fast-check';
import { PNG } from 'pngjs';
import QRCode from 'qrcode';
import { describe, expect, it } from 'vitest';
import {
  qrFrames,
  missingFrames,
  takeFrame,
  textOfFrames,
  type FramesSeen,
} from '@/formats/qr-frames';
import { faultMessage } from '@/core/faults/messages';
import { readCode } from '@/workers/read-code';

/** Takes frames one after the other. */
function taken(frames: readonly Uint8Array[]): FramesSeen {
  let seen: FramesSeen | null = null;
  for (const frame of frames) {
    const found = takeFrame(seen, frame);
    if (found.kind === 'foreign') expect.fail('a frame of ours is known');
    seen = found.seen;
  }
  return seen!;
}
const textOf = (seen: FramesSeen) => {
  const text = textOfFrames(seen);
  return text.ok ? text.value : faultMessage(text.fault[0]!.fault);
};
/** Text that does not pack well, so that it takes many frames. */
const noise = (length: number) =>
  Array.from({ length }, (_, i) =>
    String.fromCodePoint(0x4e00 + ((i * 7919 + ((i * i) % 1009)) % 20_000)),
  ).join('');

describe('frames of a text', () => {
  it('come together in any order, some of them twice (generated texts)', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 3000, unit: 'binary' }),
        fc.infiniteStream(fc.nat()),
        (text, order) => {
          // A lone half of a character can't be written as UTF-8, here or anywhere.
          const whole = new TextDecoder().decode(new TextEncoder().encode(text));
          const frames = qrFrames(text);
          const shuffled = frames
            .map((frame) => ({ frame, key: order.next().value! }))
            .sort((a, b) => a.key - b.key)
            .map(({ frame }) => frame);
          expect(textOf(taken([...shuffled, shuffled[0]!]))).toBe(whole);
        },
      ),
      { numRuns: 150, seed: 21 },
    );
  });

  it('say which are missing', () => {
    const frames = qrFrames(noise(900));
    expect(frames.length).toBeGreaterThan(5);
    const seen = taken(frames.filter((_, index) => index !== 2 && index !== 4));
    expect(missingFrames(seen)).toEqual([3, 5]);
    expect(textOf(seen)).toBe('QR codes still missing: 3, 5.');
  });

  it('of another series begin again, and what is not ours is reported', () => {
    const [first, second] = [qrFrames(noise(500)), qrFrames(noise(501))];
    const seen = taken([first[0]!]);
    const found = takeFrame(seen, second[1]!);
    expect(found.kind === 'taken' && found.another).toBe(true);
    expect(found.kind === 'taken' && missingFrames(found.seen)).not.toContain(2);
    for (const strange of [
      new Uint8Array(0),
      new Uint8Array(400),
      new TextEncoder().encode('https://example.org/x'),
    ]) {
      expect(takeFrame(seen, strange).kind).toBe('foreign');
    }
    const outside = first[0]!.slice();
    new DataView(outside.buffer).setUint16(6, 999);
    expect(takeFrame(null, outside).kind).toBe('foreign');
  });

  it('that are damaged never make a wrong text (2,000 damaged series)', () => {
    const text = noise(700);
    const frames = qrFrames(text);
    fc.assert(
      fc.property(
        fc.nat(frames.length - 1),
        fc.nat(329),
        fc.integer({ min: 1, max: 255 }),
        (which, at, change) => {
          const broken = frames.map((frame) => frame.slice());
          const frame = broken[which]!;
          const place = 10 + (at % (frame.length - 10));
          frame[place] = frame[place]! ^ change;
          expect(textOf(taken(broken))).toBe('The QR codes don’t fit together: read them again.');
        },
      ),
      { numRuns: 2000, seed: 4 },
    );
  });

  it('that would be too many are refused', () => {
    expect(() => qrFrames(noise(400_000))).toThrow(/frames are too many to show/);
  });

  it('are read from pictures: upright, turned, small, in poor light (qrcode, jsqr)', async () => {
    const frame = qrFrames(noise(400))[0]!;
    for (const [scale, dark, light] of [
      [4, '#000000', '#ffffff'],
      [3, '#404040', '#a0a0a0'],
      [6, '#ffffff', '#000000'],
    ] as const) {
      const png = await QRCode.toBuffer([{ data: frame, mode: 'byte' }], {
        errorCorrectionLevel: 'M',
        scale,
        margin: 4,
        color: { dark: `${dark}ff`, light: `${light}ff` },
      });
      const { data, width, height } = PNG.sync.read(png);
      expect(readCode(Uint8ClampedArray.from(data), width, height)).toEqual(frame);
      // Turned by a quarter: x and y change places, mirrored in one.
      const turned = new Uint8ClampedArray(data.length);
      for (let y = 0; y < height; y++) {
        for (let x = 0; x < width; x++) {
          const [from, to] = [4 * (y * width + x), 4 * (x * height + (height - 1 - y))];
          turned.set(data.subarray(from, from + 4), to);
        }
      }
      expect(readCode(turned, height, width)).toEqual(frame);
    }
    expect(readCode(new Uint8ClampedArray(4 * 100 * 100), 100, 100)).toBeNull();
  });

  it('goes on with a series after a stray frame of another one', () => {
    const [a, b] = [qrFrames(long(1)), qrFrames(long(2))];
    expect(Math.min(a.length, b.length)).toBeGreaterThan(2);
    let seen: FramesSeen | null = null;
    const order = [...a.slice(0, -1), b[0]!, a.at(-1)!];
    for (const frame of order) {
      const taken = takeFrame(seen, frame);
      if (taken.kind !== 'taken') throw new Error('ours');
      seen = taken.seen;
    }
    expect(textOfFrames(seen!)).toEqual({ ok: true, value: long(1) });
    // And the other one was not lost either.
    for (const frame of b.slice(1)) {
      const taken = takeFrame(seen, frame);
      if (taken.kind === 'taken') seen = taken.seen;
    }
    expect(textOfFrames(seen!)).toEqual({ ok: true, value: long(2) });
  });

  it('refuses what unpacks to more than a text may be, and does not cut it', () => {
    const whole = (text: string) =>
      qrFrames(text).reduce<FramesSeen | null>((seen, frame) => {
        const taken = takeFrame(seen, frame);
        return taken.kind === 'taken' ? taken.seen : seen;
      }, null)!;
    expect(textOfFrames(whole('0'.repeat(8_000_000)))).toMatchObject({ ok: true });
    expect(textOfFrames(whole('0'.repeat(8_000_001)))).toMatchObject({ ok: false });
  });
});

/** A text that packs to several frames. */
const long = (seed: number): string =>
  Array.from({ length: 900 }, (_, i) => ((i + 1) * 7919 * seed * seed).toString(36)).join(' ');
