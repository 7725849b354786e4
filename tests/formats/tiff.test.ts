import { zlibSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { readHeights } from '@/formats/heights';
import { lzwLength, openTiff, orientationOf, unzlibWithin, upright } from '@/formats/picture/tiff';
import { lzwBits, tiffFile } from '../support/tiff-file';

const MOST = 40_000_000;
const opened = async (parts: Parameters<typeof tiffFile>[0]) => openTiff(tiffFile(parts), MOST);
const pixels = Uint8Array.from({ length: 12 }, (_, i) => 20 * i);
const plain = { width: 4, height: 3, compression: 8, strip: zlibSync(pixels) };

describe('a TIFF', () => {
  it('is opened where it is what it says', async () => {
    const read = await opened(plain);
    if (!read.ok) throw new Error(read.fault);
    const [band] = (await read.value.readRasters()) as unknown as [Uint8Array];
    expect([...band!]).toEqual([...pixels]);
    expect(await orientationOf(read.value)).toBe(1);
  });

  it('that unpacks to more than it says is refused before it fills the memory', async () => {
    // A hundred million zeros are a hundred thousand bytes: more than 12 pixels can be packed to.
    const bomb = zlibSync(new Uint8Array(100_000_000), { level: 9 });
    expect(bomb.length).toBeLessThan(200_000);
    expect(await opened({ ...plain, strip: bomb })).toMatchObject({ ok: false });
    // One that is small enough to pass is stopped while it unpacks.
    const small = zlibSync(new Uint8Array(5_000_000), { level: 9 });
    const read = await opened({ ...plain, strip: small });
    if (!read.ok) throw new Error(read.fault);
    await expect(read.value.readRasters()).rejects.toThrow(/unpacks to more/);
    expect(() => unzlibWithin(small, 4_999_999)).toThrow(/more than it says/);
    expect(unzlibWithin(small, 5_000_000)).toHaveLength(5_000_000);
  });

  it('of LZW is counted before it is unpacked', async () => {
    const literal = [...pixels].map((code) => [code, 9] as const);
    const packed = lzwBits([[256, 9], ...literal, [257, 9]]);
    expect(lzwLength(packed, MOST)).toBe(12);
    const read = await opened({ ...plain, compression: 5, strip: packed });
    if (!read.ok) throw new Error(read.fault);
    const [band] = (await read.value.readRasters()) as unknown as [Uint8Array];
    expect([...band!]).toEqual([...pixels]);
    // Each code is one byte longer than the one before: 3,800 codes are seven million bytes.
    const growing: [number, number][] = [
      [256, 9],
      [0, 9],
    ];
    for (let code = 258, next = 258; code < 4000; code++) {
      const width = next + 1 >= 4095 ? 12 : Math.max(9, Math.ceil(Math.log2(next + 2)));
      growing.push([code, Math.min(12, width)]);
      next++;
    }
    const bomb = lzwBits(growing);
    expect(bomb.length).toBeLessThan(6000);
    expect(lzwLength(bomb, MOST)).toBeGreaterThan(1_000_000);
    const refused = await opened({ ...plain, compression: 5, strip: bomb });
    expect(refused).toMatchObject({ ok: false, fault: expect.stringMatching(/damaged/) });
  });

  it.each([
    [4, /CCITT Group 4 \(a fax\)/],
    [34_712, /JPEG 2000/],
    [50_000, /Zstandard/],
    [77, /method 77/],
  ])('packed by method %i is refused by its name', async (compression, words) => {
    const read = await opened({ ...plain, compression, bits: 1 });
    expect(read).toMatchObject({ ok: false, fault: expect.stringMatching(words) });
  });

  it('of 286 bytes with millions of squares ends with a reason', async () => {
    const file = tiffFile({ ...plain, width: 2000, height: 2000, tile: 1 });
    expect(file.byteLength).toBeLessThan(286);
    const read = await openTiff(file, MOST);
    expect(read).toMatchObject({ ok: false, fault: expect.stringMatching(/4000000 pieces/) });
    const heights = await readHeights('h.tif', new Uint8Array(file), '+proj=utm +zone=20');
    expect(heights.ok).toBe(false);
  });

  it('with more pixels than are opened is refused by its size', async () => {
    const read = await opened({ ...plain, width: 30_000, height: 30_000 });
    expect(read).toMatchObject({ ok: false, fault: expect.stringMatching(/30000 by 30000/) });
  });
});

describe('a picture that was taken sideways', () => {
  // The letter F, as TIFF 6.0 draws its eight orientations: each file below stands upright as this.
  const F = ['##', '#.', '##', '#.'];
  const rows: Readonly<Record<number, readonly string[]>> = {
    1: F,
    2: ['##', '.#', '##', '.#'],
    3: ['.#', '##', '.#', '##'],
    4: ['#.', '##', '#.', '##'],
    5: ['####', '#.#.'],
    6: ['#.#.', '####'],
    7: ['.#.#', '####'],
    8: ['####', '.#.#'],
  };
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('orientation %i is put upright', (orientation) => {
    const file = rows[orientation]!;
    const read = Uint32Array.from([...file.join('')], (char) => (char === '#' ? 1 : 0));
    const stood = upright(read, file[0]!.length, file.length, orientation);
    const lines = Array.from({ length: stood.height }, (_, y) =>
      [...stood.pixels.slice(y * stood.width, (y + 1) * stood.width)]
        .map((pixel) => (pixel ? '#' : '.'))
        .join(''),
    );
    expect(lines).toEqual(F);
  });
});

describe('a grid of heights', () => {
  const asc = (head: string, numbers: string) =>
    readHeights('h.asc', new TextEncoder().encode(`${head}\n${numbers}\n`), '+proj=utm +zone=20');
  const head = 'ncols 2\nnrows 2\nxllcorner 0\nyllcorner 0\ncellsize 30';

  it.each(['0x2', 'high', '1e308', '--3'])('with “%s” in it says so and where', async (word) => {
    const read = await asc(head, `1 2\n3 ${word}`);
    expect(read.ok).toBe(false);
    if (read.ok) return;
    expect(read.fault[0]).toMatchObject({ line: 7, column: 2 });
  });

  it('takes no place that is not on the earth', async () => {
    const far = head.replace('xllcorner 0', 'xllcorner 1e308');
    expect((await asc(far, '1 2\n3 4')).ok).toBe(false);
    expect((await asc(head, '1 nan\n3 4.5')).ok).toBe(true);
  });
});
