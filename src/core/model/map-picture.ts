import * as z from 'zod/mini';
import { positionSchema } from '../readings/position';
import { stationName } from '../readings/name';
import { openObject } from '../readings/shape';
import { isProjection } from './header';
import { recordId } from './outing';

const MOST_CONTROLS = 100;
/** Longer sides are no picture that a browser shows. */
const MOST_PIXELS = 40_000;
const pixels = z.number().check(z.gte(-MOST_PIXELS), z.lte(2 * MOST_PIXELS));

/** A place that is known on the map and in its picture. */
const controlPoint = openObject({
  x: pixels,
  y: pixels,
  position: positionSchema,
  /** What was typed or chosen: a grid reference, or the name of a known place. */
  label: stationName,
});
export type PictureControl = z.infer<typeof controlPoint>;

/** A picture of a map and what ties it to the earth; its pixels are kept beside it. */
export const mapPictureSchema = openObject({
  id: recordId,
  name: stationName,
  addedAt: z.iso.datetime(),
  width: z.int().check(z.gte(1), z.lte(MOST_PIXELS)),
  height: z.int().check(z.gte(1), z.lte(MOST_PIXELS)),
  bytes: z.int().check(z.gte(0)),
  /** The grid of the map; without it, UTM at the first point. */
  projection: z.optional(z.string().check(z.refine(isProjection, 'a projection'))),
  controls: z.array(controlPoint).check(z.maxLength(MOST_CONTROLS)),
  /**
   * The six numbers of a world file, or of a GeoTIFF, for the middle of each pixel: east by x,
   * north by x, east by y, north by y, east and north of the first pixel. In the units of the
   * projection, or in degrees.
   */
  world: z.optional(
    openObject({ numbers: z.array(z.number()).check(z.length(6)), degrees: z.boolean() }),
  ),
});
export type MapPicture = z.infer<typeof mapPictureSchema>;
