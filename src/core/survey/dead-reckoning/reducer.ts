import type { Aim, BoxReadings, FieldFault, LegReadings } from '../../entries/reckoning';
import type { PaceReadings, Reckoning } from '../../entries/reckoning';
import { nearestName } from '../../faults/nearest-name';
import type { Field } from '../../faults/fault';
import type { ErrorSettings } from '../../model/error-settings';
import type { Norths } from '../../north/norths';
import type { BearingReading } from '../../readings/bearing';
import type { LengthReading } from '../../readings/distance';
import { horizontalShare } from '../../readings/slope';
import type { North } from '../../units/bearing';
import { addBox, fillRow, paceFault } from './leg-row';
import { initialState, northFault, paceOn, setPace, type LogState } from '../log-state';
import { Stations } from '../stations';
import { emptyTraverse, type Traverse } from './traverse';

const NO_LEG: FieldFault = { fault: { code: 'no-leg-yet' }, field: 'whole' };

/** Why a line can't leave from a station: none has this name. */
export function unknownStation(name: string, stations: Stations): FieldFault {
  const nearest = nearestName(name, stations.names());
  return { fault: { code: 'unknown-station', name, nearest }, field: 'station' };
}

/** Follows a log line by line and fills the columns of its traverse. */
export class Reducer implements Reckoning {
  readonly state: LogState;
  readonly stations: Stations;
  readonly traverse: Traverse;
  /** Row k: the entry of leg k, and the station where it ended. */
  readonly entryOfLeg: Int32Array;
  readonly stationOfLeg: Int32Array;
  /** Row k: metres on the level for a pace on leg k; NaN where no pace is known. */
  readonly paceOfLeg: Float64Array;
  /** Numbers of the legs that came back to a station. */
  readonly returns: number[] = [];
  legs = 0;
  current = 0;
  /** The entry that is being applied. */
  entry = 0;
  /** The ground of the last leg, and its metres on the level for one along the slope. */
  private ground: string | undefined;
  private level = 1;

  constructor(
    startName: string,
    norths: Norths,
    private readonly errors: ErrorSettings,
    capacity: number,
  ) {
    this.state = initialState(norths, errors);
    this.stations = new Stations(startName);
    this.traverse = emptyTraverse(capacity);
    this.entryOfLeg = new Int32Array(capacity + 1).fill(-1);
    this.stationOfLeg = new Int32Array(capacity + 1);
    this.paceOfLeg = new Float64Array(capacity + 1);
  }

  addLeg(leg: LegReadings): FieldFault | null {
    const k = this.legs + 1;
    const wrong = fillRow(this.traverse, k, leg, this.state, this.errors);
    if (wrong) return wrong;
    this.traverse.from[k] = this.current;
    const level = horizontalShare(leg);
    this.paceOfLeg[k] = paceOn(this.state, leg.ground).paceLength * level;
    this.entryOfLeg[k] = this.entry;
    if (leg.to === undefined) {
      const taken = this.stations.numberFault(k);
      if (taken) return { fault: taken, field: 'whole' };
      this.current = k;
    } else {
      this.current = this.arriveAt(leg.to, k);
    }
    this.stationOfLeg[k] = this.current;
    this.ground = leg.ground;
    this.level = level;
    this.legs = k;
    return null;
  }

  /** Where leg k ends: a station that exists, noted as a return, or a new one. */
  private arriveAt(name: string, k: number): number {
    const there = this.stations.find(name, k - 1);
    if (there === undefined) {
      this.stations.name(name, k);
      return k;
    }
    this.stations.returned(k);
    this.returns.push(k);
    return there;
  }

  boxLastLeg(box: BoxReadings): FieldFault | null {
    const { ground, level, state } = this;
    return addBox(this.traverse, this.legs, box, { ground, level, state }, this.errors);
  }

  leaveFrom(station: string): FieldFault | null {
    const point = this.stations.find(station, this.legs);
    if (point === undefined) return unknownStation(station, this.stations);
    this.current = point;
    return null;
  }

  needsLeg(): FieldFault | null {
    return this.legs === 0 ? NO_LEG : null;
  }

  needsPace(...lengths: (LengthReading | null)[]): FieldFault | null {
    return paceFault(lengths, this.paceOfLeg[this.legs] ?? NaN);
  }

  needsNorth(bearing: BearingReading, field: Field): FieldFault | null {
    return northFault(this.state, bearing, field);
  }

  setReadingNorth(north: North): void {
    this.state.readingNorth = north;
  }

  setAim(aim: Aim): void {
    this.state.aim = aim;
  }

  setPace(pace: PaceReadings): void {
    setPace(this.state, pace, this.errors);
  }
}
