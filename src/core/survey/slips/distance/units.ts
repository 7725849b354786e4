import { metresAlong, type LengthUnit } from '../../../readings/distance';
import type { Slip, SlipId, SlipLeg } from '../slip';
import { withMetres } from './longer';

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
