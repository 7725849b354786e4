import { bearingDigits, normalised } from './angle';
import type { PlaneUnit } from './plane';
import {
  METRES_PER_CHAIN,
  METRES_PER_FOOT,
  METRES_PER_KILOMETRE,
  METRES_PER_MILE,
  type Degrees,
  type Metres,
} from './units';

/** The units that a person wants figures in. A log keeps what was written in it all the same. */
export const LENGTH_SYSTEMS = ['metric', 'feet', 'chains'] as const;
export type LengthSystem = (typeof LENGTH_SYSTEMS)[number];
export const BEARING_SYSTEMS = ['degrees', 'mils', 'quadrants'] as const;
export type BearingSystem = (typeof BEARING_SYSTEMS)[number];

/** What the angle between true and magnetic north is called: countries differ. */
export const ANGLE_NAMES = ['declination', 'variation'] as const;
export type AngleName = (typeof ANGLE_NAMES)[number];

export interface ShownUnits {
  readonly lengths: LengthSystem;
  readonly bearings: BearingSystem;
  readonly angle: AngleName;
}

export const USUAL_UNITS: ShownUnits = {
  lengths: 'metric',
  bearings: 'degrees',
  angle: 'declination',
};

interface LengthUnit {
  readonly sign: string;
  readonly name: string;
  readonly metres: Metres;
  /** Decimals of a length, and the step that an uncertainty is rounded up to. */
  readonly decimals: number;
  readonly step: number;
}

const LENGTH_UNITS: Readonly<Record<LengthSystem, LengthUnit>> = {
  metric: { sign: 'm', name: 'metres', metres: 1, decimals: 0, step: 5 },
  feet: { sign: 'ft', name: 'feet', metres: METRES_PER_FOOT, decimals: 0, step: 10 },
  chains: { sign: 'ch', name: 'chains', metres: METRES_PER_CHAIN, decimals: 1, step: 0.25 },
};

const PACES: LengthUnit = { sign: 'paces', name: 'paces', metres: 1, decimals: 0, step: 5 };

/** A figure with its unit; a single pace is one. */
const withSign = (text: string, sign: string) =>
  `${text} ${text === '1' && sign === 'paces' ? 'pace' : sign}`;

/** A figure with as many decimals as it needs, up to some. */
const figure = (value: number, decimals: number) =>
  value.toLocaleString('en', { maximumFractionDigits: decimals });

const metresWhole = (metres: Metres) => `${figure(metres, 0)} m`;

/** A shorter length, and one that is as long in another unit, has tenths. */
const FINE_METRES: Metres = 10;

/** A count of a unit in the figures that a count of paces is worth. */
function coarse(count: number): number {
  if (count < 100) return Math.round(count);
  return count < 1000 ? 5 * Math.round(count / 5) : 10 * Math.round(count / 10);
}

/** Mils in a circle, as on compasses of most armies. */
const MILS = 6400;

/** A bearing from the nearer end of the meridian: S48°W. */
function quadrantText(bearing: Degrees): string {
  const whole = Math.round(normalised(bearing)) % 360;
  if (whole <= 90) return `N${whole}°E`;
  if (whole <= 180) return `S${180 - whole}°E`;
  return whole <= 270 ? `S${whole - 180}°W` : `N${360 - whole}°W`;
}

/** What figures are shown in: a person's units, and what lengths of the plane are in. */
export interface FigureUnits extends ShownUnits {
  /** Metres, or paces where an outing is worked in those. */
  readonly plane: PlaneUnit;
}

/** Metres and degrees: files and endpoints say the same everywhere. */
export const USUAL_FIGURES: FigureUnits = { ...USUAL_UNITS, plane: 'metre' };

/** The same for the lengths of another plane: texts of an outing on a page that has others. */
export const forPlane = (units: FigureUnits, plane: PlaneUnit): FigureUnits =>
  units.plane === plane ? units : { ...units, plane };

/** True while lengths are paces. */
export const isInPaces = ({ plane }: FigureUnits): boolean => plane === 'pace';

/** The unit that lengths are shown and typed in. */
export function lengthUnit(units: FigureUnits): LengthUnit {
  return isInPaces(units) ? PACES : LENGTH_UNITS[units.lengths];
}

/** True while lengths are shown as the plane has them. */
function isPlain(units: FigureUnits): boolean {
  return isInPaces(units) || units.lengths === 'metric';
}

/** Miles from one mile on, to a hundredth; null below that, and in metres. */
function miles(metres: Metres, units: FigureUnits): string | null {
  return !isPlain(units) && Math.abs(metres) >= METRES_PER_MILE
    ? `${figure(metres / METRES_PER_MILE, 2)} mi`
    : null;
}

/** A length to the nearest metre, foot or tenth of a chain; from a mile on in miles. */
export function lengthText(metres: Metres, units: FigureUnits): string {
  const { sign, metres: one, decimals } = lengthUnit(units);
  return miles(metres, units) ?? withSign(figure(metres / one, decimals), sign);
}

