import dayjs from 'dayjs';
import { threeDigits } from '@/core/angle';
import type { Entry } from '@/core/logbook';
import { bearingDegrees } from '@/core/reading';
import { entryWords, pacesWords } from '@/views/shared/entry-words';

/** The words of the spread, kept together so that they can be read through. */

/** What stands in the leaf for a line that is not a leg. */
export function lineWords(entry: Entry): string {
  switch (entry.kind) {
    case 'at': {
      const side = entry.side ? `, ${entry.sideMetres} m to the ${entry.side}` : '';
      return `${entry.what}${side}`;
    }
    case 'see':
      return `${entry.what}, at ${threeDigits(bearingDegrees(entry.bearing))}`;
    case 'struck': {
      const why = entry.reason ? `, ${entry.reason}` : '';
      return `${entry.was} (struck ${dayjs(entry.at).format('D MMM HH:mm')}${why})`;
    }
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
  views: 'Other views',
  calibrate: 'Calibrate',
  counter: 'Count',
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
  strike: 'Strike out',
  why: 'Why (if you like)',
  moveUp: 'Move up',
  moveDown: 'Move down',
  legFromHere: 'Leg from here',
  isRight: 'It is right',
  takeInstead: (bearing: string) => `Use ${bearing} instead`,
  halfCircle: 'How half a circle happens',
  struckHidden: (count: number) => (count === 1 ? '1 struck line' : `${count} struck lines`),
  showStruck: 'Show',
  hideStruck: 'Hide',
  find: 'Find in the log',
  found: (count: number) => (count === 1 ? '1 line' : `${count} lines`),
  pad: 'Dial and number pad',
  more: 'More to write down',
  name: 'Name',
  wayFromHere: 'Way from here',
  legNumber: (leg: number) => `Leg ${leg}`,
  closure: (station: string, metres: number, share: number) =>
    `Back at ${station}: ${Math.round(metres)} m off, ${(100 * share).toFixed(1)} % of what was walked.${share > 0.05 ? ' A few per cent are usual by compass and pace: look for a slip.' : ''}`,
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
  toCopies: 'Look for a copy of it in Files',
  cloud: 'Show where a thousand walks home would end',
} as const;
