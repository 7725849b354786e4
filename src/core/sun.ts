import { getTimes } from 'suncalc';
import type { Position } from './logbook';

/** When the light goes at a place: moments in milliseconds since 1970; null where the sun does not set, or it does not get dark. */
export interface LightsOut {
  readonly sunset: number | null;
  /** The end of civil twilight: the sun six degrees below the horizon. */
  readonly twilightEnds: number | null;
}

const moment = (date: Date | null | undefined): number | null => {
  const time = date?.getTime();
  return time === undefined || Number.isNaN(time) ? null : time;
};

/** Sunset and the end of civil twilight of the day around a moment (package suncalc, after Meeus, Astronomical Algorithms). */
export function lightsOut({ latitude, longitude }: Position, at: number): LightsOut {
  const times = getTimes(new Date(at), latitude, longitude);
  return { sunset: moment(times.sunset), twilightEnds: moment(times.dusk) };
}
