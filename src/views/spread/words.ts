import { threeDigits, type Wind } from '@/core/angle';
import type { Aim, BearingReading, DistanceReading, Entry } from '@/core/logbook';
import { bearingDegrees } from '@/core/reading';
import { nearestEighth } from '@/core/angle';
import { writeDistance, writeEntry } from '@/core/log-text/write-log';
import { NORTH_WORDS } from '@/views/shared/norths/words';

/** The words of the spread, kept together so that they can be read through. */

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

const pacesWords = (paces: number) => plural(paces, 'pace', 'paces');
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

/** How an entry was understood, in words. `metres` is the horizontal length of a leg. */
export function entryWords(entry: Entry, metres: number | null): string {
  switch (entry.kind) {
    case 'leg': {
      const parts = [
        `${bearingWords(entry.bearing)}, ${windWords(nearestEighth(bearingDegrees(entry.bearing)))}`,
        distanceWords(entry.distance) +
          (metres !== null && entry.distance.unit !== 'metres' ? `, ${metresWords(metres)}` : ''),
      ];
      if (entry.back) parts.push(`looking back ${threeDigits(bearingDegrees(entry.back))}`);
      if (entry.slopeDegrees !== undefined) {
        parts.push(`${entry.slopeDegrees < 0 ? 'down' : 'up'} ${Math.abs(entry.slopeDegrees)}°`);
      }
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
    case 'read':
      return `From here on bearings are ${NORTH_WORDS[entry.north]}`;
    case 'aim':
      return `From here on ${AIM_WORDS[entry.aim]}`;
    case 'pace':
      return `From here on ${writeEntry({ ...entry, note: undefined }, 'magnetic')
        .replace(/^pace (\S+) per/, '$1 paces per')
        .replace(/^pace (\S+ m|\S+ ft).*/, 'a pace is $1')}`;
  }
}

/** What stands in the leaf for a line that is not a leg. */
export function lineWords(entry: Entry): string {
  switch (entry.kind) {
    case 'at': {
      const side = entry.side ? `, ${entry.sideMetres} m to the ${entry.side}` : '';
      return `${entry.what}${side}`;
    }
    case 'see':
      return `${entry.what}, at ${threeDigits(bearingDegrees(entry.bearing))}`;
    default:
      return entryWords(entry, null);
  }
}

/** What the entry line is doing, when it is not adding to the end of the page. */
export const editingWords = (how: 'replace' | 'insert', leg: number): string =>
  `${how === 'replace' ? 'Changing' : 'Inserting before'} ${leg > 0 ? `leg ${leg}` : 'this line'}`;

/** Metres in the figures that a count of paces is worth. */
const roundedMetres = (metres: number): number =>
  metres < 100
    ? Math.round(metres)
    : metres < 1000
      ? 5 * Math.round(metres / 5)
      : 10 * Math.round(metres / 10);
/** Metres of doubt: to the next five, never down. */
export const doubtMetres = (metres: number): number => 5 * Math.ceil(metres / 5);

export const metresText = (metres: number) => `${roundedMetres(metres).toLocaleString('en')} m`;

export const WORDS = {
  log: 'Log',
  sketch: 'Sketch',
  untitled: 'Outing without a name',
  toNorths: 'How the angles between the norths are dealt with',
  toShelf: 'To the shelf of outings',
  brand: 'Cairn Back, to the shelf of outings',
  settings: 'Set up',
  undo: 'Undo',
  redo: 'Redo',
  columns: { number: 'no.', bearing: 'bearing', counted: 'counted', is: 'is', note: 'note' },
  emptyPage: 'Nothing logged yet.',
  emptyHow: 'Type a leg as you would write it: 220 65p is 65 paces on 220. Enter saves it.',
  entryLabel: 'Next line of the log',
  entryHint: '220 65p > Gauge 1 ; burnt snag',
  form: 'Fields',
  save: 'Log it',
  saveEdit: 'Replace',
  saveThis: 'Save',
  cancel: 'Cancel',
  saved: (what: string) => `Saved: ${what}.`,
  take: (reading: string) => `Read it as ${reading}`,
  noPace: 'The length of your pace is not set.',
  setPace: 'Set it',
  edit: 'Change',
  editLeg: 'Change a leg',
  newLeg: 'A leg',
  insert: 'Insert before',
  remove: 'Remove',
  name: 'Name',
  wayFromHere: 'Way from here',
  legNumber: (leg: number) => `Leg ${leg}`,
  closure: (station: string, metres: number, share: number) =>
    `Back at ${station}: ${Math.round(metres)} m off, ${(100 * share).toFixed(1)} % of what was walked.`,
  loading: 'Opening the log…',
  missing: 'There is no such outing on this device.',
  unsolved: 'This log can’t be worked out:',
  home: {
    you: 'You',
    arrived: (to: string) => `You are at ${to}.`,
    set: (bearing: string) => `Set ${bearing} on the compass.`,
    walk: (metres: string, paces: number | null, wind: string, to: string) =>
      `Walk ${metres}${paces === null ? '' : `: ${pacesWords(paces)}`}, ${wind}, to ${to}.`,
    between: (from: string, to: string) => `From ${from} to ${to}`,
    doubt: (metres: number, to: string) =>
      `Nineteen times in twenty within ${metres} m of ${to}, with the same compass and stride.`,
    caution: 'The straight line ignores cliffs and water: look before you step.',
    ghost: 'After this leg:',
    choose: 'Other stations',
    straightHome: 'Back to the way home',
  },
  sketchLabel:
    'Sketch of the route. Arrow keys move it, plus and minus zoom, 0 fits it all, page up and page down choose a leg.',
  zoomIn: 'Nearer',
  zoomOut: 'Farther',
  fit: 'Show all',
} as const;
