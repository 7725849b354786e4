import { placeOf } from '../model/outing';
import type { Position } from '../readings/position';
import { timesOf } from '../survey/leg-times';
import type { Solution } from '../survey/solution';
import { MINUTES_PER_DAY } from '../units/clock';

const MINUTES_PER_HOUR = 60;
const DEGREES_PER_HOUR = 15;
/** Zones follow the sun to within this, nearly everywhere. */
const MOST_OFF_MINUTES = 3 * MINUTES_PER_HOUR;
const MILLISECONDS_PER_MINUTE = 60_000;

/** The clock of a place: minutes east of UTC, and whether that is the device's own. */
export interface PlaceClock {
  readonly offsetMinutes: number;
  readonly isDevice: boolean;
}

/**
 * The clock of an outing's place: the device's, unless the place is so far east or west of it that
 * its clock must be another; then the zone of the sun there, by whole hours.
 */
export const clockOf = ({ outing }: Solution, deviceOffsetMinutes: number): PlaceClock =>
  clockAt(placeOf(outing), deviceOffsetMinutes);

/** The same for a place that may not be known. */
export function clockAt(position: Position | undefined, deviceOffsetMinutes: number): PlaceClock {
  const bySun = position
    ? Math.round(position.longitude / DEGREES_PER_HOUR) * MINUTES_PER_HOUR
    : deviceOffsetMinutes;
  const apart = Math.abs(bySun - deviceOffsetMinutes);
  const isDevice = Math.min(apart, MINUTES_PER_DAY - apart) <= MOST_OFF_MINUTES;
  return { offsetMinutes: isDevice ? deviceOffsetMinutes : bySun, isDevice };
}

/** The time of day of a moment on a clock, as HH:MM. */
export const timeOn = ({ offsetMinutes }: PlaceClock, at: number): string =>
  new Date(at + offsetMinutes * MILLISECONDS_PER_MINUTE).toISOString().slice(11, 16);

/** The day of a moment on a clock, as YYYY-MM-DD. */
const dayOn = ({ offsetMinutes }: PlaceClock, at: number): string =>
  new Date(at + offsetMinutes * MILLISECONDS_PER_MINUTE).toISOString().slice(0, 10);

/** From when a way home is planned. */
export interface PlannedFrom {
  /** Milliseconds since 1970. */
  readonly at: number;
  /** True for an outing of another day, which is planned from its own last time. */
  readonly ofOuting: boolean;
}

/** Noon, for an outing of another day that has no time. */
const NOON_MINUTES = 12 * MINUTES_PER_HOUR;

/**
 * The moment that a way home is planned from: now on the day of the outing (its last one, if it
 * lasts several) or where it has no date, else the outing's own last time.
 */
export function plannedFrom(solution: Solution, clock: PlaceClock, now: number): PlannedFrom {
  const { date } = solution.outing;
  if (!date) return { at: now, ofOuting: false };
  const minutes = timesOf(solution).lastMinutes ?? NOON_MINUTES;
  const midnight = Date.parse(`${date.day}T00:00:00Z`);
  const at = midnight + (minutes - clock.offsetMinutes) * MILLISECONDS_PER_MINUTE;
  const today = dayOn(clock, now);
  const isToday = today === date.day || today === dayOn(clock, at);
  return isToday ? { at: now, ofOuting: false } : { at, ofOuting: true };
}
