import type { BoxReadings, FieldFault, LegReadings } from '../../entries/reckoning';
import type { Means, Walked } from '../../errors/means';
import { bearingVariance, distanceVariance, joinedReadings } from '../../errors/own-errors';
import type { ErrorSettings } from '../../model/error-settings';
import {
  bearingDegrees,
  finenessDegrees,
  isWhole,
  type BearingReading,
} from '../../readings/bearing';
import { metresAlong, type DistanceReading } from '../../readings/distance';
import { horizontalShare, slopeTangent } from '../../readings/slope';
import { backBearing, signedDifference } from '../../units/angle';
import type { North } from '../../units/bearing';
import type { Degrees, Metres } from '../../units/units';
import {
  meansOf,
  northFault,
  paceOn,
  takeLength,
  type GroundPace,
  type LogState,
} from '../log-state';
import type { Traverse } from './traverse';

/** Brings b, in (-360, 720), into [0, 360): cheaper than a remainder, and called once a leg. */
function normalisedOnce(b: Degrees): Degrees {
  const turned = b < 0 ? b + 360 : b >= 360 ? b - 360 : b;
  return turned >= 360 ? 0 : turned;
}

/** Readings at the two ends of a line that differ by more are not two readings of it: iron. */
const MOST_APART_DEGREES = 5;

/** A stretch on the level as it was walked, with the reading at its far end if there is one. */
export interface Part {
  readonly walked: Walked;
  /** The back bearing, and its weight beside the forward one. */
  readonly back: { readonly walked: Walked; readonly weight: number } | null;
  readonly metres: Metres;
  /** True for a side of a box, which is walked across the leg. */
  readonly across: boolean;
}

/** How a stretch was walked, with the variances of its own that follow from it. */
interface Known {
  readonly walked: Walked;
  readonly bearing: number;
  readonly distance: number;
}

/** What a leg has in common with the next one from the same north, in the same unit and ground. */
interface LegBase {
  readonly north: North;
  readonly unit: DistanceReading['unit'];
  readonly ground: string | undefined;
  readonly offset: Degrees;
  readonly metresPerUnit: Metres;
  readonly pace: GroundPace;
  readonly means: Means;
  /** On the level, by what the bearing was read to: a degree, or a tenth; null until one was. */
  whole: Known | null;
  tenth: Known | null;
}

/**
 * Fills rows of a traverse from the readings. Most legs are walked like the one before, so what
 * the two have in common is kept. The last row stays readable.
 */
export class LegRows {
  private last: Known | null = null;
  private base: LegBase | null = null;
  /**
   * How the leg that was filled last was walked, its back bearing, its metres, its metres on the
   * level for one along the slope, and those for one pace.
   */
  walked: Walked | null = null;
  back: Part['back'] = null;
  metres: Metres = 0;
  level = 1;
  paceMetres: Metres = NaN;

  constructor(readonly errors: ErrorSettings) {}

  /** The row that was filled last, as the one part of its leg. */
  get part(): Part {
    return { walked: this.walked!, back: this.back, metres: this.metres, across: false };
  }

  private known(
    means: Means,
    fineness: Degrees,
    tangent: number,
    iron: Degrees,
    isAbout: boolean,
  ): Known {
    const { last } = this;
    if (last && isAs(last.walked, means, fineness, tangent, iron, isAbout)) return last;
    const walked: Walked = {
      means,
      finenessDegrees: fineness,
      slopeTangent: tangent,
      ironDegrees: iron,
      isAbout,
    };
    const found: Known = {
      walked,
      bearing: bearingVariance(walked, this.errors),
      distance: distanceVariance(walked, this.errors),
    };
    this.last = found;
    return found;
  }

  /**
   * Fills row k of the leg columns from the readings, all but where the leg leaves from. Returns
   * why they can't be used, or null. Paces measure along the slope: horizontal =
   * along × cos(slope). A back bearing joins by weight where the two agree; where they don't, the
   * forward one counts alone, and is less sure.
   */
  fill(traverse: Traverse, k: number, leg: LegReadings, state: LogState): FieldFault | null {
    const { bearing: reading, distance, back } = leg;
    let { base } = this;
    const isLike =
      base !== null &&
      reading.north === base.north &&
      distance.unit === base.unit &&
      leg.ground === base.ground &&
      distance.unit !== 'minutes';
    if (!isLike || base === null) {
      const found = this.baseOf(leg, state);
      if ('fault' in found) return found;
      this.base = base = found;
    }
    const bearing = normalisedOnce(bearingDegrees(reading) + base.offset);
    this.level = horizontalShare(leg);
    this.metres = distance.value * base.metresPerUnit * this.level;
    this.paceMetres = base.pace.paceLength * this.level;
    this.back = null;
    state.means = base.means;
    traverse.lengthMetres[k] = this.metres;
    if (back !== undefined) {
      const fault = northFault(state, back, 'back');
      if (fault) return fault;
      this.fillBoth(traverse, k, leg, back, bearing, base, state);
      return null;
    }
    const known = this.knownOf(base, leg);
    this.walked = known.walked;
    traverse.bearingDegrees[k] = bearing;
    traverse.alongVariance[k] = known.distance;
    traverse.acrossVariance[k] = known.bearing;
    return null;
  }

