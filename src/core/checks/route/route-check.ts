import type { FigureUnits } from '../../units/figures';
import type { FieldAtPlace } from '../../north/earth-models';
import type { Position } from '../../readings/position';
import type { Plan } from '../../navigation/route/plan';

/** Something in a plan that is missing or looks wrong. It changes nothing. */
export interface RouteWarning {
  readonly code:
    | 'nothing-catches'
    | 'target-unseen'
    | 'other-way'
    | 'aim-impossible'
    | 'tick-beyond'
    | 'same-place'
    | 'late'
    | 'no-declination'
    | 'declination-doubtful'
    | 'crosses-barrier';
  /** The number of the leg, from 1; null for the whole route. */
  readonly leg: number | null;
  readonly message: string;
}

/** A line that is not to be crossed: cliffs, a river in spate, water. */
export interface Barrier {
  readonly name: string;
  readonly positions: readonly { readonly latitude: number; readonly longitude: number }[];
}

/** A point at which barriers may be crossed. */
export interface Crossing {
  readonly name: string;
  readonly position: Position;
}

/** What a plan is checked with, beside itself. */
export interface RouteAround {
  /** Minutes of the route's clock at which the sun sets at its end; null where it isn't known. */
  readonly sunsetMinutes: number | null;
  readonly barriers: readonly Barrier[];
  /** Where a barrier may be crossed: gates, bridges, fords. */
  readonly crossings: readonly Crossing[];
  /** What the model says at its first point, on its day or today; null where that isn't known. */
  readonly field: FieldAtPlace | null;
}

export type RouteCheck = (plan: Plan, around: RouteAround, units: FigureUnits) => RouteWarning[];
