import type { InForce, BoxReadings, FieldFault, LegReadings } from '../entries/reckoning';
import type { HomeReadings, PaceReadings, Reckoning } from '../entries/reckoning';
import type { Field } from '../faults/fault';
import type { BearingReading } from '../readings/bearing';
import type { LengthReading } from '../readings/distance';
import { LegRows } from '../survey/dead-reckoning/leg-row';
import { homeMeans } from '../survey/home-means';
import { northFault, takeLength } from '../survey/log-state';
import { unknownStation } from '../survey/dead-reckoning/reducer';
import { stationNamed, type Solution } from '../survey/solution';
import { computePoints, emptyTraverse } from '../survey/dead-reckoning/traverse';
import { ORIGIN, sumOf, vectorBetween, type PlanePoint, type PlaneUnit } from '../units/plane';
import type { Degrees, Metres } from '../units/units';
import { wayAlong, type Way } from './ways/way';

/** A leg that is being typed: where it would end, and the way home from there. */
export interface PreviewLeg {
  /** What its lengths are in. */
  readonly unit: PlaneUnit;
  readonly bearingDegrees: Degrees;
  readonly lengthMetres: Metres;
  readonly start: PlanePoint;
  readonly end: PlanePoint;
  readonly home: Way;
}

/** Follows one more line of a log, at a cost that doesn't grow with it; changes nothing. */
export class PreviewReckoning implements Reckoning {
  /** The leg, once the line was one. */
  leg: PreviewLeg | null = null;

  constructor(private readonly solution: Solution) {}

  addLeg(leg: LegReadings): FieldFault | null {
    const { end, errors, places, leaving, legs, names } = this.solution;
    const one = { ...emptyTraverse(1), legs: 1 };
    const after = { ...end };
    const wrong = new LegRows(errors).fill(one, 1, leg, after);
    if (wrong) return wrong;
    const taken = leg.to === undefined ? names.numberFault(legs.count + 1) : null;
    if (taken) return { fault: taken, field: 'whole' };
    computePoints(one);
    const start = places.at(leaving);
    const vector = { east: one.east[1] ?? 0, north: one.north[1] ?? 0 };
    const arrival = sumOf(start, vector);
    // The way home leaves from the station: a return leaves it where it was.
    const station = leg.to === undefined ? undefined : stationNamed(this.solution, leg.to);
    const from = station === undefined ? arrival : places.at(station);
    const unit = after.unit ?? 'metre';
    this.leg = {
      unit,
      bearingDegrees: one.bearingDegrees[1] ?? 0,
      lengthMetres: one.lengthMetres[1] ?? 0,
      start,
      end: arrival,
      home: wayAlong(
        { ...places.frame, unit },
        vectorBetween(from, ORIGIN),
        homeMeans(after).paceMetres,
      ),
    };
    return null;
  }

  boxLastLeg(_box: BoxReadings): FieldFault | null {
    return null;
  }

  leaveFrom(station: string): FieldFault | null {
    return this.needsStation(station);
  }

  beAt(station: string): FieldFault | null {
    return this.needsStation(station);
  }

  needsStation(station: string): FieldFault | null {
    const known = stationNamed(this.solution, station) !== undefined;
    return known ? null : unknownStation(station, this.solution.names);
  }

  needsLeg(): FieldFault | null {
    return this.solution.legs.count > 0 ? null : { fault: { code: 'no-leg-yet' }, field: 'whole' };
  }

  needsPace(...lengths: (LengthReading | null)[]): FieldFault | null {
    const { legs, end } = this.solution;
    const ground = legs.count > 0 ? legs.leg(legs.count).reading.ground : undefined;
    const faults = lengths.map((length) => takeLength({ ...end }, length, ground));
    return faults.find((fault) => fault !== null) ?? null;
  }

  needsNorth(bearing: BearingReading, field: Field): FieldFault | null {
    return northFault(this.solution.end, bearing, field);
  }

  set(_inForce: Partial<InForce>): void {}
  setPace(_pace: PaceReadings): void {}
  setHome(_home: HomeReadings): void {}
}
