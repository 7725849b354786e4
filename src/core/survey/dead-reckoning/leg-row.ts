import type { BoxReadings, FieldFault, LegReadings } from '../../entries/reckoning';
import type { Means, Walked } from '../../errors/means';
import { bearingVariance, distanceVariance, joinedReadings } from '../../errors/own-errors';
import type { ErrorSettings } from '../../model/error-settings';
import { bearingDegrees, finenessDegrees, type BearingReading } from '../../readings/bearing';
import { metresAlong } from '../../readings/distance';
import { horizontalShare, slopeTangent } from '../../readings/slope';
import { backBearing, signedDifference } from '../../units/angle';
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

/**
 * Fills rows of a traverse from the readings. Most legs are walked like the one before or the one
 * before that, so what those came to is kept; and so is the last row, for whoever asks.
 */
export class LegRows {
  private last: Known | null = null;
  private other: Known | null = null;
  /** How the leg that was filled last was walked, its back bearing, and its metres. */
  walked: Walked | null = null;
  back: Part['back'] = null;
  metres: Metres = 0;

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
    const { last, other } = this;
    if (last && isAs(last.walked, means, fineness, tangent, iron, isAbout)) return last;
    this.other = last;
    if (other && isAs(other.walked, means, fineness, tangent, iron, isAbout)) {
      this.last = other;
      return other;
    }
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
    const offset = state.offset[leg.bearing.north];
    if (Number.isNaN(offset)) return northFault(state, leg.bearing, 'bearing');
    const wrong = takeLength(state, leg.distance, leg.ground);
    if (wrong) return wrong;
    const pace = paceOn(state, leg.ground);
    const along = metresAlong(leg.distance, pace.paceLength);
    const bearing = normalisedOnce(bearingDegrees(leg.bearing) + offset);
    this.metres = along * horizontalShare(leg);
    this.back = null;
    traverse.lengthMetres[k] = this.metres;
    const means = meansOf(state, leg.bearing, leg.distance, pace);
    if (leg.back !== undefined) {
      const fault = northFault(state, leg.back, 'back');
      if (fault) return fault;
      this.fillBoth(traverse, k, leg, leg.back, bearing, means, state, pace);
      return null;
    }
    const isAbout = leg.distance.about === true;
    const fineness = finenessDegrees(leg.bearing);
    const known = this.known(means, fineness, slopeTangent(leg), 0, isAbout);
    this.walked = known.walked;
    traverse.bearingDegrees[k] = bearing;
    traverse.alongVariance[k] = known.distance;
    traverse.acrossVariance[k] = known.bearing;
    return null;
  }

  /** A leg that was read at both ends. */
  private fillBoth(
    traverse: Traverse,
    k: number,
    leg: LegReadings,
    read: BearingReading,
    bearing: Degrees,
    means: Means,
    state: Readonly<LogState>,
    pace: GroundPace,
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
