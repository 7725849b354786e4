import type { InForce, BoxReadings, FieldFault, LegReadings } from '../../entries/reckoning';
import type { HomeReadings, PaceReadings, Reckoning } from '../../entries/reckoning';
import type { Field } from '../../faults/fault';
import type { ErrorSettings } from '../../model/error-settings';
import type { Outing } from '../../model/outing';
import type { OutingNorths } from '../../north/outing-norths';
import type { BearingReading } from '../../readings/bearing';
import type { LengthReading } from '../../readings/distance';
import { isFault, LegRows, type Part } from './leg-row';
import { SharedUses } from './shared-uses';
import { initialState, northFault, setPace, takeLength, type LogState } from '../log-state';
import { sharedScale } from '../shared-scale';
import { Stations } from '../stations';
import { emptyTraverse, type Traverse } from './traverse';

const NO_LEG: FieldFault = { fault: { code: 'no-leg-yet' }, field: 'whole' };

/** Why a line can't leave from a station: none has this name. */
export function unknownStation(name: string, stations: Stations): FieldFault {
  const among = [...stations.names()];
  return { fault: { code: 'unknown-station', name, among }, field: 'station' };
}

/** Notes what a leg of several readings shares; the sides of a box cancel, out and back. */
function addParts(shared: SharedUses, k: number, parts: readonly Part[], metres: number): void {
  for (const { walked, back, metres: along, across } of parts) {
    if (across) continue;
    const share = along / metres;
    if (!back || back.walked.means === walked.means) {
      shared.addPart(k, walked, share);
      continue;
    }
    shared.addPart(k, walked, share, 'distance');
    shared.addPart(k, walked, share * (1 - back.weight), 'bearing');
    shared.addPart(k, back.walked, share * back.weight, 'bearing');
  }
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
  /** The station where one is, and the one that the next leg leaves from. */
  current = 0;
  leaving = 0;
  /** The entry that is being applied. */
  entry = 0;
  readonly shared: SharedUses;
  readonly rows: LegRows;
  /** The last leg, and the parts it is made of. */
  private leg: LegReadings | null = null;
  private parts: readonly Part[] | null = null;

  constructor(
    { start, entries }: Outing,
    norths: OutingNorths,
    errors: ErrorSettings,
    /** Its `pace` lines: counts before the first one are of that pace. */
    paces: readonly PaceReadings[],
    /** Gets each leg's parts, to show where the uncertainty comes from. */
    private readonly onParts?: (leg: number, parts: readonly Part[]) => void,
  ) {
    const capacity = entries.length;
    this.state = initialState(norths, paces);
    this.rows = new LegRows(errors);
    this.shared = new SharedUses(sharedScale(errors, norths));
    this.stations = new Stations(start.name);
    this.traverse = emptyTraverse(capacity);
    const rows = capacity + 1;
    const buffer = new ArrayBuffer(16 * rows);
    this.paceOfLeg = new Float64Array(buffer, 0, rows);
    this.entryOfLeg = new Int32Array(buffer, 8 * rows, rows);
    this.stationOfLeg = new Int32Array(buffer, 12 * rows, rows);
  }

  addLeg(leg: LegReadings): FieldFault | null {
    const k = this.legs + 1;
    const wrong = this.rows.fill(this.traverse, k, leg, this.state);
    if (wrong) return wrong;
    this.traverse.from[k] = this.leaving;
    this.paceOfLeg[k] = this.rows.paceMetres;
    this.entryOfLeg[k] = this.entry;
    if (leg.to === undefined) {
      const taken = this.stations.numberFault(k);
      if (taken) return { fault: taken, field: 'whole' };
      this.current = k;
    } else {
      this.current = this.arriveAt(leg.to, k);
    }
    this.stationOfLeg[k] = this.leaving = this.current;
    this.leg = leg;
    this.legs = k;
    this.state.lastSpeed = leg.distance.unit === 'minutes' ? leg.distance.kilometresPerHour : null;
    this.noteLeg(k);
    return null;
  }

  /** Notes how leg k was walked. */
  private noteLeg(k: number): void {
    const { rows } = this;
    const isPlain = rows.back === null || rows.back.walked.means === rows.walked?.means;
    this.parts = null;
    this.onParts?.(k, [rows.part]);
    if (isPlain && rows.walked) this.shared.add(k, rows.walked);
    else addParts(this.shared, k, [rows.part], rows.metres);
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
    const { leg, legs, rows, shared, state, traverse } = this;
    if (!leg) return NO_LEG;
    const boxed = { ground: leg.ground, level: rows.level, state };
    const before = this.parts ?? [rows.part];
    const sides = rows.addBox(traverse, legs, box, boxed, leg.bearing);
    if (isFault(sides)) return sides;
    this.parts = [...before, ...sides];
    this.onParts?.(legs, this.parts);
    shared.forget(legs);
    addParts(shared, legs, this.parts, traverse.lengthMetres[legs]!);
    return null;
  }

  leaveFrom(station: string): FieldFault | null {
    const point = this.stations.find(station, this.legs);
    if (point === undefined) return unknownStation(station, this.stations);
    this.leaving = point;
    return null;
  }

  beAt(station: string): FieldFault | null {
    const wrong = this.leaveFrom(station);
    this.current = this.leaving;
    return wrong;
  }

  needsStation(station: string): FieldFault | null {
    const found = this.stations.find(station, this.legs);
    return found === undefined ? unknownStation(station, this.stations) : null;
  }

  needsLeg(): FieldFault | null {
    return this.legs === 0 ? NO_LEG : null;
  }

  needsPace(...lengths: (LengthReading | null)[]): FieldFault | null {
    const ground = this.leg?.ground;
    for (const length of lengths) {
      const wrong = takeLength(this.state, length, ground);
      if (wrong) return wrong;
    }
    return null;
  }

  needsNorth(bearing: BearingReading, field: Field): FieldFault | null {
    return northFault(this.state, bearing, field);
  }

  set(inForce: Partial<InForce>): void {
    this.rows.forget();
    Object.assign(this.state, inForce);
  }

  setPace(pace: PaceReadings): void {
    this.rows.forget();
    setPace(this.state, pace);
  }

  setHome(home: HomeReadings): void {
    this.state.home = home;
  }
}
