import { MINUTES_PER_DAY, minutesOfDay } from '../../units/clock';
import { daylightAt } from '../sun';
import type { Plan } from './plan';

const MINUTE_MS = 60_000;

/** Minutes after midnight as HH:MM; those of a later day go round. */
export function clockText(minutes: number): string {
  const whole = ((Math.round(minutes) % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY;
  const text = (value: number) => String(value).padStart(2, '0');
  return `${text(Math.floor(whole / 60))}:${text(whole % 60)}`;
}

/** Minutes after midnight at so many minutes of walking; null where no time of leaving is known. */
export const arrivalMinutes = ({ route }: Plan, minutes: number): number | null =>
  route.date?.time === undefined ? null : minutesOfDay(route.date.time) + minutes;

/** The time of day at so many minutes of walking, or the minutes themselves. */
export function planTime(plan: Plan, minutes: number): string {
  const at = arrivalMinutes(plan, minutes);
  return at === null ? `+${Math.round(minutes)} min` : clockText(at);
}

/**
 * Minutes after midnight of the route's day, on a clock so many minutes east of UTC, at which the
 * sun sets at its last point; null where no day is known, or the sun doesn't set.
 */
export function sunsetMinutes({ route, positions }: Plan, offsetMinutes: number): number | null {
  const last = positions.at(-1);
  if (!last || !route.date) return null;
  const midnight = Date.parse(`${route.date.day}T00:00:00Z`) - offsetMinutes * MINUTE_MS;
  const light = daylightAt(last, midnight + (MINUTES_PER_DAY / 2) * MINUTE_MS);
  return light.kind === 'sets' ? (light.sunset - midnight) / MINUTE_MS : null;
}
