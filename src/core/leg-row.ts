import { acrossVariance, alongVariance, DISTANCE_SIGMA, LEAST_PACE_SIGMA } from './error-model';
import type { Fault, Field } from './faults';
import type { Aim, BearingReading, EntryOf, Leg } from './logbook';
import { towardWorking, type North, type Norths } from './north';
import { bearingDegrees, metresAlong, paceMetres } from './reading';
import type { Traverse } from './traverse';
import { radians, type Degrees, type Metres } from './units';

/** The pace on one ground. */
interface GroundPace {
  readonly paceLength: Metres;
  readonly paceVariance: number;
}

/** What the lines so far have set for the lines that follow. */
export interface PageState {
  /** Length of a pace in metres on any ground; NaN until a `pace` line is read. */
  paceLength: Metres;
  /** Variance of a paced distance over its square. */
  paceVariance: number;
  /** Paces of the grounds that have one of their own; null while none has. */
  grounds: Map<string, GroundPace> | null;
  aim: Aim;
  /** The north that a bearing without a letter is from. */
  read: North;
  /** What to add to a bearing from each north to get one from the working north; NaN when it is not known. */
  readonly offset: Readonly<Record<North, Degrees>>;
}

/** The state at the top of a page. */
export function topOfPage(norths: Norths): PageState {
  const offset = (north: North) => towardWorking(north, norths) ?? NaN;
  return {
    paceLength: NaN,
    paceVariance: DISTANCE_SIGMA ** 2,
    grounds: null,
    aim: 'landmark',
    read: 'magnetic',
    offset: { magnetic: offset('magnetic'), true: offset('true'), grid: offset('grid') },
  };
}

/** Takes a setting line into account. */
export function applySetting(state: PageState, entry: EntryOf<'read' | 'aim' | 'pace'>): void {
  if (entry.kind === 'read') state.read = entry.north;
  else if (entry.kind === 'aim') state.aim = entry.aim;
  else applyPace(state, entry);
}

function applyPace(state: PageState, entry: EntryOf<'pace'>): void {
  const paceLength = paceMetres(entry);
  const spread = entry.spreadPercent;
  const sigma = spread === undefined ? DISTANCE_SIGMA : Math.max(LEAST_PACE_SIGMA, spread / 100);
  if (entry.ground === undefined) {
    state.paceLength = paceLength;
    state.paceVariance = sigma ** 2;
  } else {
    state.grounds ??= new Map();
    state.grounds.set(entry.ground, { paceLength, paceVariance: sigma ** 2 });
  }
}

export interface FieldFault {
  readonly fault: Fault;
  readonly field: Field;
}

/** Why a bearing can't be used with the norths that are known; null when it can. */
export function bearingFault(
  state: PageState,
  reading: BearingReading,
  field: Field,
): FieldFault | null {
  if (reading.north === 'magnetic' || !Number.isNaN(state.offset[reading.north])) return null;
  return { fault: { code: 'no-declination', north: reading.north }, field };
}

/** The pace on a ground: its own, or the general one where it has none. */
export const paceOn = (state: PageState, ground: string | undefined): GroundPace =>
  (ground === undefined ? undefined : state.grounds?.get(ground)) ?? state;

/** Level metres per metre along the slope of a leg: the cosine of its angle. */
function levelShare({ slopeDegrees, slopeRatio }: Leg): number {
  if (slopeDegrees !== undefined) return Math.cos(radians(slopeDegrees));
  return slopeRatio === undefined
    ? 1
    : slopeRatio.run / Math.hypot(slopeRatio.rise, slopeRatio.run);
}

/** Brings b, in (-360, 720), into [0, 360): cheaper than a remainder, and called once a leg. */
const wrapped = (b: number) => {
  const turned = b < 0 ? b + 360 : b >= 360 ? b - 360 : b;
  return turned >= 360 ? 0 : turned;
};

/**
 * Fills row k of the leg columns from what was written, all but where the leg leaves from. Returns why it
 * can't, or null. Paces measure along the slope: horizontal = along × cos(slope).
 */
export function fillRow(
  traverse: Traverse,
  k: number,
  leg: Leg,
  state: PageState,
): FieldFault | null {
  const offset = state.offset[leg.bearing.north];
  if (offset !== offset) return bearingFault(state, leg.bearing, 'bearing');
  if (leg.back !== undefined) {
    const fault = bearingFault(state, leg.back, 'back');
    if (fault) return fault;
  }
  const pace = paceOn(state, leg.ground);
  const along = metresAlong(leg.distance, pace.paceLength);
  if (along !== along) {
    const unit = leg.distance.unit === 'steps' ? 'steps' : 'paces';
    return { fault: { code: 'no-pace', unit }, field: 'distance' };
  }
  traverse.bearingDegrees[k] = wrapped(bearingDegrees(leg.bearing) + offset);
  traverse.lengthMetres[k] = along * levelShare(leg);
  traverse.alongVariance[k] = alongVariance(leg.distance.unit, pace.paceVariance);
  traverse.acrossVariance[k] = acrossVariance(state.aim);
  return null;
}

/**
 * Lengthens leg k by the along part of an obstacle that was boxed on it. Out and back cancel; their counts may differ by
 * their own errors, which doubt joins the leg's across: 2·(p·out)² over the leg's length squared.
 */
export function addBox(
  traverse: Traverse,
  k: number,
  box: EntryOf<'box'>,
  state: PageState,
  ground: string | undefined,
): FieldFault | null {
  const pace = paceOn(state, ground);
  const [out, along] = [box.out, box.along].map((part) => metresAlong(part, pace.paceLength));
  if (Number.isNaN(out) || Number.isNaN(along)) {
    const unit = box.out.unit === 'steps' || box.along.unit === 'steps' ? 'steps' : 'paces';
    return { fault: { code: 'no-pace', unit }, field: 'distance' };
  }
  const length = traverse.lengthMetres[k]! + along!;
  traverse.lengthMetres[k] = length;
  const aside = alongVariance(box.out.unit, pace.paceVariance) * out! * out!;
  traverse.acrossVariance[k] = traverse.acrossVariance[k]! + (2 * aside) / (length * length);
  return null;
}
