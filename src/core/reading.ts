import { normalised, windBearing } from './angle';
import type { AngleReading, BearingReading, DistanceReading, EntryOf } from './logbook';
import {
  METRES_PER_FOOT,
  METRES_PER_KILOMETRE,
  METRES_PER_MILE,
  METRES_PER_YARD,
  type Degrees,
  type Metres,
} from './units';

/** What a bearing reading comes to, in [0, 360), from the north that the reading names. */
export function bearingDegrees(reading: BearingReading): Degrees {
  switch (reading.unit) {
    case 'degrees':
      return reading.value >= 360 ? 0 : reading.value;
    case 'mils':
      return normalised((reading.value * 360) / 6400);
    case 'gon':
      return normalised((reading.value * 360) / 400);
    case 'wind':
      return windBearing(reading.wind);
    case 'quadrant': {
      const signed = (reading.toward === 'E') === (reading.from === 'N') ? 1 : -1;
      return normalised((reading.from === 'N' ? 0 : 180) + signed * reading.value);
    }
  }
}

/** An angle with its letter, east positive, in degrees. */
export const angleEast = (reading: AngleReading): Degrees =>
  (reading.toward === 'E' ? 1 : -1) * (reading.degrees + (reading.minutes ?? 0) / 60);

/** Length of one pace (two steps) in metres, from a `pace` line. */
export function paceMetres(pace: Pick<EntryOf<'pace'>, 'unit' | 'value'>): Metres {
  if (pace.unit === 'per-100-m') return 100 / pace.value;
  return pace.unit === 'feet' ? pace.value * METRES_PER_FOOT : pace.value;
}

/** Metres along the ground of a distance as it was read; NaN where paces are counted and no pace length is known. */
export function metresAlong(reading: DistanceReading, paceLength: Metres): Metres {
  switch (reading.unit) {
    case 'paces':
      return reading.value * paceLength;
    case 'steps':
      return (reading.value * paceLength) / 2;
    case 'metres':
      return reading.value;
    case 'kilometres':
      return reading.value * METRES_PER_KILOMETRE;
    case 'feet':
      return reading.value * METRES_PER_FOOT;
    case 'yards':
      return reading.value * METRES_PER_YARD;
    case 'miles':
      return reading.value * METRES_PER_MILE;
    case 'minutes':
      return (reading.value / 60) * reading.kilometresPerHour * METRES_PER_KILOMETRE;
  }
}