/** A length of which tenths count where it is short: below ten metres, and what is as long. */
export function fineLengthText(metres: Metres, units: FigureUnits): string {
  if (Math.abs(metres) >= FINE_METRES) return lengthText(metres, units);
  const { sign, metres: one, decimals } = lengthUnit(units);
  return withSign((metres / one).toFixed(decimals + 1), sign);
}

/** A distance in the figures that a count of paces is worth. */
export function distanceText(metres: Metres, units: FigureUnits): string {
  const { sign, metres: one, decimals } = lengthUnit(units);
  // Paces are counted out: 114, not 115.
  if (decimals > 0 || isInPaces(units)) return lengthText(metres, units);
  return miles(metres, units) ?? `${figure(coarse(metres / one), 0)} ${sign}`;
}

/** An uncertainty: up to the next five metres, ten feet or quarter of a chain, never down. */
export function uncertaintyText(metres: Metres, units: FigureUnits): string {
  const { sign, metres: one, step } = lengthUnit(units);
  return `${figure(step * Math.ceil(metres / one / step), 2)} ${sign}`;
}

/** A length of a pace or so: centimetres, or hundredths of a foot. */
export function shortLengthText(metres: Metres, units: FigureUnits): string {
  return units.lengths === 'metric'
    ? `${metres.toFixed(2)} m`
    : `${(metres / METRES_PER_FOOT).toFixed(2)} ft`;
}

/** A text of a distance with its metres in brackets, where someone else may have to read it. */
export function withMetres(text: string, metres: Metres, units: FigureUnits): string {
  return isPlain(units) ? text : `${text} (${metresWhole(coarse(metres))})`;
}

/** A round length of a scale: 50 m, 2 km, 200 ft, 0.5 ch. */
export function roundLengthText(metres: Metres, units: FigureUnits): string {
  const { sign, metres: one } = lengthUnit(units);
  if (isInPaces(units)) return withSign(figure(metres, 3), sign);
  return units.lengths === 'metric' && metres >= METRES_PER_KILOMETRE
    ? `${figure(metres / METRES_PER_KILOMETRE, 3)} km`
    : `${figure(metres / one, 3)} ${sign}`;
}

/** The figure of a length alone, for a column that names its unit. */
export function lengthFigure(metres: Metres, units: FigureUnits): string {
  const { metres: one, decimals } = lengthUnit(units);
  return (metres / one).toFixed(decimals);
}

/** The unit of long ways. */
export function longUnit(units: FigureUnits) {
  return units.lengths === 'metric'
    ? ({ name: 'kilometre', metres: METRES_PER_KILOMETRE } as const)
    : ({ name: 'mile', metres: METRES_PER_MILE } as const);
}

/** The unit of speeds. */
export function speedUnit(units: FigureUnits) {
  return units.lengths === 'metric'
    ? ({ sign: 'km/h', kilometresPerHour: 1 } as const)
    : ({ sign: 'mph', kilometresPerHour: METRES_PER_MILE / METRES_PER_KILOMETRE } as const);
}

/** A speed to a tenth. */
export function speedText(kilometresPerHour: number, units: FigureUnits): string {
  const { sign, kilometresPerHour: one } = speedUnit(units);
  return `${figure(kilometresPerHour / one, 1)} ${sign}`;
}

/** A bearing in three digits and a degree sign, four digits of mils, or by its quadrant. */
export function bearingFigure(bearing: Degrees, units: FigureUnits): string {
  switch (units.bearings) {
    case 'degrees':
      return `${bearingDigits(bearing)}°`;
    case 'mils':
      return String(Math.round((normalised(bearing) * MILS) / 360) % MILS).padStart(4, '0');
    case 'quadrants':
      return quadrantText(bearing);
  }
}

/** What follows the figure of a bearing; empty where the figure says it. */
export function bearingSign(units: FigureUnits): string {
  return units.bearings === 'mils' ? 'mil' : '';
}

/** A bearing with its unit. */
export function bearingText(bearing: Degrees, units: FigureUnits): string {
  return [bearingFigure(bearing, units), bearingSign(units)].filter(Boolean).join(' ');
}

/** A text of a bearing with its degrees in brackets, where someone else may have to read it. */
export function withDegrees(text: string, bearing: Degrees, units: FigureUnits): string {
  return units.bearings === 'degrees' ? text : `${text} (${bearingDigits(bearing)}°)`;
}

/** A bearing and a distance in degrees and metres; null where they are shown so. */
export function inDegreesAndMetres(
  bearing: Degrees,
  metres: Metres,
  units: FigureUnits,
): string | null {
  const parts = [
    units.bearings === 'degrees' ? null : `${bearingDigits(bearing)}°`,
    isPlain(units) ? null : metresWhole(coarse(metres)),
  ].filter((part) => part !== null);
  return parts.length === 0 ? null : parts.join(', ');
}

/** A text of the interface with the angle called as the person calls it. */
export function withAngleName(text: string, units: FigureUnits): string {
  return units.angle === 'declination'
    ? text
    : text.replace(/declination/gi, (word) => (word.startsWith('D') ? 'Variation' : 'variation'));
}
