import type { DeclinationSetting, Header } from '../../model/header';
import { placeOf, type Outing } from '../../model/outing';
import { implausibleDeclination, type StatedBeside } from '../../north/implausible-declination';
import { fieldAt, type EarthModels, type FieldAtPlace } from '../../north/earth-models';
import { correctionOf, type OutingNorths } from '../../north/outing-norths';
import type { Position } from '../../readings/position';
import type { Solution } from '../../survey/solution';
import type { FixHere } from './fix-here';

/** The declination that a fix is found with, beside what the model says there. */
export interface FixDeclination {
  readonly norths: OutingNorths;
  /** Where the fix is, or at the first place that was sighted; null where nothing tells. */
  readonly field: FieldAtPlace | null;
  readonly implausible: StatedBeside | null;
}

/** The place that a declination is looked up for: the fix, else what was sighted first. */
const placeOfFix = ({ found, sights }: FixHere): Position | null =>
  found?.position ?? sights.find(({ place }) => place)?.place?.positions[0] ?? null;

/** The declination of a fix; the model is asked for the outing's day, or else for today. */
export function fixDeclination(
  { outing, places }: Solution,
  here: FixHere,
  models: EarthModels | null,
  today: string,
): FixDeclination {
  const { norths } = places.frame;
  const field = fieldAt(models, placeOfFix(here), outing.date?.day ?? today);
  return { norths, field, implausible: implausibleDeclination(norths, field) };
}

/** The model's declination as a setting: as it is there, where an outing can't ask the model. */
export function modelSetting(outing: Outing, { eastDegrees }: FieldAtPlace): DeclinationSetting {
  if (placeOf(outing) && outing.date) return { source: 'model' };
  const degrees = Math.round(10 * Math.abs(eastDegrees)) / 10;
  return { source: 'typed', angle: { degrees, toward: eastDegrees < 0 ? 'W' : 'E' } };
}

/** The header with another declination: a log that had none is corrected by it from now on. */
export function declinedHeader(header: Header, declination: DeclinationSetting): Header {
  const { correction } = header;
  const how = correctionOf(header) === 'none' ? 'by-sum' : correction?.how;
  return { ...header, declination, ...(how && { correction: { ...correction, how } }) };
}
