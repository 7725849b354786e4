import * as z from 'zod/mini';
import type { Cursor } from '../readings/cursor';

/** Kinds of feature that have a mark on the sketch. */
export const FEATURE_KINDS = ['water', 'tree', 'rock', 'path', 'building', 'edge'] as const;
export type FeatureKind = (typeof FEATURE_KINDS)[number];
export const optionalFeatureKind = z.optional(z.enum(FEATURE_KINDS));

export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];
export const sideSchema = z.enum(SIDES);

const FEATURE_KIND = new RegExp(`(${FEATURE_KINDS.join('|')})(?![a-z])`, 'iy');
const SIDE = /(left|right)(?![a-z])/iy;

/** The kind of a feature as the field `thing`, if it is written here. */
export function readFeatureKind(cursor: Cursor): { thing?: FeatureKind } {
  const found = cursor.takeAfterSpace(FEATURE_KIND)?.[1]?.toLowerCase();
  const thing = FEATURE_KINDS.find((kind) => kind === found);
  return thing === undefined ? {} : { thing };
}

export function readSide(cursor: Cursor): Side {
  cursor.skipSpace();
  const found = cursor.take(SIDE)?.[1]?.toLowerCase();
  return SIDES.find((side) => side === found) ?? cursor.expected('side');
}

/** The kind as written in a log, with the space before it; empty for none. */
export const writeFeatureKind = ({ thing }: { thing?: FeatureKind }): string =>
  thing === undefined ? '' : ` ${thing}`;
