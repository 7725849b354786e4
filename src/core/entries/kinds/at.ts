import type { FigureUnits } from '../../units/figures';
import * as z from 'zod/mini';
import {
  LENGTH_UNITS,
  writeDistance,
  type LengthReading,
  type LengthUnit,
} from '../../readings/distance';
import { optionalFeatureKind, sideSchema, writeFeatureKind } from '../feature';
import { LARGEST_READING, noteText, numberUpTo, openObject } from '../../readings/shape';
import { distanceWords } from '../describe';
import { entryKind } from '../entry-kind';
import type { LineCursor } from '../line-cursor';

const metres = numberUpTo(LARGEST_READING);
/** A count or a length that may be 0: a thing right where the leg began. */
const length = openObject({
  unit: z.enum(LENGTH_UNITS),
  value: metres,
  about: z.optional(z.literal(true)),
});

const schema = openObject({
  kind: z.literal('at'),
  /** How far along the leg: metres, or a reading in another unit. */
  metres: z.optional(metres),
  along: z.optional(length),
  side: z.optional(sideSchema),
  /** On both sides of the line, and not on it alone. */
  bothSides: z.optional(z.literal(true)),
  /** How far to the side, likewise. */
  sideMetres: z.optional(metres),
  aside: z.optional(length),
  thing: optionalFeatureKind,
  what: noteText,
});
export type Feature = z.infer<typeof schema>;

/** How far along its leg something was seen. */
export const alongOf = ({ metres = 0, along }: Pick<Feature, 'metres' | 'along'>): LengthReading =>
  along ?? { unit: 'metres', value: metres };

/** How far to its side something was seen, 0 where nobody said; null for something on the line. */
export const asideOf = ({
  side,
  sideMetres = 0,
  aside,
}: Pick<Feature, 'side' | 'sideMetres' | 'aside'>): LengthReading | null =>
  side === undefined ? null : (aside ?? { unit: 'metres', value: sideMetres });

/**
 * `at DISTANCE [left [DISTANCE] | right [DISTANCE] | both sides] [KIND] ; what`: a feature seen on
 * the last leg, how far along it, and on which side.
 */
export const atKind = entryKind(schema)({
  keyword: 'at',
  takesWholeLine: false,
  read(cursor, note, { bareUnit }) {
    const distance = cursor.position;
    const at: Omit<Feature, 'what'> = { kind: 'at' };
    const along = cursor.length(bareUnit);
    Object.assign(at, isPlainMetres(along) ? { metres: along.value } : { along });
    cursor.take(/\s*,/y);
    Object.assign(at, cursor.featureKind());
    cursor.skipSpace();
    if (cursor.take(BOTH)) at.bothSides = true;
    else if (at.thing === undefined && cursor.sees(SIDE)) {
      Object.assign(at, readAside(cursor, bareUnit), cursor.featureKind());
    }
    const what = cursor.whatSeen(note, at.thing);
    return { entry: { ...at, what }, columns: { whole: distance, distance } };
  },
  write(entry) {
    const aside = asideOf(entry);
    const far = aside && isFarSaid(entry) ? ` ${writeDistance(aside)}` : '';
    const side = aside ? ` ${entry.side}${far}` : entry.bothSides ? ' both sides' : '';
    return `  at ${writeDistance(alongOf(entry))}${side}${writeFeatureKind(entry)} ; ${entry.what}`;
  },
  describe: (entry, units) =>
    `${distanceWords(alongOf(entry), units)} along the last leg` +
    `${sideWords(entry, units)}: ${entry.what}`,
  attachesTo: 'leg',
  station: null,
  apply: (entry, reckoning) =>
    reckoning.needsLeg() ?? reckoning.needsPace(alongOf(entry), asideOf(entry)),
});

/** True for a length whose figure alone says it. */
const isPlainMetres = ({ unit, about }: LengthReading) => unit === 'metres' && !about;

const SIDE = /(?:left|right)(?![a-z])/iy;
const BOTH = /(?:on\s+)?both(?:\s+sides)?(?![a-z])/iy;
const NUMBER = /[\d½⅓⅔¼¾⅛⅜⅝⅞.+-]/y;

/** True where it is said how far to the side something is. */
const isFarSaid = ({ sideMetres, aside }: Pick<Feature, 'sideMetres' | 'aside'>): boolean =>
  sideMetres !== undefined || aside !== undefined;

function readAside(cursor: LineCursor, bareUnit: LengthUnit): Partial<Feature> {
  const side = cursor.side();
  cursor.skipSpace();
  // Which side something is on is often all that is noted.
  if (!cursor.sees(NUMBER)) return { side };
  const aside = cursor.length(bareUnit);
  cursor.take(/\s*,/y);
  return isPlainMetres(aside) ? { side, sideMetres: aside.value } : { side, aside };
}

/** Which side a feature is on, after a comma; empty when it is on the line. */
export function sideWords(
  feature: Pick<Feature, 'side' | 'sideMetres' | 'aside' | 'bothSides'>,
  units: FigureUnits,
): string {
  if (feature.bothSides) return ', on both sides';
  const aside = asideOf(feature);
  if (!aside) return '';
  const far = isFarSaid(feature) ? `${distanceWords(aside, units)} ` : '';
  return `, ${far}to the ${feature.side}`;
}
