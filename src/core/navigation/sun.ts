import { getTimes } from 'suncalc';
import type { Position } from '../readings/position';

/** What the sun does at a place on a day: moments in milliseconds since 1970. */
export type Daylight =
  /** Twilight is until the sun is 6° below the horizon; null where it lasts all night. */
  | {
      readonly kind: 'sets';
      readonly twilightBegins: number | null;
      readonly sunrise: number;
      readonly sunset: number;
      readonly twilightEnds: number | null;
    }
  /** Midnight sun. */
  | { readonly kind: 'stays-up' }
  /** Polar night; null where there is not even twilight, or where it lasts all day. */
  | {
      readonly kind: 'never-rises';
      readonly twilightBegins: number | null;
      readonly twilightEnds: number | null;
    };

const moment = (date: Date | null | undefined): number | null => {
  const time = date?.getTime();
  return time === undefined || Number.isNaN(time) ? null : time;
};

/**
 * Sunrise, sunset and civil twilight of the day around a moment (package suncalc, after Meeus,
 * Astronomical Algorithms), or that there is none.
 */
export function daylightAt({ latitude, longitude }: Position, at: number): Daylight {
  const times = getTimes(new Date(at), latitude, longitude);
  const [sunrise, sunset] = [moment(times.sunrise), moment(times.sunset)];
  const [twilightBegins, twilightEnds] = [moment(times.dawn), moment(times.dusk)];
  const twilight = { twilightBegins, twilightEnds };
  if (sunrise !== null && sunset !== null) return { kind: 'sets', sunrise, sunset, ...twilight };
  return times.alwaysUp ? { kind: 'stays-up' } : { kind: 'never-rises', ...twilight };
}

/** True while the sun is down at a moment of the day; in polar night while there is no twilight. */
export function isDarkAt(light: Daylight | null, at: number): boolean {
  if (light === null || light.kind === 'stays-up') return false;
  if (light.kind === 'sets') return at > light.sunset || at < light.sunrise;
  return isNightAt(light, at);
}

/** True while there is not even twilight: nobody sees where they walk. */
export function isNightAt(light: Daylight | null, at: number): boolean {
  if (light === null || light.kind === 'stays-up') return false;
  const { twilightBegins: begins, twilightEnds: ends } = light;
  // No moment where it begins or ends: all day, or none of it.
  if (begins === null || ends === null) return light.kind === 'never-rises';
  return at < begins || at > ends;
}

/** When one can walk: now, or at first light where the night of this day ends yet. */
export function firstLight(light: Daylight | null, now: number): number {
  if (light === null || light.kind === 'stays-up' || !isNightAt(light, now)) return now;
  return Math.max(now, light.twilightBegins ?? now);
}
