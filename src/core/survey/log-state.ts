import type { FieldFault, InForce, HomeReadings, PaceReadings } from '../entries/reckoning';
import type { Means, PaceInUse } from '../errors/means';
import type { Field } from '../faults/fault';
import { readingOffset } from '../north/norths';
import type { OutingNorths } from '../north/outing-norths';
import type { BearingReading } from '../readings/bearing';
import { isCount, type DistanceReading, type LengthReading } from '../readings/distance';
import type { PlaneUnit } from '../units/plane';
import type { North } from '../units/bearing';
import { METRES_PER_FOOT, type Degrees, type Metres } from '../units/units';

/** The pace on one ground. */
export interface GroundPace {
  /** NaN until a `pace` line is read. */
  readonly paceLength: Metres;
  readonly inUse: PaceInUse;
}

type Writable<T> = { -readonly [Key in keyof T]: T[Key] };

/** What the lines of a log so far have set for the lines that follow. */
export interface LogState extends Writable<InForce> {
  /**
   * What one unit of every length is: a pace where all lengths so far are counts and no pace is
   * known. Null while no line has said.
   */
  unit: PlaneUnit | null;
  /** The pace of counts before the first `pace` line: what that says, where one is to come. */
  paceToCome: GroundPace | null;
  /** The pace on every ground that has none of its own. */
  general: GroundPace;
  /** Paces of the grounds that have one of their own; null while none has. */
  grounds: Map<string, GroundPace> | null;
  /** The general pace on grounds without one of their own: each is another stride. */
  borrowed: Map<string, GroundPace> | null;
  /** What to add to a bearing from each north to get the reference north; NaN if not known. */
  readonly offset: Readonly<Record<North, Degrees>>;
  /** A bearing off the map was walked by the compass as it stands: the declination is ignored. */
  readonly mapByCompass: boolean;
  /** The speed of the last leg, in km/h; null where that was not timed. */
  lastSpeed: number | null;
  /** How the walk home will be made, as far as a `home` line says. */
  home: HomeReadings | null;
  /** The means of the last leg: most legs are walked like the one before. */
  means: Means;
}

const NO_PACE: GroundPace = {
  paceLength: NaN,
  inUse: { key: '', ground: '', spread: null, walks: null },
};
/** The pace of an outing that is worked in paces: one, which is what everything is measured in. */
const ONE_PACE: GroundPace = {
  paceLength: 1,
  inUse: { key: 'one', ground: '', spread: null, walks: null, isUnit: true },
};

/**
 * The state at the top of a log. `paces` are its `pace` lines, in their order: counts before the
 * first one are of that pace, and without any a log may be worked in paces.
 */
export function initialState(norths: OutingNorths, paces: readonly PaceReadings[] = []): LogState {
  const general = paces.find(({ ground }) => ground === undefined);
  const offset = (north: North) => readingOffset(north, norths) ?? NaN;
  return {
    unit: general || paces.length === 0 ? null : 'metre',
    paceToCome: general ? paceOfLine(general) : null,
    general: NO_PACE,
    grounds: null,
    borrowed: null,
    readingNorth: norths.compassNorth,
    aim: 'landmark',
    compass: '',
    offset: { magnetic: offset('magnetic'), true: offset('true'), grid: offset('grid') },
    mapByCompass: norths.mapReadAsMagnetic === true,
    lastSpeed: null,
    home: null,
    means: { aim: 'landmark', compass: '', distance: 'measured', pace: null },
  };
}

/** Length of one pace (two steps) in metres, from a `pace` line. */
export function paceMetres({ unit, value }: Pick<PaceReadings, 'unit' | 'value'>): Metres {
  if (unit === 'per-100-m') return 100 / value;
  return unit === 'feet' ? value * METRES_PER_FOOT : value;
}

function paceOfLine(pace: PaceReadings): GroundPace {
  const { ground, spreadPercent, walks = null } = pace;
  const paceLength = paceMetres(pace);
  const spread = spreadPercent === undefined ? null : spreadPercent / 100;
  const key = [ground ?? '', paceLength, spread, walks].join(' ');
  return { paceLength, inUse: { key, ground: ground ?? '', spread, walks } };
}

