import * as z from 'zod/mini';

/** Kinds of feature that have a mark on the sketch. */
export const FEATURE_KINDS = ['water', 'tree', 'rock', 'path', 'building', 'edge'] as const;
export type FeatureKind = (typeof FEATURE_KINDS)[number];
export const optionalFeatureKind = z.optional(z.enum(FEATURE_KINDS));

export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];
export const sideSchema = z.enum(SIDES);

/** The kind as written in a log, with the space before it; empty for none. */
export const writeFeatureKind = ({ thing }: { thing?: FeatureKind }): string =>
  thing === undefined ? '' : ` ${thing}`;
