import type { EarthModels } from './earth-models';
import type { Position } from '../readings/position';
import type { Degrees } from '../units/units';

/** Declination at one moment of a curve, with the model's one-sigma error. */
export interface YearPoint {
  /** The day as YYYY-MM-DD. */
  readonly day: string;
  readonly eastDegrees: Degrees;
  readonly sigmaDegrees: Degrees;
}

const MONTHS_APART = 6;

/** Declination twice a year, as far back and ahead as the models reach, without jumps of 360°. */
export function declinationOverYears(position: Position, models: EarthModels): YearPoint[] {
  const { from, until } = models.reach;
  const points: YearPoint[] = [];
  const [year, month] = from.split('-').map(Number) as [number, number];
  const days = [from];
  for (let step = 1; ; step++) {
    const months = year * 12 + month - 1 + step * MONTHS_APART;
    const day = `${Math.floor(months / 12)}-${String((months % 12) + 1).padStart(2, '0')}-01`;
    if (day >= until) break;
    days.push(day);
  }
  days.push(until);
  for (const day of days) {
    const found = models.declination(position, day);
    if (!found.ok) continue;
    const { eastDegrees, sigmaDegrees } = found.value;
    const before = points.at(-1)?.eastDegrees ?? eastDegrees;
    const turns = Math.round((before - eastDegrees) / 360);
    points.push({ day, eastDegrees: eastDegrees + 360 * turns, sigmaDegrees });
  }
  return points;
}
