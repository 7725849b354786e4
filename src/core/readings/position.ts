import { z } from 'zod';
import { openObject } from './shape';

/** A place on the earth in decimal degrees, WGS 84, north and east positive. */
export const positionSchema = openObject({
  latitude: z.number().min(-90).max(90),
  longitude: z.number().min(-180).max(180),
});
export type Position = z.infer<typeof positionSchema>;
