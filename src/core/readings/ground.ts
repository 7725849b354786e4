import * as z from 'zod/mini';
import type { Cursor } from './cursor';

/** Grounds that a leg may name with a bare word; any other follows the word `on`. */
export const GROUNDS = ['track', 'rough', 'uphill', 'downhill', 'snow', 'night', 'loaded'] as const;

/** True for a valid name of a ground: one lower-case word. */
export const isGroundName = (name: string) => /^[a-z][a-z-]{1,23}$/.test(name);
export const groundName = z.string().check(z.refine(isGroundName, 'a ground: one lower-case word'));

const GROUND_WORD = /[a-z][a-z-]*(?=\s|$|;)/iy;
const USUAL_GROUND = new RegExp(`(${GROUNDS.join('|')})(?![a-z-])`, 'iy');

/** The name of a ground, after `on` in a leg or after `pace`. */
export function readGround(cursor: Cursor): string {
  cursor.skipSpace();
  const column = cursor.position;
  const name = cursor.take(GROUND_WORD)?.[0].toLowerCase();
  if (name !== undefined && isGroundName(name)) return name;
  return cursor.expected('ground', undefined, column);
}

/** One of the usual grounds, if it is written here. */
export const takeUsualGround = (cursor: Cursor): string | undefined =>
  cursor.take(USUAL_GROUND)?.[1]?.toLowerCase();

/** A ground as written in a leg: a usual one bare, any other after `on`. */
export const writeGround = (ground: string): string =>
  (GROUNDS as readonly string[]).includes(ground) ? ground : `on ${ground}`;
