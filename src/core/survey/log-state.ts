import type { Aim, FieldFault, PaceReadings } from '../entries/reckoning';
import { pacedSigma } from '../pacing/paced-sigma';
import type { Field } from '../faults/fault';
import type { ErrorSettings } from '../model/error-settings';
import { readingOffset, type Norths } from '../north/norths';
import type { BearingReading } from '../readings/bearing';
import type { North } from '../units/bearing';
import { METRES_PER_FOOT, type Degrees, type Metres } from '../units/units';

/** The pace on one ground. */
export interface GroundPace {
  /** NaN until a `pace` line is read. */
  readonly paceLength: Metres;
  /** Variance of a paced distance over its square. */
  readonly paceVariance: number;
}

/** What the lines of a log so far have set for the lines that follow. */
export interface LogState {
  /** The pace on every ground that has none of its own. */
  general: GroundPace;
  /** Paces of the grounds that have one of their own; null while none has. */
  grounds: Map<string, GroundPace> | null;
  aim: Aim;
  /** The north that a bearing without a letter is from. */
  readingNorth: North;
  /** What to add to a bearing from each north to get the reference north; NaN if not known. */
  readonly offset: Readonly<Record<North, Degrees>>;
}

/** The state at the top of a log. */
export function initialState(norths: Norths, errors: ErrorSettings): LogState {
  const offset = (north: North) => readingOffset(north, norths) ?? NaN;
  return {
    general: { paceLength: NaN, paceVariance: errors.distance ** 2 },
    grounds: null,
    aim: 'landmark',
    readingNorth: 'magnetic',
    offset: { magnetic: offset('magnetic'), true: offset('true'), grid: offset('grid') },
  };
}

/** Length of one pace (two steps) in metres, from a `pace` line. */
export function paceMetres({ unit, value }: Pick<PaceReadings, 'unit' | 'value'>): Metres {
  if (unit === 'per-100-m') return 100 / value;
  return unit === 'feet' ? value * METRES_PER_FOOT : value;
}

/** Takes a `pace` line into the state. */
export function setPace(state: LogState, pace: PaceReadings, errors: ErrorSettings): void {
  const spread = pace.spreadPercent === undefined ? null : pace.spreadPercent / 100;
  const set = { paceLength: paceMetres(pace), paceVariance: pacedSigma(errors, spread) ** 2 };
  if (pace.ground === undefined) {
    state.general = set;
  } else {
    state.grounds ??= new Map();
    state.grounds.set(pace.ground, set);
  }
}

/** The pace on a ground: its own, or the general one where it has none. */
export const paceOn = (state: Readonly<LogState>, ground: string | undefined): GroundPace =>
  (ground === undefined ? undefined : state.grounds?.get(ground)) ?? state.general;

/** Length of the general pace in metres; null where none is known. */
export const generalPace = ({ general }: Readonly<LogState>): Metres | null =>
  Number.isNaN(general.paceLength) ? null : general.paceLength;

/** Why a bearing can't be used with the norths that are known; null when it can. */
export function northFault(
  state: Readonly<LogState>,
  reading: BearingReading,
  field: Field,
): FieldFault | null {
  if (reading.north === 'magnetic' || !Number.isNaN(state.offset[reading.north])) return null;
  return { fault: { code: 'no-declination', north: reading.north }, field };
}
