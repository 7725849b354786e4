import * as z from 'zod/mini';
import { openObject } from './shape';

/** A place on the earth in decimal degrees, WGS 84, north and east positive. */
export const positionSchema = openObject({
  latitude: z.number().check(z.gte(-90), z.lte(90)),
  longitude: z.number().check(z.gte(-180), z.lte(180)),
});
export type Position = z.infer<typeof positionSchema>;
