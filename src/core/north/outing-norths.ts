import type { Fault } from '../faults/fault';
import type { Correction, DeclinationSetting, Header, MarginDeclination } from '../model/header';
import { angleEast } from '../readings/angle';
import type { Position } from '../readings/position';
import { fail, ok, type Result } from '../units/result';
import type { North } from '../units/bearing';
import type { Degrees } from '../units/units';
import { fieldAt, type EarthModels, type FieldAtPlace } from './earth-models';
import type { Norths } from './norths';

const MILLISECONDS_PER_YEAR = 365.2425 * 86_400_000;
const MID_YEAR_MONTH = 7;

/** Years from a margin's date to a day: from the first of its month, or 1 July of its year. */
export function yearsSinceMargin(
  margin: Pick<MarginDeclination, 'year' | 'month'>,
  day: string,
): number {
  const stated = Date.UTC(margin.year, (margin.month ?? MID_YEAR_MONTH) - 1, 1);
  return (Date.parse(`${day}T00:00:00Z`) - stated) / MILLISECONDS_PER_YEAR;
}

/**
 * The angle of a map margin on a day, from the north that it is said from: angle + annual change ×
 * years (days / 365.2425).
 */
export const marginDeclination = (margin: MarginDeclination, day: string): Degrees =>
  angleEast(margin.angle) + angleEast(margin.changePerYear) * yearsSinceMargin(margin, day);

/** The angles in use on an outing, and how well its declination is known. */
export interface OutingNorths extends Norths {
  readonly declinationSource: DeclinationSetting['source'];
  /** One sigma; 0 for a typed declination or a map margin. */
  readonly declinationSigmaDegrees: Degrees;
  readonly correction: Correction;
  /** The north that the compass reads from by this method. */
  readonly compassNorth: North;
  /** The declination as set, also where the method ignores it or needs none; null for none. */
  readonly statedEast: Degrees | null;
  /** What the field model says at the start; null without a position, a date or the model. */
  readonly field: FieldAtPlace | null;
}

export interface NorthsFault {
  readonly fault: Fault;
  readonly header: 'declination' | 'convergence';
}

/** The declination method: as the outing says, else applied where a declination is set. */
export const correctionOf = ({
  correction,
  declination,
}: Pick<Header, 'correction' | 'declination'>): Correction =>
  correction?.how ?? (declination.source === 'none' ? 'none' : 'by-sum');

type Place = Position | undefined;

/**
 * The north that a compass reads from by each method: the needle's, but where its dial or its scale
 * is set for the declination that of the map, which is true or grid.
 */
export const northOfMethod = (correction: Correction, map: North): North =>
  correction === 'compass-set' || correction === 'by-mark' ? map : 'magnetic';

/** The north that bearings without a letter are from, while no `read` line says another one. */
export const compassNorth = (header: Pick<Header, 'correction' | 'declination' | 'convergence'>) =>
  northOfMethod(correctionOf(header), header.convergence ? 'grid' : 'true');

interface StatedDeclination {
  readonly east: Degrees | null;
  readonly sigma: Degrees;
}

function statedDeclination(
  { declination: setting, date }: Header,
  models: EarthModels | null,
  place: Place,
): Result<StatedDeclination, Fault> {
  switch (setting.source) {
    case 'none':
      return ok({ east: null, sigma: 0 });
    case 'typed':
      return ok({ east: angleEast(setting.angle), sigma: 0 });
    case 'margin':
      if (!date) return fail({ code: 'model-needs', what: 'date' });
      return ok({ east: marginDeclination(setting, date.day), sigma: 0 });
    case 'model': {
      if (!place) return fail({ code: 'model-needs', what: 'position' });
      if (!date) return fail({ code: 'model-needs', what: 'date' });
      if (!models) return fail({ code: 'model-not-loaded' });
      const found = models.declination(place, date.day);
      if (!found.ok) return found;
      return ok({ east: found.value.eastDegrees, sigma: found.value.sigmaDegrees });
    }
  }
}

function convergenceOf(
  { convergence: setting }: Header,
  models: EarthModels | null,
  place: Place,
): Result<Degrees, Fault> {
  if (!setting) return ok(0);
  if (setting.source === 'typed') return ok(angleEast(setting.angle));
  if (!place) return fail({ code: 'model-needs', what: 'position' });
  if (!models) return fail({ code: 'model-not-loaded' });
  const definition = setting.source === 'projection' ? setting.definition : undefined;
  return models.convergence(place, definition);
}

/** The convergence that each method computes with. */
function convergenceInUse(correction: Correction, stated: Degrees | null, grid: Degrees): Degrees {
  if (correction === 'none' || correction === 'left-out') return 0;
  return correction === 'magnetic-map' ? (stated ?? 0) : grid;
}

/**
 * The angles between the norths of an outing. A model that it asks for must be given; it is asked
 * for a place, which is the start without another one.
 */
export function outingNorths(
  header: Header,
  models: EarthModels | null,
  place: Place = header.start.position,
): Result<OutingNorths, NorthsFault> {
  const correction = correctionOf(header);
  const stated = statedDeclination(header, models, place);
  if (!stated.ok) return fail({ fault: stated.fault, header: 'declination' });
  const convergence = convergenceOf(header, models, place);
  if (!convergence.ok) return fail({ fault: convergence.fault, header: 'convergence' });
  // From grid north it is the grid-magnetic angle: D = G + C.
  const isOfGrid = 'of' in header.declination && header.declination.of === 'grid';
  const { east: said } = stated.value;
  const east = said === null || !isOfGrid ? said : said + convergence.value;
  // Written out: a spread first would cost ten times all the rest of this function.
  return ok({
    declinationEast: correction === 'none' ? null : east,
    convergenceEast: convergenceInUse(correction, east, convergence.value),
    gridIsMagnetic: correction === 'magnetic-map',
    mapReadAsMagnetic: correction === 'left-out',
    declinationSource: header.declination.source,
    declinationSigmaDegrees: stated.value.sigma,
    correction,
    compassNorth: compassNorth(header),
    statedEast: east,
    field: fieldAt(models, place, header.date?.day),
  });
}

/** True when an outing asks for the grid of a map, beside the earth's field or without it. */
export const needsGridModel = ({ convergence }: Header): boolean =>
  convergence !== undefined && convergence.source !== 'typed';

/** True when an outing asks for a model, which then has to be loaded before it can be solved. */
export const needsEarthModels = (header: Header): boolean =>
  header.declination.source === 'model' || needsGridModel(header);

/** True when the models could check what an outing says: it has a position and a day. */
export const canUseEarthModels = (header: Header): boolean =>
  needsEarthModels(header) || (header.start.position !== undefined && header.date !== undefined);
