import type { EarthModels, FieldAtPlace } from './earth-models';
import type { Fault } from './faults';
import type { Correction, DeclinationSetting, Outing } from './logbook';
import type { Norths } from './north';
import { angleEast } from './reading';
import { fail, ok, type Result } from './result';
import type { Degrees } from './units';

const MILLISECONDS_PER_YEAR = 365.2425 * 86_400_000;

type Margin = Extract<DeclinationSetting, { source: 'margin' }>;

/** Years from a margin's date to a day. Without a month it is 1 July of its year; with one, its first day. */
export function yearsSinceMargin(margin: Pick<Margin, 'year' | 'month'>, day: string): number {
  const stated = Date.UTC(margin.year, (margin.month ?? 7) - 1, 1);
  return (Date.parse(`${day}T00:00:00Z`) - stated) / MILLISECONDS_PER_YEAR;
}

/** Declination from a map margin on a day: angle0 + change × years, by calendar days / 365.2425. */
export const marginDeclination = (margin: Margin, day: string): Degrees =>
  angleEast(margin.angle) + angleEast(margin.changePerYear) * yearsSinceMargin(margin, day);

/** The angles in force on an outing, and how well declination is known (one sigma; 0 when it was typed in). */
export interface NorthsOfOuting extends Norths {
  readonly declinationSource: DeclinationSetting['source'];
  readonly declinationSigmaDegrees: Degrees;
  readonly correction: Correction;
  /** The declination as set, also where the correction leaves it out or does without it; null when none is. */
  readonly statedEast: Degrees | null;
  /** What the field model says at the start; null without a position, a date, or the model. */
  readonly field: FieldAtPlace | null;
}

export interface NorthsFault {
  readonly fault: Fault;
  readonly header: 'declination' | 'convergence';
}

/** How an outing deals with the angle: as it says, else by sums where a declination is set. */
export const correctionOf = (outing: Outing): Correction =>
  outing.correction?.how ?? (outing.declination.source === 'none' ? 'none' : 'by-sum');

/** What the model says at the start, when there is all that it needs; a day that it refuses gives null. */
function fieldAtStart(outing: Outing, models: EarthModels | null): FieldAtPlace | null {
  const { start, date } = outing;
  if (!models || !start.position || !date) return null;
  const found = models.declination(start.position, date.day);
  return found.ok ? found.value : null;
}

function statedDeclination(
  outing: Outing,
  models: EarthModels | null,
): Result<{ east: Degrees | null; sigma: Degrees }, Fault> {
  const setting = outing.declination;
  const position = outing.start.position;
  const day = outing.date?.day;
  switch (setting.source) {
    case 'none':
      return ok({ east: null, sigma: 0 });
    case 'typed':
      return ok({ east: angleEast(setting.angle), sigma: 0 });
    case 'margin':
      if (!day) return fail({ code: 'model-needs', what: 'date' });
      return ok({ east: marginDeclination(setting, day), sigma: 0 });
    case 'model': {
      if (!position) return fail({ code: 'model-needs', what: 'position' });
      if (!day) return fail({ code: 'model-needs', what: 'date' });
      if (!models) return fail({ code: 'model-not-loaded' });
      const found = models.declination(position, day);
      if (!found.ok) return found;
      return ok({ east: found.value.eastDegrees, sigma: found.value.sigmaDegrees });
    }
  }
}

function convergenceOf(outing: Outing, models: EarthModels | null): Result<Degrees, Fault> {
  const setting = outing.convergence;
  if (!setting) return ok(0);
  if (setting.source === 'typed') return ok(angleEast(setting.angle));
  const position = outing.start.position;
  if (!position) return fail({ code: 'model-needs', what: 'position' });
  if (!models) return fail({ code: 'model-not-loaded' });
  return models.convergence(
    position,
    setting.source === 'projection' ? setting.definition : undefined,
  );
}

/** The angles that each school reckons with. Magnetic all the way knows none; left out counts them as nothing. */
function reckoned(
  correction: Correction,
  stated: Degrees | null,
  convergence: Degrees,
): Pick<Norths, 'declinationEast' | 'convergenceEast' | 'gridIsMagnetic'> {
  if (correction === 'none') return { declinationEast: null, convergenceEast: 0 };
  if (correction === 'left-out') return { declinationEast: 0, convergenceEast: 0 };
  if (correction === 'magnetic-map') {
    return { declinationEast: stated, convergenceEast: stated ?? 0, gridIsMagnetic: true };
  }
  return { declinationEast: stated, convergenceEast: convergence };
}

/** Works out the angles between the norths; a model that is asked for must have been given. */
export function northsOf(
  outing: Outing,
  models: EarthModels | null,
): Result<NorthsOfOuting, NorthsFault> {
  const correction = correctionOf(outing);
  const stated = statedDeclination(outing, models);
  if (!stated.ok) return fail({ fault: stated.fault, header: 'declination' });
  const convergence = convergenceOf(outing, models);
  if (!convergence.ok) return fail({ fault: convergence.fault, header: 'convergence' });
  return ok({
    ...reckoned(correction, stated.value.east, convergence.value),
    declinationSource: outing.declination.source,
    declinationSigmaDegrees: stated.value.sigma,
    correction,
    statedEast: stated.value.east,
    field: fieldAtStart(outing, models),
  });
}

/** True when an outing asks for a model, which then has to be loaded before it can be solved. */
export const needsEarthModels = (outing: Outing): boolean =>
  outing.declination.source === 'model' ||
  (outing.convergence !== undefined && outing.convergence.source !== 'typed');

/** True when the models could check what an outing says: it has a place and a day. */
export const canUseEarthModels = (outing: Outing): boolean =>
  needsEarthModels(outing) || (outing.start.position !== undefined && outing.date !== undefined);
