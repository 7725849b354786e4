import { Unzlib } from 'fflate';
import type { GeoTIFFImage } from 'geotiff';
import { fail, ok, type Result } from '../../core/units/result';

/**
 * Opening a TIFF within bounds, by the package `geotiff`: what its head says is checked before
 * anything is unpacked, and nothing unpacks to more than its head says.
 *
 * Source of numbers: Adobe, TIFF Revision 6.0, 1992, and its supplements (memory).
 */

/** Squares or strips of a picture: one of 40 million pixels has some 600 of 256 a side. */
const MOST_BLOCKS = 20_000;
/** What a block may have more than its pixels, in bytes: rows that are filled up. */
const SPARE = 4096;
/** No packing makes a block so many times as large as its pixels. */
const MOST_PACKED = 2;

const [LZW, DEFLATE, OLD_DEFLATE, PACK_BITS, NONE, JPEG] = [5, 8, 32_946, 32_773, 1, 7];
/** Those that some programs write and that are not read here. */
const UNREAD: Readonly<Record<number, string>> = {
  2: 'CCITT RLE (a fax)',
  3: 'CCITT Group 3 (a fax)',
  4: 'CCITT Group 4 (a fax)',
  6: 'the old form of JPEG',
  34_712: 'JPEG 2000',
  34_887: 'LERC',
  34_925: 'LZMA',
  50_000: 'Zstandard',
  50_001: 'WebP',
};

/** Why a picture unpacks to more than it says; thrown inside the package. */
class Swells extends Error {}

