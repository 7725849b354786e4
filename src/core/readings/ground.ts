import * as z from 'zod/mini';

/** Grounds that a leg may name with a bare word; any other follows the word `on`. */
export const GROUNDS = ['track', 'rough', 'uphill', 'downhill', 'snow', 'night', 'loaded'] as const;

/** True for a valid name of a ground: one lower-case word. */
export const isGroundName = (name: string) => /^[a-z][a-z-]{1,23}$/.test(name);
export const groundName = z.string().check(z.refine(isGroundName, 'a ground: one lower-case word'));

/** A ground as written in a leg: a usual one bare, any other after `on`. */
export const writeGround = (ground: string): string =>
  (GROUNDS as readonly string[]).includes(ground) ? ground : `on ${ground}`;
