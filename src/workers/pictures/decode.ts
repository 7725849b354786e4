import { geoPlace, type GeoPlace } from '../../formats/picture/geo-keys';
import { isTiff, readGeoTags } from '../../formats/picture/geo-tags';
import { MOST_BYTES, MOST_PIXELS, type PictureAnswer } from './pictures-protocol';

const THUMBNAIL = 320;
/** Of a photograph on paper: finer than a finger, and a fifth of the bytes. */
const JPEG_QUALITY = 0.88;

interface Decoded {
  readonly bitmap: ImageBitmap;
  readonly place: GeoPlace | null;
}

/** A TIFF by the package `geotiff`, which browsers don't read by themselves. */
async function decodeTiff(file: Blob): Promise<Decoded | null> {
  const { fromArrayBuffer } = await import('geotiff');
  const image = await (await fromArrayBuffer(await file.arrayBuffer())).getImage();
  const [width, height] = [image.getWidth(), image.getHeight()];
  if (width * height > MOST_PIXELS) return null;
  const colours = (await image.readRGB({ interleave: true })) as Uint8Array;
  const pixels = new Uint8ClampedArray(width * height * 4);
  for (let i = 0, from = 0; i < pixels.length; i += 4, from += 3) {
    pixels[i] = colours[from]!;
    pixels[i + 1] = colours[from + 1]!;
    pixels[i + 2] = colours[from + 2]!;
    pixels[i + 3] = 255;
  }
  const place = geoPlace(await readGeoTags(image));
  return { bitmap: await createImageBitmap(new ImageData(pixels, width, height)), place };
}

async function decode(file: Blob): Promise<Decoded | null> {
  try {
    const head = new Uint8Array(await file.slice(0, 4).arrayBuffer());
    if (isTiff(head)) return await decodeTiff(file);
    return { bitmap: await createImageBitmap(file), place: null };
  } catch {
    return null;
  }
}

/** A picture in another size, as a file. */
async function encoded(
  bitmap: ImageBitmap,
  width: number,
  height: number,
  type: 'image/jpeg' | 'image/png',
): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas in this worker');
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, width, height);
  return canvas.convertToBlob({ type, quality: JPEG_QUALITY });
}

/** A size with at most so many pixels, in the same proportion. */
export function scaledSize(width: number, height: number, most: number) {
  const k = Math.min(1, Math.sqrt(most / (width * height)));
  return { width: Math.max(1, Math.floor(width * k)), height: Math.max(1, Math.floor(height * k)) };
}

/** What a file says of its place, for a picture that is this many times as large. */
function scaledPlace(place: GeoPlace | null, k: number): GeoPlace | null {
  if (!place || k === 1) return place;
  const [a = 0, d = 0, b = 0, e = 0, c = 0, f = 0] = place.world.numbers;
  // The corner stays where it is; the middle of a larger pixel is farther in.
  const shift = (k - 1) / 2;
  const numbers = [a * k, d * k, b * k, e * k, c + shift * (a + b), f + shift * (d + e)];
  return { ...place, world: { ...place.world, numbers } };
}

/** Reads a file that is to be kept as the picture of a map. */
export async function prepare(file: Blob, mayScale: boolean): Promise<PictureAnswer> {
  const decoded = await decode(file);
  if (!decoded) return { kind: 'unreadable' };
  const { bitmap, place } = decoded;
  const { width, height } = bitmap;
  const isTooLarge = width * height > MOST_PIXELS || file.size > MOST_BYTES;
  const size = isTooLarge ? scaledSize(width, height, MOST_PIXELS / 2) : { width, height };
  if (isTooLarge && !mayScale) {
    bitmap.close();
    return { kind: 'too-large', width, height, bytes: file.size, scaled: size };
  }
  const isWeb = /^image\/(jpeg|png|webp)$/.test(file.type);
  const keeps = isWeb && !isTooLarge;
  const type = place ? 'image/png' : 'image/jpeg';
  const blob = keeps ? file : await encoded(bitmap, size.width, size.height, type);
  const small = scaledSize(width, height, THUMBNAIL * THUMBNAIL);
  const thumbnail = await encoded(bitmap, small.width, small.height, 'image/jpeg');
  bitmap.close();
  const told = scaledPlace(place, width / size.width);
  return {
    kind: 'ready',
    blob,
    thumbnail,
    ...size,
    world: told?.world ?? null,
    projection: told?.projection ?? null,
  };
}
