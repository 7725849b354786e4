import * as z from 'zod/mini';

/** A time of day as HH:MM, on the clock of the place. */
export const clockTime = z.string().check(z.regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time as HH:MM'));
