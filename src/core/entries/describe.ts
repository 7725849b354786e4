import { backBearing, nearestCompassPoint, signedDifference } from '../units/angle';
import type { CompassPoint } from '../units/angle';
import type { North } from '../units/bearing';
import type { Metres } from '../units/units';
import { bearingDegrees, type BearingReading } from '../readings/bearing';
import { writeDistance, type CountReading, type DistanceReading } from '../readings/distance';
import type { SlopeReading } from '../readings/slope';
import { type FigureUnits, bearingText, isInPaces, lengthText, speedText } from '../units/figures';
import type { LegReadings } from './reckoning';

/** The parts of lines in words, shared by every screen, message and printed page. */

/** A north as it is said after a figure. */
export const NORTH_WORDS: Readonly<Record<North, string>> = {
  magnetic: 'magnetic',
  true: 'true',
  grid: 'grid',
};

const COMPASS_POINT_WORDS: Readonly<Partial<Record<CompassPoint, string>>> = {
  N: 'north',
  NE: 'north-east',
  E: 'east',
  SE: 'south-east',
  S: 'south',
  SW: 'south-west',
  W: 'west',
  NW: 'north-west',
};
export const compassPointWords = (point: CompassPoint): string =>
  COMPASS_POINT_WORDS[point] ?? point;

export const plural = (count: number, one: string, many: string): string =>
  `${count.toLocaleString('en', { maximumFractionDigits: 1 })} ${count === 1 ? one : many}`;

export const pacesWords = (paces: number) => plural(paces, 'pace', 'paces');

const UNIT_WORDS = { paces: ['pace', 'paces'], steps: ['single step', 'single steps'] } as const;

/** A distance as it was counted. */
export function distanceWords(reading: DistanceReading, units: FigureUnits): string {
  const { about, ...plain } = reading;
  if (about) return `about ${distanceWords(plain, units)}`;
  if (reading.unit === 'paces' || reading.unit === 'steps') {
    const [one, many] = UNIT_WORDS[reading.unit];
    return plural(reading.value, one, many);
  }
  if (reading.unit === 'minutes') {
    const minutes = plural(reading.value, 'minute', 'minutes');
    return `${minutes} at ${speedText(reading.kilometresPerHour, units)}`;
  }
  return writeDistance(reading).replace(/([a-z]+)$/, ' $1');
}

/**
 * What was walked on a leg with obstacles boxed on it: on its line, and along them.
 * Where the two are in other units, what was counted on the line alone.
 */
export function boxedWords(
  distance: DistanceReading,
  alongs: readonly DistanceReading[],
  units: FigureUnits,
): string {
  const isOneUnit = alongs.every(({ unit }) => unit === distance.unit);
  if (alongs.length === 0 || !isOneUnit || distance.unit === 'minutes') {
    return distanceWords(distance, units);
  }
  const along = alongs.reduce((sum, { value }) => sum + value, 0);
  const whole = distanceWords({ ...distance, value: distance.value + along }, units);
  const isCounted = distance.unit === 'paces' || distance.unit === 'steps';
  const part = isCounted
    ? `${along.toLocaleString('en')} of them`
    : distanceWords({ ...distance, value: along }, units);
  return `${whole}, ${part} round ${alongs.length === 1 ? 'it' : 'obstacles'}`;
}

export const bearingWords = (reading: BearingReading, units: FigureUnits): string =>
  `${bearingText(bearingDegrees(reading), units)} ${NORTH_WORDS[reading.north]}`;

/** A slope as it was read; empty for level ground. */
export function slopeWords({ slopeDegrees, slopeRatio }: SlopeReading): string {
  if (slopeDegrees !== undefined) {
    return `${slopeDegrees < 0 ? 'down' : 'up'} ${Math.abs(slopeDegrees)}°`;
  }
  if (!slopeRatio) return '';
  return `${slopeRatio.rise < 0 ? 'down' : 'up'} ${Math.abs(slopeRatio.rise)} in ${slopeRatio.run}`;
}

/** A back bearing, and how far it is off when both were read from the same north. */
export function backBearingWords({ bearing, back }: LegReadings, units: FigureUnits): string {
  if (!back) return '';
  const shown = `back ${bearingText(bearingDegrees(back), units)}`;
  if (back.north !== bearing.north) return shown;
  const off = signedDifference(backBearing(bearingDegrees(bearing)), bearingDegrees(back));
  return `${shown}, ${Math.abs(Math.round(off))}° off`;
}

/** Short lengths in metres have a decimal: a pace or two. */
const lengthWords = (metres: Metres, units: FigureUnits) =>
  units.lengths === 'metric' && !isInPaces(units) && metres < 10
    ? `${metres.toLocaleString('en', { maximumFractionDigits: 1 })} m`
    : lengthText(metres, units);

/** A leg in words; `metres` is its horizontal length, if it is known. */
export function describeLeg(
  leg: LegReadings & {
    readonly counted?: CountReading;
    readonly time?: string;
    readonly note?: string;
  },
  metres: Metres | null,
  units: FigureUnits,
): string {
  // What was read is said; what it comes to only where that is another figure.
  const isSaid = isInPaces(units) ? leg.distance.unit === 'paces' : leg.distance.unit === 'metres';
  const length = metres === null || isSaid ? '' : lengthWords(metres, units);
  const direction = compassPointWords(nearestCompassPoint(bearingDegrees(leg.bearing)));
  return [
    `${bearingWords(leg.bearing, units)}, ${direction}`,
    [distanceWords(leg.distance, units), length, leg.counted && distanceWords(leg.counted, units)]
      .filter(Boolean)
      .join(', '),
    backBearingWords(leg, units),
    leg.ground && `on ${leg.ground}`,
    slopeWords(leg),
    leg.time && `at ${leg.time}`,
    leg.to && `to ${leg.to}`,
    leg.note && `note “${leg.note}”`,
  ]
    .filter(Boolean)
    .join(' · ');
}
