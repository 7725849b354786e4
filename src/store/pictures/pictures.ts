import { mapPictureSchema, type MapPicture } from '../../core/model/map-picture';
import type { CairnDatabase, PictureFile } from '../database';

/** All pictures of maps, the last added first; one that can't be read stays and isn't shown. */
export async function mapPictures(database: CairnDatabase): Promise<MapPicture[]> {
  const records = await database.pictures.toArray();
  return records
    .filter((record) => mapPictureSchema.safeParse(record).success)
    .sort((a, b) => b.addedAt.localeCompare(a.addedAt));
}

/** The picture of an id; undefined for none. */
export const mapPicture = (database: CairnDatabase, id: string) => database.pictures.get(id);

/** The pixels of a picture. */
export const pictureFile = (database: CairnDatabase, id: string) => database.pictureFiles.get(id);

/** Keeps a picture and its pixels: both, or neither. Durable when it resolves. */
export async function addPicture(
  database: CairnDatabase,
  picture: MapPicture,
  file: Omit<PictureFile, 'id'>,
): Promise<void> {
  const whole = mapPictureSchema.parse(picture) as MapPicture;
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
