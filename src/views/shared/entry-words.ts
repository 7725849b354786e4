import { backBearing, nearestEighth, signedDifference, threeDigits, type Wind } from '@/core/angle';
import { writeDistance } from '@/core/log-text/write-log';
import type { Aim, BearingReading, DistanceReading, Entry, Leg } from '@/core/logbook';
import { bearingDegrees } from '@/core/reading';
import { NORTH_WORDS } from './norths/words';

/** What the lines of a log say, in words that every view uses. */

const WIND_WORDS: Readonly<Partial<Record<Wind, string>>> = {
  N: 'north',
  NE: 'north-east',
  E: 'east',
  SE: 'south-east',
  S: 'south',
  SW: 'south-west',
  W: 'west',
  NW: 'north-west',
};
export const windWords = (wind: Wind): string => WIND_WORDS[wind] ?? wind;

const AIM_WORDS: Readonly<Record<Aim, string>> = {
  needle: 'walking on the needle',
  landmark: 'from landmark to landmark',
  sighted: 'with a sighting compass',
};

const plural = (count: number, one: string, many: string) =>
  `${count.toLocaleString('en', { maximumFractionDigits: 1 })} ${count === 1 ? one : many}`;

export const pacesWords = (paces: number) => plural(paces, 'pace', 'paces');
const metresWords = (metres: number) =>
  `${metres.toLocaleString('en', { maximumFractionDigits: metres < 10 ? 1 : 0 })} m`;

const UNIT_WORDS = { paces: ['pace', 'paces'], steps: ['single step', 'single steps'] } as const;

/** A distance as it was counted, in words. */
export function distanceWords(reading: DistanceReading): string {
  if (reading.unit === 'paces' || reading.unit === 'steps') {
    const [one, many] = UNIT_WORDS[reading.unit];
    return plural(reading.value, one, many);
  }
  if (reading.unit === 'minutes') {
    return `${plural(reading.value, 'minute', 'minutes')} at ${reading.kilometresPerHour} km/h`;
  }
  return writeDistance(reading).replace(/([a-z]+)$/, ' $1');
}

const bearingWords = (reading: BearingReading) =>
  `${threeDigits(bearingDegrees(reading))} ${NORTH_WORDS[reading.north]}`;

/** A leg's slope as it was read; nothing for level ground. */
export function slopeWords({ slopeDegrees, slopeRatio }: Leg): string {
  if (slopeDegrees !== undefined) {
    return `${slopeDegrees < 0 ? 'down' : 'up'} ${Math.abs(slopeDegrees)}°`;
  }
  if (!slopeRatio) return '';
  return `${slopeRatio.rise < 0 ? 'down' : 'up'} ${Math.abs(slopeRatio.rise)} in ${slopeRatio.run}`;
}

/** A back bearing, and how far it is from half a circle when the two are read from the same north. */
export function backWords({ bearing, back }: Leg): string {
  if (!back) return '';
  const shown = `back ${threeDigits(bearingDegrees(back))}`;
  if (back.north !== bearing.north) return shown;
  const off = signedDifference(backBearing(bearingDegrees(bearing)), bearingDegrees(back));
  return `${shown}, ${Math.abs(Math.round(off))}° off`;
}

/** How an entry was understood, in words. `metres` is the horizontal length of a leg. */
export function entryWords(entry: Entry, metres: number | null): string {
  switch (entry.kind) {
    case 'leg': {
      const parts = [
        `${bearingWords(entry.bearing)}, ${windWords(nearestEighth(bearingDegrees(entry.bearing)))}`,
        distanceWords(entry.distance) +
          (metres !== null && entry.distance.unit !== 'metres' ? `, ${metresWords(metres)}` : ''),
      ];
      if (entry.back) parts.push(`looking ${backWords(entry)}`);
      if (entry.ground) parts.push(`on ${entry.ground}`);
      const slope = slopeWords(entry);
      if (slope) parts.push(slope);
      if (entry.time) parts.push(`at ${entry.time}`);
      if (entry.to) parts.push(`to ${entry.to}`);
      if (entry.note) parts.push(`note “${entry.note}”`);
      return parts.join(' · ');
    }
    case 'from':
      return `The next leg leaves from ${entry.station}`;
    case 'at': {
      const side = entry.side ? `, ${entry.sideMetres} m to the ${entry.side}` : '';
      return `${entry.metres} m along the last leg${side}: ${entry.what}`;
    }
    case 'see':
      return `Seen from here at ${bearingWords(entry.bearing)}: ${entry.what}`;
    case 'landmark':
      return `You are back when you see: ${entry.what}`;
    case 'box':
      return `Boxed to the ${entry.side}: ${distanceWords(entry.out)} out and back, ${distanceWords(entry.along)} along, which count`;
    case 'passed':
      return `Passed to the ${entry.side}, mark ahead kept: ${entry.what}`;
    case 'out':
      return `Stepped off at ${bearingWords(entry.bearing)}${entry.time ? ` at ${entry.time}` : ''}`;
    case 'expect':
      return `The next leg should go roughly ${entry.wind}`;
    case 'right':
      return 'Looked at: it is right';
    case 'struck':
      return `Struck out: ${entry.was}`;
    case 'read':
      return `From here on bearings are ${NORTH_WORDS[entry.north]}`;
    case 'aim':
      return `From here on ${AIM_WORDS[entry.aim]}`;
    case 'pace': {
      const length = { 'per-100-m': 'paces per 100 m', metres: 'm a pace', feet: 'ft a pace' };
      const ground = entry.ground ? ` on ${entry.ground}` : '';
      const spread = entry.spreadPercent === undefined ? '' : `, good to ${entry.spreadPercent} %`;
      return `From here on${ground} ${entry.value} ${length[entry.unit]}${spread}`;
    }
  }
}
