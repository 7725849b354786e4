import type { Means } from '../errors/means';
import type { Metres } from '../units/units';
import { generalPace, paceOn, type LogState } from './log-state';

/** How the walk home will be made. */
export interface HomeMeans extends Means {
  /** The ground whose pace is counted; undefined for the general one. */
  readonly ground: string | undefined;
  /** Metres for a pace; null where none is known. */
  readonly paceMetres: Metres | null;
  /** The speed of a walk by the clock; null for one that is counted. */
  readonly kilometresPerHour: number | null;
  /** True where a `home` line says so; false for what is in force at the end of the log. */
  readonly isSaid: boolean;
}

/**
 * The means of the walk home: as a `home` line says, else the aim and the compass in force at the
 * end of the log and the general pace; by the clock where no pace is known and the last leg was
 * timed.
 */
export function homeMeans(state: Readonly<LogState>): HomeMeans {
  const { home, lastSpeed, compass } = state;
  const { paceLength, inUse } = paceOn(state, home?.ground);
  const isPaced = !Number.isNaN(paceLength);
  const speed = home?.kilometresPerHour ?? (isPaced ? null : lastSpeed);
  const distance = speed !== null ? 'timed' : isPaced ? 'paced' : 'measured';
  return {
    aim: home?.aim ?? state.aim,
    compass,
    distance,
    pace: distance === 'paced' ? inUse : null,
    ground: home?.ground,
    paceMetres: isPaced ? paceLength : generalPace(state),
    kilometresPerHour: speed,
    isSaid: home !== null,
  };
}
