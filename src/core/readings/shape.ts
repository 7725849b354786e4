import * as z from 'zod/mini';

// The Content-Security-Policy allows no script made from text, so the validator must not compile
// its checks. It has to be set before the first schema is made.
z.config({ jitless: true });

/**
 * An object schema that keeps fields it does not know (a later version's) but is typed by those it
 * does. The cast hides the index signature that `looseObject` adds to the type.
 */
export const openObject = <Shape extends z.core.$ZodShape>(shape: Shape): z.ZodMiniObject<Shape> =>
  z.looseObject(shape) as unknown as z.ZodMiniObject<Shape>;

/** The largest number a reading may hold: beyond it a slip of the finger is certain. */
export const LARGEST_READING = 1_000_000;

export const positiveAmount = z.number().check(z.gt(0), z.lte(LARGEST_READING));
export const numberUpTo = (most: number) => z.number().check(z.gte(0), z.lte(most));

/** A sum or a part of two units keeps no more decimals than a person could have meant. */
export const roundedReading = (value: number): number => Math.round(value * 1e6) / 1e6;

export const isOneLine = (text: string) => !/[\n\r]/.test(text) && text === text.trim();
export const ONE_LINE = 'one line, without spaces at its ends';

/** The longest note that is kept, in characters. */
export const LONGEST_NOTE = 2000;
export const noteText = z
  .string()
  .check(z.minLength(1), z.maxLength(LONGEST_NOTE), z.refine(isOneLine, ONE_LINE));
export const optionalNote = z.optional(noteText);
