import type { Cursor } from '../cursor';
import { GROUNDS, isGroundName } from '../ground';

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