  /** What the legs so far have in common no longer holds: a line set something else. */
  forget(): void {
    this.base = null;
  }

  /** What a leg has in common with the next one like it, or why it can't be used. */
  private baseOf(leg: LegReadings, state: LogState): LegBase | FieldFault {
    const { bearing, distance, ground } = leg;
    const wrong = northFault(state, bearing, 'bearing') ?? takeLength(state, distance, ground);
    if (wrong) return wrong;
    const pace = paceOn(state, ground);
    return {
      north: bearing.north,
      unit: distance.unit,
      ground,
      offset: state.offset[bearing.north],
      metresPerUnit: metresAlong({ ...distance, value: 1 }, pace.paceLength),
      pace,
      means: meansOf(state, bearing, distance, pace),
      whole: null,
      tenth: null,
    };
  }

  /** How a leg that was read at one end was walked: nearly all are on the level, to a degree. */
  private knownOf(base: LegBase, leg: LegReadings): Known {
    const { bearing } = leg;
    const isAbout = leg.distance.about === true;
    if (this.level === 1 && !isAbout && bearing.unit === 'degrees') {
      if (Number.isInteger(bearing.value)) {
        return (base.whole ??= this.known(base.means, 1, 0, 0, false));
      }
      if (isWhole(10 * bearing.value)) {
        return (base.tenth ??= this.known(base.means, 0.1, 0, 0, false));
      }
    }
    return this.known(base.means, finenessDegrees(bearing), slopeTangent(leg), 0, isAbout);
  }

  /** A leg that was read at both ends. */
  private fillBoth(
    traverse: Traverse,
    k: number,
    leg: LegReadings,
    read: BearingReading,
    bearing: Degrees,
    { means, pace }: LegBase,
    state: Readonly<LogState>,
  ): void {
    const there = normalisedOnce(bearingDegrees(read) + state.offset[read.north]);
    const off = signedDifference(bearing, backBearing(there));
    const apart = Math.abs(off) > MOST_APART_DEGREES;
    const tangent = slopeTangent(leg);
    const fineness = finenessDegrees(leg.bearing);
    const isAbout = leg.distance.about === true;
    const forward = this.known(means, fineness, tangent, apart ? Math.abs(off) : 0, isAbout);
    this.walked = forward.walked;
    traverse.alongVariance[k] = forward.distance;
    traverse.acrossVariance[k] = forward.bearing;
    traverse.bearingDegrees[k] = bearing;
    if (apart) return;
    const backMeans = meansOf(state, read, leg.distance, pace);
    const back = this.known(backMeans, finenessDegrees(read), tangent, 0, isAbout);
    const { backWeight, variance } = joinedReadings(forward.bearing, back.bearing);
    traverse.bearingDegrees[k] = normalisedOnce(bearing + backWeight * off);
    traverse.acrossVariance[k] = variance;
    this.back = { walked: back.walked, weight: backWeight };
  }

  /**
   * Lengthens leg k by the along part of an obstacle boxed on it, and adds the errors of all three
   * sides: those of the two across it turn it by their length, and lengthen it by their bearing.
   */
  addBox(
    traverse: Traverse,
    k: number,
    box: BoxReadings,
    { ground, level, state }: BoxedLeg,
    bearing: LegReadings['bearing'],
  ): readonly Part[] | FieldFault {
    const wrong = takeLength(state, box.out, ground) ?? takeLength(state, box.along, ground);
    if (wrong) return wrong;
    const pace = paceOn(state, ground);
    const out = metresAlong(box.out, pace.paceLength);
    const along = metresAlong(box.along, pace.paceLength) * level;
    const isAbout = box.out.about === true;
    const side = this.known(meansOf(state, bearing, box.out, pace), 0, 0, 0, isAbout);
    const onwardMeans = meansOf(state, bearing, box.along, pace);
    const onward = this.known(onwardMeans, 0, 0, 0, box.along.about === true);
    const before = traverse.lengthMetres[k]!;
    const square = before * before;
    const length = before + along;
    const sides = 2 * out * out;
    const part = along * along;
    traverse.lengthMetres[k] = length;
    traverse.alongVariance[k] =
      (traverse.alongVariance[k]! * square + onward.distance * part + side.bearing * sides) /
      (length * length);
    traverse.acrossVariance[k] =
      (traverse.acrossVariance[k]! * square + onward.bearing * part + side.distance * sides) /
      (length * length);
    const across: Part = { walked: side.walked, back: null, metres: out, across: true };
    return [{ walked: onward.walked, back: null, metres: along, across: false }, across, across];
  }
}

const isAs = (
  walked: Walked,
  means: Means,
  fineness: Degrees,
  tangent: number,
  iron: Degrees,
  isAbout: boolean,
): boolean =>
  walked.means === means &&
  walked.finenessDegrees === fineness &&
  walked.slopeTangent === tangent &&
  walked.ironDegrees === iron &&
  walked.isAbout === isAbout;

/** What the leg that an obstacle was boxed on says of its paces. */
interface BoxedLeg {
  readonly ground: string | undefined;
  /** Metres on the level for one along the leg's slope. */
  readonly level: number;
  readonly state: LogState;
}

/** True for why a line can't be used. */
export const isFault = (found: object): found is FieldFault => 'fault' in found;
