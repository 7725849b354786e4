import type { Fault } from '../faults/fault';
import type { Position } from '../readings/position';
import type { Result } from '../units/result';
import type { Degrees } from '../units/units';

/** What a model of the earth's magnetic field says at a place on a day. */
export interface FieldAtPlace {
  /** Declination, east positive, in (-180, 180], and its one-sigma error. */
  readonly eastDegrees: Degrees;
  readonly sigmaDegrees: Degrees;
  readonly changePerYearDegrees: Degrees;
  readonly horizontalNanotesla: number;
  readonly model: string;
  /** Days (YYYY-MM-DD) between which the model is valid. */
  readonly validFrom: string;
  readonly validUntil: string;
  /** True when the day is outside the window, and the annual change was used to extrapolate. */
  readonly extrapolated: boolean;
}

/**
 * The models that an outing may ask for. They are handed to the core, since their coefficients are
 * heavy and most outings do without: see loaded-earth-models.ts for the real ones.
 */
export interface EarthModels {
  /** The field on a day (YYYY-MM-DD); refuses one more than five years outside every window. */
  declination(position: Position, day: string): Result<FieldAtPlace, Fault>;
  /** Convergence, east positive: of the UTM grid, or of a projection by its definition. */
  convergence(position: Position, projection?: string): Result<Degrees, Fault>;
  /** The first and last day that the models reach. */
  readonly reach: { readonly from: string; readonly until: string };
}

/** What a model says at a place on a day (YYYY-MM-DD); null out of its reach, or without a part. */
export function fieldAt(
  models: EarthModels | null,
  place: Position | null | undefined,
  day: string | undefined,
): FieldAtPlace | null {
  if (!models || !place || day === undefined) return null;
  const found = models.declination(place, day);
  return found.ok ? found.value : null;
}