/** Takes a `pace` line into the state. */
export function setPace(state: LogState, pace: PaceReadings): void {
  const { ground } = pace;
  const set = paceOfLine(pace);
  state.unit = 'metre';
  if (ground === undefined) {
    state.general = set;
    state.borrowed = null;
  } else {
    state.grounds ??= new Map();
    state.grounds.set(ground, set);
  }
}

/**
 * The pace on a ground: its own, or the general one where it has none. A length that is borrowed
 * is as likely wrong there, but not in the same way: it has a key of its own.
 */
export function paceOn(state: Readonly<LogState>, ground: string | undefined): GroundPace {
  if (ground === undefined) return state.general;
  const own = state.grounds?.get(ground) ?? state.borrowed?.get(ground);
  if (own) return own;
  const { paceLength, inUse } = state.general;
  const lent = {
    paceLength,
    inUse: { ...inUse, ground, key: `${ground}, lent: ${inUse.key}` },
  };
  // Memoised here: it does not change what the state means.
  (state as LogState).borrowed ??= new Map();
  state.borrowed?.set(ground, lent);
  return lent;
}

/** Length of the general pace in metres; null where none is known. */
export const generalPace = ({ general, unit }: Readonly<LogState>): Metres | null =>
  unit === 'pace' || Number.isNaN(general.paceLength) ? null : general.paceLength;

const countFault = (unit: 'paces' | 'steps', beside: boolean): FieldFault => ({
  fault: beside ? { code: 'metres-beside-paces' } : { code: 'no-pace', unit },
  field: 'distance',
});

/**
 * Takes a length of a line into the unit of the log, and says why it can't be used; null when it
 * can. The first one tells whether a log without a pace is worked in paces.
 */
export function takeLength(
  state: LogState,
  length: DistanceReading | LengthReading | null,
  ground: string | undefined,
): FieldFault | null {
  // Nothing along is nothing in any unit.
  if (!length || length.value === 0) return null;
  if (!isCount(length)) {
    // Counts of a pace that is yet to come, too: which of the two was meant is not guessed.
    if (state.unit === 'pace') return countFault('paces', true);
    state.unit ??= 'metre';
    return null;
  }
  if (state.unit === null) {
    state.unit = 'pace';
    state.general = state.paceToCome ?? ONE_PACE;
    // What was asked of a ground before had no pace at all.
    state.borrowed = null;
  }
  const isKnown = !Number.isNaN(paceOn(state, ground).paceLength);
  return isKnown ? null : countFault(length.unit === 'steps' ? 'steps' : 'paces', false);
}

const KIND_OF_UNIT = { paces: 'paced', steps: 'paced', minutes: 'timed' } as const;

/** How a distance in a unit comes about. */
const distanceKind = (unit: DistanceReading['unit']): Means['distance'] =>
  unit in KIND_OF_UNIT ? KIND_OF_UNIT[unit as keyof typeof KIND_OF_UNIT] : 'measured';

/**
 * True for a bearing off the map, followed along what the map shows: it names a north other than
 * the one that is read, and that is not the compass's.
 */
export const isOffMap = (
  state: Pick<LogState, 'readingNorth' | 'mapByCompass'>,
  { north }: BearingReading,
): boolean => north !== 'magnetic' && north !== state.readingNorth && !state.mapByCompass;

/** The means of a stretch; the same object as long as nothing changes. */
export function meansOf(
  state: Readonly<LogState>,
  bearing: BearingReading,
  distance: DistanceReading,
  pace: GroundPace,
): Means {
  const kind = distanceKind(distance.unit);
  const compass = isOffMap(state, bearing) ? null : state.compass;
  const inUse = kind === 'paced' ? pace.inUse : null;
  const { means: last } = state;
  const same =
    last.aim === state.aim &&
    last.compass === compass &&
    last.distance === kind &&
    last.pace === inUse;
  if (same) return last;
  const means: Means = { aim: state.aim, compass, distance: kind, pace: inUse };
  (state as LogState).means = means;
  return means;
}

/** Why a bearing can't be used with the norths that are known; null when it can. */
export function northFault(
  state: Readonly<LogState>,
  reading: BearingReading,
  field: Field,
): FieldFault | null {
  if (reading.north === 'magnetic' || !Number.isNaN(state.offset[reading.north])) return null;
  return { fault: { code: 'no-declination', north: reading.north }, field };
}
