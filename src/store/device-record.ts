import type { BackedUpPixels, DeviceRecord } from '../core/model/device-record';
import { mapPictureSchema, type MapPicture } from '../core/model/map-picture';
import type { CountRecord } from './count';
import type { CairnDatabase, StoredFile } from './database';
import type { Kept } from './kept-choice';
import { mapPictures, pictureFile } from './pictures/pictures';

/** What is kept of a tab's devices or versions, and means nothing elsewhere. */
const OF_THIS_DEVICE = /^cairn-(devices|reloaded-at|newest-at|had)/;

/** Where the pixels of a picture are in the archive of a backup. */
const pixelsOf = (id: string, index: number, type: string, thumbnail: string): BackedUpPixels => ({
  id,
  file: `pictures/${index + 1}`,
  type,
  thumbnail: `pictures/${index + 1}-small`,
  thumbnailType: thumbnail,
});

/** The pixels of a backup, by their names in its archive. */
export type PixelFiles = ReadonlyMap<string, Blob>;

/**
 * What the device holds beside outings and documents; null for nothing. With `withPixels` the
 * pictures of maps as well, as files beside it.
 */
export async function deviceRecord(
  database: CairnDatabase,
  withPixels: boolean,
): Promise<{ record: DeviceRecord | null; files: PixelFiles }> {
  const pictures = await mapPictures(database);
  const files = new Map<string, Blob>();
  const pixels: BackedUpPixels[] = [];
  for (const [index, { id }] of (withPixels ? pictures : []).entries()) {
    const found = await pictureFile(database, id);
    if (!found) continue;
    const at = pixelsOf(id, index, found.blob.type, found.thumbnail.type);
    files.set(at.file, found.blob).set(at.thumbnail, found.thumbnail);
    pixels.push(at);
  }
  const counts = await database.counts.toArray();
  const kept = (await database.kept.toArray()).filter(({ key }) => !OF_THIS_DEVICE.test(key));
  const isEmpty = pictures.length + counts.length + kept.length === 0;
  return { record: isEmpty ? null : { pictures, pixels, counts, kept }, files };
}

/** The tables that an import writes to: name them to the transaction that it is a part of. */
export const deviceTables = (database: CairnDatabase) => [
  database.pictures,
  database.pictureFiles,
  database.counts,
  database.kept,
];

/** The pixels of a backup as they are stored. Read before the transaction, which can't wait. */
export async function storedPixels(
  { pixels }: DeviceRecord,
  files: ReadonlyMap<string, Uint8Array>,
): Promise<Map<string, { blob: StoredFile; thumbnail: StoredFile }>> {
  const found = new Map<string, { blob: StoredFile; thumbnail: StoredFile }>();
  for (const { id, file, type, thumbnail, thumbnailType } of pixels) {
    const [large, small] = [files.get(file), files.get(thumbnail)];
    if (!large || !small) continue;
    found.set(id, {
      blob: { type, bytes: copyOf(large) },
      thumbnail: { type: thumbnailType, bytes: copyOf(small) },
    });
  }
  return found;
}

const copyOf = (bytes: Uint8Array): ArrayBuffer => new Uint8Array(bytes).buffer;

/**
 * Adds what isn't there yet, inside a transaction: pictures and counts by their ids, choices and
 * drafts where they are newer. `idHere` says by which id an outing of the file is here. Resolves to
 * how much was added.
 */
export async function mergeDevice(
  database: CairnDatabase,
  { pictures, counts, kept }: DeviceRecord,
  pixels: Awaited<ReturnType<typeof storedPixels>>,
  idHere: (outing: string) => string | null,
): Promise<number> {
  let added = 0;
  for (const picture of pictures) {
    const here = await database.pictures.get(picture.id);
    if (!here) {
      await database.pictures.put(mapPictureSchema.parse(picture) as MapPicture);
      added++;
    }
    const file = pixels.get(picture.id);
    if (file && !(await database.pictureFiles.get(picture.id))) {
      await database.pictureFiles.put({ ...file, id: picture.id });
    }
  }
  const there = new Set((await database.counts.toCollection().primaryKeys()).map(([id]) => id));
  const began = new Set<string>();
  for (const record of counts) {
    // A count is of an outing, or of a calibration, which keeps its name.
    const count = idHere(record.count) ?? record.count;
    if (there.has(count)) continue;
    await database.counts.put({ ...record, count } as CountRecord);
    began.add(count);
  }
  for (const each of kept) {
    const here = await database.kept.get(each.key);
    if (here && here.at >= each.at) continue;
    await database.kept.put(each satisfies Kept);
    added++;
  }
  return added + began.size;
}
