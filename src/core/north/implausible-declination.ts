import { angleText, signedDifference } from '../units/angle';
import type { Degrees } from '../units/units';
import type { FieldAtPlace } from './earth-models';
import type { OutingNorths } from './outing-norths';

/** How far apart a stated angle and the model's have to be. Common practice, no source. */
const LEAST_DEGREES = 3;
const LEAST_SIGMAS = 4;

/** A stated declination beside the one of the model. */
export interface StatedBeside {
  readonly statedEast: Degrees;
  readonly field: FieldAtPlace;
  readonly apartDegrees: Degrees;
}

/** A declination of a margin, or a typed one, and what a model says; null without the two. */
export function statedBeside(
  { statedEast, declinationSource }: OutingNorths,
  field: FieldAtPlace | null,
): StatedBeside | null {
  if (!field || statedEast === null || declinationSource === 'model') return null;
  const apartDegrees = Math.abs(signedDifference(field.eastDegrees, statedEast));
  return { statedEast, field, apartDegrees };
}

/**
 * A stated declination that can't be right at a known place: more than 3° and more than four sigmas
 * of the model from what it says there. Null where it can, or where nothing tells.
 */
export function implausibleDeclination(
  norths: OutingNorths,
  field: FieldAtPlace | null = norths.field,
): StatedBeside | null {
  const beside = statedBeside(norths, field);
  if (!beside) return null;
  const { apartDegrees, field: model } = beside;
  return apartDegrees > Math.max(LEAST_DEGREES, LEAST_SIGMAS * model.sigmaDegrees) ? beside : null;
}

/** How near the other sign has to be for east and west to be called swapped. */
const MIRRORED_DEGREES = 1;

/** That the two differ, by how much, and what to look at. */
export function disagreementText({ statedEast, field, apartDegrees }: StatedBeside): string {
  const mirrored = Math.abs(signedDifference(field.eastDegrees, -statedEast)) <= MIRRORED_DEGREES;
  const cause = mirrored
    ? 'East and west swapped?'
    : 'Check the angle, its letter, the date, and the position.';
  return (
    `Declination is set to ${angleText(statedEast)}, but ${field.model} gives ` +
    `${angleText(field.eastDegrees)} here: ${apartDegrees.toFixed(1)}° apart. ${cause}`
  );
}
