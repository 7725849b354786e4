import { metresAlong, type DistanceReading, type LengthUnit } from '../../readings/distance';
import { METRES_PER_KILOMETRE, type Metres } from '../../units/units';
import type { Instead, Slip, SlipLeg, SlipId } from './slip';
import type { Leg } from '../../entries/entry';

/** What a leg of so many metres more would have been written as; null where nobody would. */
function written(leg: SlipLeg, more: number): DistanceReading | null {
  const { distance } = leg.reading;
  const each = {
    paces: leg.paceMetres,
    steps: leg.paceMetres / 2,
    metres: 1,
    kilometres: METRES_PER_KILOMETRE,
  }[distance.unit as 'paces'];
  if (!(each > 0) || distance.unit === 'minutes') return null;
  const value = distance.value + more / each;
  return { ...distance, value: distance.unit === 'kilometres' ? value : Math.round(value) };
}

/** A leg that is longer or shorter by so much. */
const by = (leg: SlipLeg, metres: number, says: (more: number) => string): Instead[] =>
  [metres, -metres].flatMap((more) => {
    const distance = written(leg, more);
    if (!distance || distance.value <= 0 || leg.metres + more <= 0) return [];
    return [withMetres(leg, leg.metres + more, distance, says(more))];
  });

/** A bead not drawn, or drawn twice. */
export const hundredMetres: Slip = {
  id: 'hundred-metres',
  prior: 0.01,
  lookAt: 'the beads: was one forgotten, or drawn twice?',
  of: (leg) =>
    by(leg, 100, (more) => (more > 0 ? 'a hundred metres are missing' : 'it is 100 m too long')),
};

/** Ten paces: a slip of the count. */
export const tenPaces: Slip = {
  id: 'ten-paces',
  prior: 0.005,
  lookAt: 'the count',
  of: (leg) =>
    leg.reading.distance.unit === 'paces'
      ? by(leg, 10 * leg.paceMetres, (more) =>
          more > 0 ? 'ten paces are missing' : 'there are ten paces too many',
        )
      : [],
};

/** A leg of another length, with what would then have been written. */
function withMetres(
  leg: SlipLeg,
  metres: Metres,
  distance: DistanceReading | null,
  says: string,
): Instead {
  const suggested: Leg | null = distance && { ...leg.reading, distance };
  return { bearingDegrees: leg.bearingDegrees, metres, suggested, says };
}

/** The leg with its number in another unit. */
function inUnit(leg: SlipLeg, unit: LengthUnit, says: string) {
  const { distance } = leg.reading;
  const read = { unit, value: distance.value };
  const was = metresAlong(distance, leg.paceMetres);
  const metres = (leg.metres * metresAlong(read, leg.paceMetres)) / was;
  return Number.isFinite(metres) ? [withMetres(leg, metres, read, says)] : [];
}

/** Paces and single steps taken for each other: what is written, and what was counted. */
const counted = (id: SlipId, written: LengthUnit, instead: LengthUnit, says: string): Slip => ({
  id,
  prior: 0.003,
  lookAt: 'whether every step was counted, or every second one',
  of: (leg) => (leg.reading.distance.unit === written ? inUnit(leg, instead, says) : []),
});

/** Single steps that were written as paces. */
export const singleSteps = counted(
  'single-steps',
  'paces',
  'steps',
  'single steps were counted, not paces',
);

/** Paces that were written as single steps. */
export const doublePaces = counted(
  'double-paces',
  'steps',
  'paces',
  'paces were counted, not single steps',
);

/** What is mistaken for what. */
const MISTAKEN: Readonly<Partial<Record<string, readonly [LengthUnit, string]>>> = {
  paces: ['metres', 'the number is metres, not paces'],
  metres: ['paces', 'the number is paces, not metres'],
  feet: ['metres', 'the number is metres, not feet'],
  yards: ['metres', 'the number is metres, not yards'],
};

/** A number in another unit than is written. */
export const unit: Slip = {
  id: 'unit',
  prior: 0.003,
  lookAt: 'the unit',
  of(leg) {
    const other = MISTAKEN[leg.reading.distance.unit];
    return other ? inUnit(leg, ...other) : [];
  },
};
