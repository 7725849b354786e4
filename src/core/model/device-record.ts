import * as z from 'zod/mini';
import { openObject } from '../readings/shape';
import { mapPictureSchema } from './map-picture';

const MOST_RECORDS = 200_000;
const MOST_PICTURES = 1000;

/** The pixels of a picture: where they are in the archive that holds the backup. */
const pixels = openObject({
  id: z.string().check(z.minLength(1), z.maxLength(200)),
  file: z.string().check(z.maxLength(300)),
  type: z.string().check(z.maxLength(100)),
  thumbnail: z.string().check(z.maxLength(300)),
  thumbnailType: z.string().check(z.maxLength(100)),
});
export type BackedUpPixels = z.infer<typeof pixels>;

/**
 * What a device holds beside outings and documents, as a backup has it: pictures of maps with what
 * positions them, counts under way, and choices and drafts. Records of a count are checked when
 * they are replayed.
 */
export const deviceRecordSchema = openObject({
  pictures: z.array(mapPictureSchema).check(z.maxLength(MOST_PICTURES)),
  pixels: z.array(pixels).check(z.maxLength(MOST_PICTURES)),
  counts: z
    .array(
      z.looseObject({
        count: z.string().check(z.maxLength(200)),
        number: z.int().check(z.gte(0)),
      }),
    )
    .check(z.maxLength(MOST_RECORDS)),
  kept: z
    .array(
      z.object({
        key: z.string().check(z.startsWith('cairn-'), z.maxLength(300)),
        value: z.nullable(z.string().check(z.maxLength(100_000))),
        at: z.number().check(z.gte(0)),
      }),
    )
    .check(z.maxLength(MOST_RECORDS)),
});
export type DeviceRecord = z.infer<typeof deviceRecordSchema>;

/** How many things there are of all kinds that a person would miss. */
export const deviceCount = ({ pictures, counts, kept }: DeviceRecord): number =>
  pictures.length + new Set(counts.map(({ count }) => count)).size + kept.length;
