import dayjs from 'dayjs';
import { describeEntry, type Entry } from '@/core/entries/entry';
import { pacesWords } from '@/core/entries/describe';
import { sideWords } from '@/core/entries/kinds/at';
import { bearingDegrees } from '@/core/readings/bearing';
import type { Metres } from '@/core/units/units';
import { bearingText, lengthText, figureUnits } from '@/ui/units/shown';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the outing view. */

/** What the log pane shows for a line that is not a leg. */
export function lineWords(entry: Entry): string {
  switch (entry.kind) {
    case 'at':
      return entry.what + sideWords(entry, figureUnits());
    case 'see':
      return `${entry.what}, at ${bearingText(bearingDegrees(entry.bearing))}`;
    case 'struck': {
      const why = entry.reason ? `, ${entry.reason}` : '';
      return `${entry.was} (struck ${dayjs(entry.at).format('D MMM HH:mm')}${why})`;
    }
    default:
      return describeEntry(entry, figureUnits());
  }
}

/** What the entry line is doing, when it isn't adding to the end of the log. */
export function editingWords(how: 'replace' | 'insert', leg: number): string {
  const what = leg > 0 ? `leg ${leg}` : 'this line';
  return `${how === 'replace' ? 'Correcting' : 'Inserting before'} ${what}`;
}

/** A share of more than this is unusual by compass and pace. Common practice, no source. */
const USUAL_MISCLOSURE = 0.05;

export const WORDS = {
  log: 'Log',
  sketch: 'Sketch',
  panes: 'Log and sketch',
  untitled: SHARED_WORDS.untitled,
  counter: 'Counter',
  counterAbout: 'Pace counter: tap as you walk',
  toDeclination: 'Declination: settings, conversions, drawings',
  toOutings: 'All outings',
  brand: 'Cairn Back: all outings',
  settings: 'Settings',
  columns: { number: 'Leg', bearing: 'Bearing', count: 'Paces', note: 'Note' },
  emptyLog: 'Nothing logged yet.',
  emptyHow: 'Type a leg as you would write it: 220 65p is 65 paces on 220. Enter saves it.',
  emptyMark:
    'Hang a mark at each station (mark ; orange tape), and explore only within sight of it.',
  stillInSight: (mark: string) => `Still in sight of your mark, ${mark}?`,
  paceAsk: 'Paces in 100 m',
  paceUse: 'Use this pace',
  entryLabel: 'Next line of the log',
  entryHint: '220 65p > Gauge 1 ; burnt snag',
  form: 'Form',
  formAbout: 'Form: a leg in separate fields',
  save: 'Log it',
  saveEdit: 'Replace',
  saveThis: 'Save',
  undoLast: 'Undo the last change',
  cancel: SHARED_WORDS.cancel,
  clear: 'Clear',
  saved: (what: string) => `Saved: ${what}.`,
  savedLines: (count: number) => `Saved: ${count === 1 ? '1 line' : `${count} lines`}.`,
  paste: 'Several lines',
  pasteAbout: 'Several lines at once, as they are on paper',
  pasteHow:
    'One line an entry. Below is how each will be written; nothing is logged before you say so.',
  pasteText: 'Lines to log',
  logLines: (count: number) => (count === 1 ? 'Log 1 line' : `Log ${count} lines`),
  tooMany: (most: number) => `More than ${most} lines are a file: import them in Files.`,
  savedEffect: (effect: string) => `Saved. ${effect}`.trim(),
  struckOut: (line: string) => `Struck out: ${line}. Undo brings it back.`,
  moved: (way: 'up' | 'down', line: string) => `Moved ${way}: ${line}.`,
  accepted: 'Accepted: the reading is right.',
  renamed: (from: string, to: string) => `${from} is now called ${to}.`,
  attraction: 'compass disturbed there',
  take: (reading: string) => `Read it as ${reading}`,
  edit: 'Correct',
  editLeg: 'Correct a leg',
  newLeg: 'A leg',
  insert: 'Insert before',
  strike: 'Strike out',
  done: 'Done',
  why: 'Reason (optional)',
  moveUp: 'Move up',
  moveDown: 'Move down',
  legFromHere: 'Leg from here',
  onMap: 'On the map',
  accept: 'Keep it: it is right',
  insteadUse: (bearing: string) => `Use ${bearing} instead`,
  reversed: 'How a 180° error happens',
  struckHidden: (count: number) => (count === 1 ? '1 struck line' : `${count} struck lines`),
  showStruck: 'Show',
  hideStruck: 'Hide',
  find: 'Find in the log',
  notFound: (words: string) => `Not found in this log: “${words}”.`,
  found: (count: number) => (count === 1 ? '1 line' : `${count} lines`),
  keypad: 'Keypad',
  keypadBearing: 'Bearing',
  keypadCount: 'Count',
  keypadParts: 'What the keys write',
  keypadUnit: 'Unit of the count',
  keypadInputs: { keys: 'Keys', dial: 'Dial', compass: 'Compass' },
  keypadClose: 'Close',
  keypadLog: 'Log it',
  keypadAbout: 'Keypad: dial and number keys',
  more: 'Commands',
  moreAbout: 'Commands: lines to log, and all actions',
  name: 'Name',
  wayFromHere: 'Way from here',
  legNumber: (leg: number) => `Leg ${leg}`,
  line: 'Line',
  closure: (station: string, metres: Metres, share: number) =>
    `Misclosure at ${station}: ${lengthText(metres)}, ` +
    `${(100 * share).toFixed(1)} % of the distance walked.` +
    (share > USUAL_MISCLOSURE
      ? ' A few per cent are usual by compass and pace: look for a mistake.'
      : ''),
  emptied:
    'The browser emptied its store while this outing was open. This outing was written again ' +
    'from this tab; others may be lost. Make a backup under Files, and keep it somewhere else.',
  unsolved: 'This log has an error:',
  damaged:
    'Part of this log is damaged on this device. Below is all that can be read, then what can’t, ' +
    'as it is stored. Save it before anything else.',
  unreadable: (change: number) => `What could not be read, from change ${change} on:`,
  toCopies: 'Look for a copy of it in Files',
  home: {
    label: 'Way home',
    arrived: (to: string) => `You are at ${to}.`,
    set: (bearing: string) => `Set ${bearing} on the compass.`,
    walk: (metres: string, paces: number | null, direction: string, to: string) =>
      `Walk ${metres}${paces === null ? '' : `: ${pacesWords(paces)}`}, ${direction}, to ${to}.`,
    between: (from: string, to: string) => `From ${from} to ${to}`,
    still: (here: string, leaving: string) => `Still at ${here}? Next leg starts at ${leaving}.`,
    there: (leaving: string) => `No, I am at ${leaving}`,
    means: ', with the same compass and stride',
    caution: 'It ignores cliffs and water: look before you step.',
    preview: 'After this leg:',
    nowAbout: 'Home now: the way home on one screen',
    choose: 'Other stations',
    chooseAbout: 'The way between other stations',
    straightHome: 'Way home',
  },
  sketchLabel:
    'Sketch of the route. Arrow keys move it, plus and minus zoom, 0 fits it, page up and page ' +
    'down choose a leg.',
  sketchTools: 'The sketch',
  orientations: { north: 'North up', heading: 'Heading up', walked: 'As walked' },
  orientationAbout: (now: string) => `${now}: what is up on the sketch`,
  grid: 'Grid',
  walks: 'Scatter',
  walksAbout: 'Scatter: where 1,000 simulated walks home end',
} as const;
