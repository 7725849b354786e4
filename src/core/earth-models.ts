import type { Fault } from './faults';
import type { Position } from './logbook';
import type { Result } from './result';
import type { Degrees } from './units';

/** What a model of the earth's field says at a place and day. */
interface ModelDeclination {
  readonly eastDegrees: Degrees;
  readonly sigmaDegrees: Degrees;
  readonly horizontalNanotesla: number;
  readonly model: string;
}

/**
 * The models that an outing may ask for. The core is given them, since their coefficients are heavy and
 * most outings do without: see earth-models-loaded.ts for the real ones.
 */
export interface EarthModels {
  /** Declination at a place on a day (YYYY-MM-DD). */
  declination(position: Position, day: string): Result<ModelDeclination, Fault>;
  /** Convergence of the UTM grid at a place, east positive. */
  convergence(position: Position): Result<Degrees, Fault>;
}
