import { mapPictureSchema, type MapPicture } from '../../core/model/map-picture';
import type { CairnDatabase, StoredFile } from '../database';

/** All pictures of maps, the last added first; one that can't be read stays and isn't shown. */
export async function mapPictures(database: CairnDatabase): Promise<MapPicture[]> {
  const records = await database.pictures.toArray();
  return records
    .filter((record) => mapPictureSchema.safeParse(record).success)
    .sort((a, b) => b.addedAt.localeCompare(a.addedAt));
}

/** The picture of an id; undefined for none. */
export const mapPicture = (database: CairnDatabase, id: string) => database.pictures.get(id);

/** The pixels of a picture as files. */
export interface PicturePixels {
  readonly blob: Blob;
  readonly thumbnail: Blob;
}

const asFile = (stored: StoredFile | Blob): Blob =>
  stored instanceof Blob ? stored : new Blob([stored.bytes], { type: stored.type });

const asStored = async (file: Blob): Promise<StoredFile> => ({
  type: file.type,
  bytes: await file.arrayBuffer(),
});

/** The pixels of a picture; undefined for none. */
export async function pictureFile(
  database: CairnDatabase,
  id: string,
): Promise<PicturePixels | undefined> {
  const stored = await database.pictureFiles.get(id);
  return stored && { blob: asFile(stored.blob), thumbnail: asFile(stored.thumbnail) };
}

/** Stores as bytes what older versions stored as files, one picture at a time. */
export async function storeAsBytes(database: CairnDatabase): Promise<void> {
  for (const id of await database.pictureFiles.toCollection().primaryKeys()) {
    const { blob, thumbnail } = (await database.pictureFiles.get(id)) ?? {};
    if (!(blob instanceof Blob) || !(thumbnail instanceof Blob)) continue;
    const bytes = { blob: await asStored(blob), thumbnail: await asStored(thumbnail) };
    await database.pictureFiles.update(id, bytes);
  }
}

/** Keeps a picture and its pixels: both, or neither. Durable when it resolves. */
export async function addPicture(
  database: CairnDatabase,
  picture: MapPicture,
  { blob, thumbnail }: PicturePixels,
): Promise<void> {
  const whole = mapPictureSchema.parse(picture) as MapPicture;
  // A transaction would end while it waits for the bytes.
  const file = { blob: await asStored(blob), thumbnail: await asStored(thumbnail) };
  const tables = [database.pictures, database.pictureFiles];
  await database.transaction('rw', tables, async () => {
    await database.pictures.put(whole);
    await database.pictureFiles.put({ ...file, id: picture.id });
  });
}

/** Changes what is known of a picture, on the newest record; durable when it resolves. */
export async function changePicture(
  database: CairnDatabase,
  id: string,
  change: (picture: MapPicture) => MapPicture,
): Promise<void> {
  await database.transaction('rw', database.pictures, async () => {
    const there = await database.pictures.get(id);
    if (!there) return;
    await database.pictures.put(mapPictureSchema.parse(change(there)) as MapPicture);
  });
}

/** Removes a picture and its pixels. */
export async function removePicture(database: CairnDatabase, id: string): Promise<void> {
  const tables = [database.pictures, database.pictureFiles];
  await database.transaction('rw', tables, async () => {
    await database.pictures.delete(id);
    await database.pictureFiles.delete(id);
  });
}

/** Bytes of all pixels that are kept. */
export async function pictureBytes(database: CairnDatabase): Promise<number> {
  const pictures = await database.pictures.toArray();
  return pictures.reduce((sum, { bytes }) => sum + bytes, 0);
}
