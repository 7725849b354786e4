import { getTimes } from 'suncalc';
import type { Position } from '../readings/position';

/** What the sun does at a place on a day: moments in milliseconds since 1970. */
export type Daylight =
  /** Twilight ends when the sun is 6° below the horizon; null where it lasts all night. */
  | { readonly kind: 'sets'; readonly sunset: number; readonly twilightEnds: number | null }
  /** Midnight sun. */
  | { readonly kind: 'stays-up' }
  /** Polar night; null where there is not even twilight, or where it lasts all day. */
  | { readonly kind: 'never-rises'; readonly twilightEnds: number | null };

const moment = (date: Date | null | undefined): number | null => {
  const time = date?.getTime();
  return time === undefined || Number.isNaN(time) ? null : time;
};

/**
 * Sunset and the end of civil twilight of the day around a moment (package suncalc, after Meeus,
 * Astronomical Algorithms), or that there is none.
 */
export function daylightAt({ latitude, longitude }: Position, at: number): Daylight {
  const times = getTimes(new Date(at), latitude, longitude);
  const [sunset, twilightEnds] = [moment(times.sunset), moment(times.dusk)];
  if (sunset !== null) return { kind: 'sets', sunset, twilightEnds };
  return times.alwaysUp ? { kind: 'stays-up' } : { kind: 'never-rises', twilightEnds };
}
