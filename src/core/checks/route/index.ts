import type { Plan } from '../../navigation/route/plan';
import type { FigureUnits } from '../../units/figures';
import { crossesBarrier } from './crosses-barrier';
import {
  aimImpossible,
  nothingCatches,
  otherWay,
  samePlace,
  targetUnseen,
  tickBeyond,
} from './legs';
import type { RouteAround, RouteCheck, RouteWarning } from './route-check';
import { declinationDoubtful, late, noDeclination } from './whole';

/** Every check of a plan. A new one is a function and a name here. */
const ROUTE_CHECKS: readonly RouteCheck[] = [
  noDeclination,
  declinationDoubtful,
  late,
  otherWay,
  samePlace,
  crossesBarrier,
  nothingCatches,
  targetUnseen,
  aimImpossible,
  tickBeyond,
];

/** What is missing in a plan or looks wrong: of the whole first, then leg by leg. */
export const checkRoute = (plan: Plan, around: RouteAround, units: FigureUnits): RouteWarning[] =>
  ROUTE_CHECKS.flatMap((check) => check(plan, around, units)).sort(
    (one, other) => (one.leg ?? 0) - (other.leg ?? 0),
  );
