import { z } from 'zod';

// The Content-Security-Policy allows no script made from text, so the validator must not compile
// its checks. It has to be told before the first schema is made.
z.config({ jitless: true });

/**
 * An object schema that keeps fields it does not know (a later version's) but is typed by those it
 * does. The cast hides the index signature that `looseObject` adds to the type.
 */
export const openObject = <Shape extends z.ZodRawShape>(shape: Shape): z.ZodObject<Shape> =>
  z.looseObject(shape) as unknown as z.ZodObject<Shape>;

/** The largest number a reading may hold: beyond it a slip of the finger is certain. */
export const LARGEST_READING = 1_000_000;

export const positiveAmount = z.number().gt(0).max(LARGEST_READING);
export const numberUpTo = (most: number) => z.number().min(0).max(most);

export const isOneLine = (text: string) => !/[\n\r]/.test(text) && text === text.trim();
export const ONE_LINE = 'one line, without spaces at its ends';

/** The longest note that is kept, in characters. */
export const LONGEST_NOTE = 2000;
export const noteText = z.string().min(1).max(LONGEST_NOTE).refine(isOneLine, ONE_LINE);
export const optionalNote = noteText.optional();
