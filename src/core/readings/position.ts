import * as z from 'zod/mini';
import { openObject } from './shape';

/** A place on the earth in decimal degrees, WGS 84, north and east positive. */
export const positionSchema = openObject({
  latitude: z.number().check(z.gte(-90), z.lte(90)),
  longitude: z.number().check(z.gte(-180), z.lte(180)),
});
export type Position = z.infer<typeof positionSchema>;

/** Six decimals of a degree are 0.1 m: more than any reading is worth. */
const rounded = (value: number) => Math.round(value * 1e6) / 1e6;

/** A position no finer than it can be worth. */
export const roundedPosition = ({ latitude, longitude }: Position): Position => ({
  latitude: rounded(latitude),
  longitude: rounded(longitude),
});
