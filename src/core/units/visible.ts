/**
 * Characters that show as nothing, or turn the letters around them: controls, zero-width spaces,
 * marks of direction. The joiners (U+200C, U+200D) are letters' own in many scripts, and stay.
 */
const INVISIBLE =
  /[\u0000-\u0008\u000B-\u001F\u007F-\u009F\u00AD\u061C\u180E\u200B\u200E\u200F\u2028-\u202E\u2060-\u206F\uFEFF]/g;

/** True for a text with something in it that can be seen. */
export const isVisible = (text: string): boolean =>
  text.replace(INVISIBLE, '').replace(/[\u200C\u200D\s]/g, '') !== '';

/**
 * A text for people to look at: each character that can't be seen is shown by its code, as in
 * `[U+202E]`, so that two names that look alike are alike.
 */
export const visibleText = (text: string): string =>
  text.replace(
    INVISIBLE,
    (character) => `[U+${character.charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')}]`,
  );

/** Marks that turn the direction of what follows them, and so of text that is not theirs. */
const TURNING = /[\u202A-\u202E\u2066-\u2069]/g;

/** A text whose marks of direction, and they alone, are shown by their codes: for files. */
export const withoutTurns = (text: string): string => text.replace(TURNING, visibleText);
