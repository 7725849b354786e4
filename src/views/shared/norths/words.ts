import { angleWords, threeDigits } from '@/core/angle';
import type { Correction } from '@/core/logbook';
import type { North } from '@/core/north';
import type { NorthsOfOuting } from '@/core/norths-of';
import type { NorthsChange } from '@/core/what-changed';

/** What every view says of the norths. */

export const NORTH_WORDS: Readonly<Record<North, string>> = {
  magnetic: 'as the needle reads',
  true: 'from true north',
  grid: 'from grid north',
};

/** The same in one word, where room is short. */
export const NORTH_SHORT: Readonly<Record<North, string>> = {
  magnetic: 'needle',
  true: 'true',
  grid: 'grid',
};

/** The norths themselves. */
export const NORTH_NAMES: Readonly<Record<North, string>> = {
  magnetic: 'the needle’s north',
  true: 'true north',
  grid: 'grid north',
};

/** Each school by what it does. */
export const CORRECTION_WORDS: Readonly<Record<Correction, { name: string; does: string }>> = {
  none: {
    name: 'Magnetic all the way',
    does: 'No map, so no correction: bearings stay as the needle reads. No map bearing may be mixed in.',
  },
  'by-sum': {
    name: 'By a sum each time',
    does: 'The compass reads from the needle. Cairn Back does the sum, and Norths shows it line by line.',
  },
  'compass-set': {
    name: 'Compass set for it',
    does: 'The dial was turned for the angle, so readings are from the map’s north as taken. They are never corrected again.',
  },
  'by-mark': {
    name: 'Needle to a mark on the scale',
    does: 'The needle goes to a mark on the scale inside the housing, and the dial reads from the map’s north. Norths shows which mark.',
  },
  'left-out': {
    name: 'Left out, the angle is small',
    does: 'Map and needle count as one. Norths shows what that costs, in metres.',
  },
  'magnetic-map': {
    name: 'Map drawn to magnetic north',
    does: 'Its north lines follow the needle, so a map bearing is a needle bearing.',
  },
};

const sideWords = (east: number) => `${Math.abs(east).toFixed(1)}° ${east < 0 ? 'west' : 'east'}`;

const points = (east: number) =>
  Math.abs(east) < 0.05 ? 'Needle points true north.' : `Needle points ${sideWords(east)} of true.`;

const first = (norths: NorthsOfOuting): string => {
  const { correction, statedEast, declinationEast, convergenceEast } = norths;
  if (correction === 'left-out') {
    return statedEast === null
      ? 'The needle’s angle is left out.'
      : `The needle’s angle, ${sideWords(statedEast)} of true, is left out.`;
  }
  if (correction === 'magnetic-map') return 'The map is drawn to the needle’s north.';
  if (declinationEast === null) {
    return correction === 'none' ? 'Magnetic all the way.' : 'The declination is not set yet.';
  }
  const grid =
    Math.abs(convergenceEast) < 0.05 ? '' : ` Grid ${sideWords(convergenceEast)} of true.`;
  if (correction === 'compass-set')
    return `Compass set for ${angleWords(declinationEast - convergenceEast)}.`;
  return points(declinationEast) + grid;
};

/** How the angles are dealt with, in two or three short sentences: always in view. */
export function northsSentence(norths: NorthsOfOuting, read: North, show: North): string {
  const shown = norths.declinationEast === null && show === 'true' ? 'magnetic' : show;
  const same = read === shown;
  const rest = same
    ? `Bearings are ${NORTH_WORDS[read]}, and so is the way home.`
    : `Bearings are ${NORTH_WORDS[read]}. The way home is ${NORTH_WORDS[shown]}.`;
  return `${first(norths)} ${rest}`;
}

const rounded = (metres: number) => `${Math.round(metres).toLocaleString('en')} m`;

/** What another setting does to the way home, for a page with legs on it. */
export function changeWords(change: NorthsChange): string {
  const bearing = ({ degrees, north }: NorthsChange['before']) =>
    `${threeDigits(degrees)} ${NORTH_WORDS[north]}`;
  const readings = change.legs === 1 ? 'The reading stays' : `The ${change.legs} readings stay`;
  const moved =
    change.placeMovedMetres === null || change.placeMovedMetres < 0.5
      ? ''
      : ` On the map you are ${rounded(change.placeMovedMetres)} from where it had you.`;
  return `${readings} as read. The way home was ${bearing(change.before)}, ${rounded(change.metresBefore)}; now ${bearing(change.after)}, ${rounded(change.metresAfter)}.${moved}`;
}
