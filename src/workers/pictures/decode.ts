import { geoPlace, type GeoPlace } from '../../formats/picture/geo-keys';
import { imageSize } from 'image-size';
import { isTiff, readGeoTags } from '../../formats/picture/geo-tags';
import { openTiff, orientationOf, upright } from '../../formats/picture/tiff';
import { MOST_BYTES, MOST_PIXELS, type PictureAnswer } from './pictures-protocol';
import { nth } from '../../core/units/nth';

const THUMBNAIL = 320;
/** Of a photograph on paper: finer than a finger, and a fifth of the bytes. */
const JPEG_QUALITY = 0.88;

interface Decoded {
  readonly bitmap: ImageBitmap;
  readonly place: GeoPlace | null;
}

/** Why a file is not opened, in words; without any it is no picture that is known. */
class Unreadable extends Error {}

/** A TIFF by the package `geotiff`, which browsers don't read by themselves. */
async function decodeTiff(file: Blob): Promise<Decoded> {
  const opened = await openTiff(await file.arrayBuffer(), MOST_PIXELS);
  if (!opened.ok) throw new Unreadable(opened.fault);
  const image = opened.value;
  const place = geoPlace(await readGeoTags(image));
  const colours = (await image.readRGB({ interleave: true })) as Uint8Array;
  const pixels = new Uint8ClampedArray(image.getWidth() * image.getHeight() * 4);
  for (let i = 0, from = 0; i < pixels.length; i += 4, from += 3) {
    pixels[i] = nth(colours, from);
    pixels[i + 1] = nth(colours, from + 1);
    pixels[i + 2] = nth(colours, from + 2);
    pixels[i + 3] = 255;
  }
  // What says where it is counts its pixels as they are in the file.
  const orientation = place ? 1 : await orientationOf(image);
  const stood = upright(
    new Uint32Array(pixels.buffer),
    image.getWidth(),
    image.getHeight(),
    orientation,
  );
  const data = new Uint8ClampedArray(stood.pixels.buffer);
  return { bitmap: await createImageBitmap(new ImageData(data, stood.width, stood.height)), place };
}

/** A browser that decodes more than this may be ended for it: a phone has little memory. */
const MOST_DECODED = 160_000_000;

async function decode(file: Blob): Promise<Decoded> {
  const bytes = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  if (isTiff(bytes)) return decodeTiff(file);
  const [width, height] = sizeOf(bytes);
  if (width * height > MOST_DECODED) {
    const most = MOST_DECODED / 1_000_000;
    throw new Unreadable(
      `This picture is ${width} by ${height} pixels: more than ${most} million can’t be opened ` +
        'here. Scale it down with another program first.',
    );
  }
  return { bitmap: await createImageBitmap(file), place: null };
}

/** What says how large a picture is stands at its beginning, behind what a camera writes there. */
const HEAD_BYTES = 512_000;

/** Width and height by the head of a file; 0 where it doesn't tell. */
function sizeOf(bytes: Uint8Array): [number, number] {
  try {
    const { width, height } = imageSize(bytes);
    return [width, height];
  } catch {
    return [0, 0];
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
  let decoded: Decoded;
  try {
    decoded = await decode(file);
  } catch (thrown) {
    return { kind: 'unreadable', why: thrown instanceof Unreadable ? thrown.message : null };
  }
  const { bitmap } = decoded;
  const otherDatum = decoded.place?.otherDatum ?? null;
  const place = otherDatum === null ? decoded.place : null;
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
  const placed = scaledPlace(place, width / size.width);
  return {
    kind: 'ready',
    blob,
    thumbnail,
    ...size,
    world: placed?.world ?? null,
    projection: placed?.projection ?? null,
    otherDatum,
  };
}
