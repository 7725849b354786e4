import type { BoxReadings, FieldFault, LegReadings } from '../../entries/reckoning';
import { bearingVariance, distanceVariance } from '../../errors/variance';
import type { ErrorSettings } from '../../model/error-settings';
import { bearingDegrees } from '../../readings/bearing';
import { metresAlong, type DistanceReading, type LengthReading } from '../../readings/distance';
import { horizontalShare } from '../../readings/slope';
import type { Degrees, Metres } from '../../units/units';
import { northFault, paceOn, type LogState } from '../log-state';
import type { Traverse } from './traverse';

/** Brings b, in (-360, 720), into [0, 360): cheaper than a remainder, and called once a leg. */
function normalisedOnce(b: Degrees): Degrees {
  const turned = b < 0 ? b + 360 : b >= 360 ? b - 360 : b;
  return turned >= 360 ? 0 : turned;
}

const noPace = (...distances: DistanceReading[]): FieldFault => {
  const steps = distances.some(({ unit }) => unit === 'steps');
  return { fault: { code: 'no-pace', unit: steps ? 'steps' : 'paces' }, field: 'distance' };
};

/**
 * Fills row k of the leg columns from the readings, all but where the leg leaves from. Returns
 * why it can't, or null. Paces measure along the slope: horizontal = along × cos(slope).
 */
export function fillRow(
  traverse: Traverse,
  k: number,
  leg: LegReadings,
  state: Readonly<LogState>,
  errors: ErrorSettings,
): FieldFault | null {
  const offset = state.offset[leg.bearing.north];
  if (Number.isNaN(offset)) return northFault(state, leg.bearing, 'bearing');
  if (leg.back !== undefined) {
    const fault = northFault(state, leg.back, 'back');
    if (fault) return fault;
  }
  const pace = paceOn(state, leg.ground);
  const along = metresAlong(leg.distance, pace.paceLength);
  if (Number.isNaN(along)) return noPace(leg.distance);
  traverse.bearingDegrees[k] = normalisedOnce(bearingDegrees(leg.bearing) + offset);
  traverse.lengthMetres[k] = along * horizontalShare(leg);
  traverse.alongVariance[k] = distanceVariance(errors, leg.distance.unit, pace.paceVariance);
  traverse.acrossVariance[k] = bearingVariance(errors, state.aim);
  return null;
}

/** What the leg that an obstacle was boxed on says of its paces. */
interface BoxedLeg {
  readonly ground: string | undefined;
  /** Metres on the level for one along the leg's slope. */
  readonly level: number;
  readonly state: Readonly<LogState>;
}

/**
 * Lengthens leg k by the along part of an obstacle boxed on it. Out and back cancel, but their
 * counts may differ by their own errors: 2·(p·out)² over the leg's length squared joins the
 * variance across.
 */
export function addBox(
  traverse: Traverse,
  k: number,
  box: BoxReadings,
  { ground, level, state }: BoxedLeg,
  errors: ErrorSettings,
): FieldFault | null {
  const { paceLength, paceVariance } = paceOn(state, ground);
  const out = metresAlong(box.out, paceLength);
  const along = metresAlong(box.along, paceLength) * level;
  if (Number.isNaN(out) || Number.isNaN(along)) return noPace(box.out, box.along);
  const length = traverse.lengthMetres[k]! + along;
  traverse.lengthMetres[k] = length;
  const aside = distanceVariance(errors, box.out.unit, paceVariance) * out * out;
  traverse.acrossVariance[k] = traverse.acrossVariance[k]! + (2 * aside) / (length * length);
  return null;
}

/** Why a length can't be used with a pace; null when it can. */
export function paceFault(
  lengths: readonly (LengthReading | null)[],
  paceLength: Metres,
): FieldFault | null {
  const wanting = lengths.filter((each) => each && Number.isNaN(metresAlong(each, paceLength)));
  return wanting[0] ? noPace(wanting[0]) : null;
}