/** Unpacks no further than a limit; throws beyond it. */
export function unzlibWithin(packed: Uint8Array, most: number): Uint8Array {
  const parts: Uint8Array[] = [];
  let size = 0;
  const unpacking = new Unzlib((part) => {
    size += part.length;
    if (size > most) throw new Swells('it unpacks to more than it says');
    parts.push(part);
  });
  const STEP = 16_384;
  for (let at = 0; at < packed.length; at += STEP) {
    unpacking.push(packed.subarray(at, at + STEP), at + STEP >= packed.length);
  }
  const whole = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

const [CLEAR, END, FIRST, WIDEST] = [256, 257, 258, 12];

/** How much LZW as in TIFF unpacks to, counted without unpacking; more than `most` ends it. */
export function lzwLength(packed: Uint8Array, most: number): number {
  const lengths = new Uint32Array(1 << WIDEST).fill(1, 0, CLEAR);
  let [next, width, before, size, bits, held] = [FIRST, 9, 0, 0, 0, 0];
  for (const byte of packed) {
    held = ((held << 8) | byte) & 0xff_ffff;
    bits += 8;
    if (bits < width) continue;
    bits -= width;
    const code = (held >> bits) & ((1 << width) - 1);
    if (code === END) break;
    if (code === CLEAR) {
      [next, width, before] = [FIRST, 9, 0];
      continue;
    }
    const length = code < next ? (lengths[code] ?? 0) : before + 1;
    size += length;
    if (size > most) break;
    if (before > 0 && next < 1 << WIDEST) lengths[next++] = before + 1;
    before = length;
    // The width grows one code early: a habit of the format since its first programs.
    if (next >= (1 << width) - 1 && width < WIDEST) width++;
  }
  return size;
}

let isLimited = false;
/** Puts bounded unpacking in the place of the package's own, once. */
async function limitUnpacking(): Promise<void> {
  if (isLimited) return;
  isLimited = true;
  const { addDecoder, BaseDecoder } = await import('geotiff');
  class LimitedDeflate extends BaseDecoder {
    override decodeBlock(buffer: ArrayBufferLike): ArrayBufferLike {
      return unzlibWithin(new Uint8Array(buffer), bytesOfBlock(this.parameters)).buffer;
    }
  }
  addDecoder([DEFLATE, OLD_DEFLATE], () => Promise.resolve(LimitedDeflate));
}

interface Block {
  readonly tileWidth: number;
  readonly tileHeight: number;
  readonly planarConfiguration: number;
  readonly bitsPerSample: number | ArrayLike<number>;
}

/** The most bytes of a block's pixels. */
function bytesOfBlock({ tileWidth, tileHeight, planarConfiguration, bitsPerSample }: Block) {
  const all = typeof bitsPerSample === 'number' ? [bitsPerSample] : Array.from(bitsPerSample);
  const bits =
    planarConfiguration === 2 ? Math.max(...all) : all.reduce((sum, each) => sum + each, 0);
  return Math.ceil((tileWidth * bits) / 8) * tileHeight + SPARE;
}

/** The first picture of a TIFF within bounds; fails with why not, in words. */
export async function openTiff(
  bytes: ArrayBuffer,
  mostPixels: number,
): Promise<Result<GeoTIFFImage, string>> {
  await limitUnpacking();
  const { fromArrayBuffer } = await import('geotiff');
  const image = await (await fromArrayBuffer(bytes)).getImage();
  const [width, height] = [image.getWidth(), image.getHeight()];
  const tags = image.fileDirectory;
  if (width * height > mostPixels) {
    return fail(`It is ${width} by ${height}: more than can be opened here.`);
  }
  const packing = Number((await tags.loadValue('Compression')) ?? NONE);
  const isRead = [NONE, LZW, JPEG, DEFLATE, OLD_DEFLATE, PACK_BITS].includes(packing);
  if (!isRead) {
    const how = UNREAD[packing] ?? `method ${packing}`;
    return fail(`This TIFF is packed by ${how}, which is not read. Save it as PNG or JPEG.`);
  }
  const tile = [image.getTileWidth(), image.getTileHeight()] as const;
  const planes = image.planarConfiguration === 2 ? image.getSamplesPerPixel() : 1;
  const blocks = Math.ceil(width / tile[0]) * Math.ceil(height / tile[1]) * planes;
  if (!(blocks >= 1 && blocks <= MOST_BLOCKS)) {
    return fail(`This TIFF is cut into ${blocks} pieces: at most ${MOST_BLOCKS} are read.`);
  }
  const bitsPerSample = ((await tags.loadValue('BitsPerSample')) ?? 1) as number | number[];
  const most = bytesOfBlock({
    tileWidth: tile[0],
    tileHeight: tile[1],
    planarConfiguration: image.planarConfiguration,
    bitsPerSample,
  });
  const swells = await swellingBlock(image, bytes, packing, most);
  return swells ? fail('This TIFF unpacks to more than it says: it is damaged.') : ok(image);
}

/** True where a block is packed larger than it can be, or unpacks to more than its pixels. */
async function swellingBlock(
  { isTiled, fileDirectory }: GeoTIFFImage,
  bytes: ArrayBuffer,
  packing: number,
  most: number,
): Promise<boolean> {
  const name = isTiled ? 'Tile' : 'Strip';
  const load = async (tag: 'ByteCounts' | 'Offsets') => {
    const value: unknown = await fileDirectory.loadValue(`${name}${tag}` as 'StripOffsets');
    return typeof value === 'number' ? [value] : Array.from((value ?? []) as ArrayLike<number>);
  };
  const [counts, offsets] = [await load('ByteCounts'), await load('Offsets')];
  return counts.some((count, i) => {
    if (count > MOST_PACKED * most) return true;
    if (packing !== LZW) return false;
    const at = offsets[i] ?? 0;
    return (
      lzwLength(new Uint8Array(bytes, at, Math.min(count, bytes.byteLength - at)), most) > most
    );
  });
}

/** How pixels are turned to stand upright, by the tag of the camera or the scanner: 1 as it is. */
export const orientationOf = async ({ fileDirectory }: GeoTIFFImage): Promise<number> =>
  Number((await fileDirectory.loadValue('Orientation')) ?? 1);

/**
 * Where a pixel of the upright picture is in the file, for each orientation of TIFF 6.0: (x, y) of
 * the upright picture, and the file's width and height.
 */
const SOURCE: Readonly<
  Record<number, (x: number, y: number, w: number, h: number) => readonly [number, number]>
> = {
  2: (x, y, w) => [w - 1 - x, y],
  3: (x, y, w, h) => [w - 1 - x, h - 1 - y],
  4: (x, y, _w, h) => [x, h - 1 - y],
  5: (x, y) => [y, x],
  6: (x, y, _w, h) => [y, h - 1 - x],
  7: (x, y, w, h) => [w - 1 - y, h - 1 - x],
  8: (x, y, w) => [w - 1 - y, x],
};

/** Pixels of one number each (a colour), upright. */
export function upright(
  pixels: Uint32Array<ArrayBuffer>,
  width: number,
  height: number,
  orientation: number,
): { pixels: Uint32Array<ArrayBuffer>; width: number; height: number } {
  const source = SOURCE[orientation];
  if (!source) return { pixels, width, height };
  const [across, down] = orientation > 4 ? [height, width] : [width, height];
  const turned = new Uint32Array(pixels.length);
  for (let y = 0, at = 0; y < down; y++) {
    for (let x = 0; x < across; x++, at++) {
      const [fromX, fromY] = source(x, y, width, height);
      turned[at] = pixels[fromY * width + fromX] ?? 0;
    }
  }
  return { pixels: turned, width: across, height: down };
}
