import type { Fault } from './faults';
import type { Position } from './logbook';
import type { Result } from './result';
import type { Degrees } from './units';

/** What a model of the earth's field says at a place and day. */
export interface FieldAtPlace {
  /** Declination, east positive, in (-180, 180]. */
  readonly eastDegrees: Degrees;
  /** Its one-sigma error. */
  readonly sigmaDegrees: Degrees;
  readonly changePerYearDegrees: Degrees;
  readonly horizontalNanotesla: number;
  readonly model: string;
  /** Days (YYYY-MM-DD) between which the model holds. */
  readonly validFrom: string;
  readonly validUntil: string;
  /** True when the day lies outside the window and the figure is carried on by the change a year. */
  readonly extrapolated: boolean;
}

/**
 * The models that an outing may ask for. The core is given them, since their coefficients are heavy and
 * most outings do without: see earth-models-loaded.ts for the real ones.
 */
export interface EarthModels {
  /** The field at a place on a day (YYYY-MM-DD). Refuses a day more than five years outside every window. */
  declination(position: Position, day: string): Result<FieldAtPlace, Fault>;
  /** Convergence at a place, east positive: of the UTM grid, or of the projection with this definition. */
  convergence(position: Position, projection?: string): Result<Degrees, Fault>;
  /** The first and last day that the models reach. */
  readonly reach: { readonly from: string; readonly until: string };
}
