import type { Fault, Field } from '../faults/fault';
import type { North } from '../units/bearing';
import type { BearingReading } from '../readings/bearing';
import type { DistanceReading, LengthReading } from '../readings/distance';
import type { Side } from './feature';
import type { SlopeReading } from '../readings/slope';

/** What is wrong with a line, and which part of it. */
export interface FieldFault {
  readonly fault: Fault;
  readonly field: Field;
}

/** How bearings are followed. */
export const AIMS = ['needle', 'landmark', 'sighted'] as const;
export type Aim = (typeof AIMS)[number];

/** What a line sets for the lines that follow it, up to the next one that sets the same. */
export interface InForce {
  /** The north that a bearing without a letter is from. */
  readonly readingNorth: North;
  readonly aim: Aim;
  /** The compass in use; empty while none is named. */
  readonly compass: string;
}

/** The readings of one leg. */
export interface LegReadings extends SlopeReading {
  readonly bearing: BearingReading;
  readonly distance: DistanceReading;
  readonly back?: BearingReading;
  readonly ground?: string;
  /** The name of the station where it ends. */
  readonly to?: string;
}

/** The readings of an obstacle boxed on a leg. */
export interface BoxReadings {
  readonly side: Side;
  readonly out: DistanceReading;
  readonly along: DistanceReading;
}

/** The length of a pace, and how well it repeats. */
export interface PaceReadings {
  readonly unit: 'per-100-m' | 'metres' | 'feet';
  readonly value: number;
  readonly ground?: string;
  readonly spreadPercent?: number;
  /** The walks of the calibration that the spread is from. */
  readonly walks?: number;
}

/** How the walk home will be made; what is left out is as at the end of the log. */
export interface HomeReadings {
  readonly aim?: Aim;
  readonly ground?: string;
  /** For a walk home by the clock. */
  readonly kilometresPerHour?: number;
}

/**
 * What a line of the log may ask of what follows the log: the solver, or the preview of a line that
 * is being typed. A method that can fail returns what is wrong, or null.
 */
export interface Reckoning {
  addLeg(leg: LegReadings): FieldFault | null;
  /** Lengthens the last leg by the along part of an obstacle boxed on it. */
  boxLastLeg(box: BoxReadings): FieldFault | null;
  /** The next leg leaves from this station; where one is stays. */
  leaveFrom(station: string): FieldFault | null;
  /** One is at this station, by a way that is not logged. */
  beAt(station: string): FieldFault | null;
  /** Fails where no station has this name. */
  needsStation(station: string): FieldFault | null;
  /** Fails while there is no leg that the line could belong to. */
  needsLeg(): FieldFault | null;
  /** Fails while a length on the last leg is in paces or steps and none are known there. */
  needsPace(...lengths: (LengthReading | null)[]): FieldFault | null;
  /** Fails while the north of a bearing isn't known. */
  needsNorth(bearing: BearingReading, field: Field): FieldFault | null;
  /** Sets what holds for the lines that follow. */
  set(inForce: Partial<InForce>): void;
  setPace(pace: PaceReadings): void;
  setHome(home: HomeReadings): void;
}
