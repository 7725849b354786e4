import * as z from 'zod/mini';
import { plainDecimal, type Degrees } from '../units/units';
import { numberUpTo, openObject } from './shape';

/** An angle east or west of a north, as it was read. */
export const angleReading = openObject({
  degrees: numberUpTo(180),
  minutes: z.optional(z.number().check(z.gte(0), z.lt(60))),
  toward: z.enum(['E', 'W']),
});
export type AngleReading = z.infer<typeof angleReading>;

/** The angle in degrees, east positive. */
export const angleEast = (reading: AngleReading): Degrees =>
  (reading.toward === 'E' ? 1 : -1) * (reading.degrees + (reading.minutes ?? 0) / 60);

export const writeAngle = ({ degrees, minutes, toward }: AngleReading): string =>
  minutes === undefined
    ? `${plainDecimal(degrees)} ${toward}`
    : `${plainDecimal(degrees)}°${plainDecimal(minutes)}' ${toward}`;
