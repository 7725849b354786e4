import type { EarthModels } from './earth-models';
import type { Fault } from './faults';
import type { DeclinationSetting, Outing } from './logbook';
import type { Norths } from './north';
import { angleEast } from './reading';
import { fail, ok, type Result } from './result';
import type { Degrees } from './units';

const MILLISECONDS_PER_YEAR = 365.2425 * 86_400_000;

/**
 * Declination from a map margin on a day: angle0 + change × years, by calendar days / 365.2425. A margin
 * without a month means 1 July of its year; one with a month, the first of that month.
 */
export function marginDeclination(
  margin: Extract<DeclinationSetting, { source: 'margin' }>,
  day: string,
): Degrees {
  const stated = Date.UTC(margin.year, (margin.month ?? 7) - 1, 1);
  const years = (Date.parse(`${day}T00:00:00Z`) - stated) / MILLISECONDS_PER_YEAR;
  return angleEast(margin.angle) + angleEast(margin.changePerYear) * years;
}

/** The angles in force on an outing, and how well declination is known (one sigma; 0 when it was typed in). */
export interface NorthsOfOuting extends Norths {
  readonly declinationSource: DeclinationSetting['source'];
  readonly declinationSigmaDegrees: Degrees;
}

export interface NorthsFault {
  readonly fault: Fault;
  readonly header: 'declination' | 'convergence';
}

/** Works out the angles between the norths; a model that is asked for must have been given. */
export function northsOf(
  outing: Outing,
  models: EarthModels | null,
): Result<NorthsOfOuting, NorthsFault> {
  const setting = outing.declination;
  const position = outing.start.position;
  const day = outing.date?.day;
  let declinationEast: Degrees | null = null;
  let sigma: Degrees = 0;

  const refuse = (fault: Fault, header: NorthsFault['header'] = 'declination') =>
    fail({ fault, header });

  if (setting.source === 'typed') declinationEast = angleEast(setting.angle);
  if (setting.source === 'margin') {
    if (!day) return refuse({ code: 'model-needs', what: 'date' });
    declinationEast = marginDeclination(setting, day);
  }
  if (setting.source === 'model') {
    if (!position) return refuse({ code: 'model-needs', what: 'position' });
    if (!day) return refuse({ code: 'model-needs', what: 'date' });
    if (!models) return refuse({ code: 'model-not-loaded' });
    const found = models.declination(position, day);
    if (!found.ok) return refuse(found.fault);
    declinationEast = found.value.eastDegrees;
    sigma = found.value.sigmaDegrees;
  }

  let convergenceEast: Degrees = 0;
  if (outing.convergence?.source === 'typed') convergenceEast = angleEast(outing.convergence.angle);
  if (outing.convergence?.source === 'model') {
    if (!position) return refuse({ code: 'model-needs', what: 'position' }, 'convergence');
    if (!models) return refuse({ code: 'model-not-loaded' }, 'convergence');
    const found = models.convergence(position);
    if (!found.ok) return refuse(found.fault, 'convergence');
    convergenceEast = found.value;
  }
  return ok({
    declinationEast,
    convergenceEast,
    declinationSource: setting.source,
    declinationSigmaDegrees: sigma,
  });
}

/** True when an outing asks for a model, which then has to be loaded before it can be solved. */
export const needsEarthModels = (outing: Outing): boolean =>
  outing.declination.source === 'model' || outing.convergence?.source === 'model';
