import type { CsvField } from '@/formats/read-csv';
import type { Incoming } from '@/store/take-in';

/** The words of the Files view. */
export const WORDS = {
  title: 'Files',
  toShelf: 'Back to the shelf',
  loading: 'Looking at what is kept…',
  safe: 'Keep it safe',
  backUp: 'Back up everything',
  neverBacked: 'Nothing was backed up yet. What you log is on this device alone.',
  backed: (when: string, changes: number) =>
    changes === 0
      ? `Backed up ${when}; nothing has changed since.`
      : `Backed up ${when}; ${changes === 1 ? 'one change' : `${changes.toLocaleString('en')} changes`} since.`,
  backedNow: (name: string) => `Written to ${name}. Keep it somewhere else than on this phone.`,
  copies: 'Copies that this browser keeps by itself, one a day when something has changed:',
  noCopies: 'From the second day on this browser keeps a copy of each day by itself.',
  copy: (day: string, outings: number) =>
    `${day}, ${outings === 1 ? '1 outing' : `${outings} outings`}`,
  lookInto: 'Look into it',
  takeIn: 'Take in',
  drop: 'Drop a file here, or tap to choose one',
  dropWhich: 'A log, a logbook, a table (CSV), GPX, GeoJSON, or an archive of these.',
  paste: 'Or paste a text here',
  read: 'Read it',
  tolerance: 'How far legs may stray from a recorded line, in metres',
  leave: 'Leave it',
  cantRead: (name: string) => `${name} can’t be read. Nothing was changed.`,
  willCome: (name: string) => `${name} holds:`,
  takeAll: (count: number) => (count === 1 ? 'Take in 1 outing' : `Take in ${count} outings`),
  nothingToTake: 'There is nothing new to take in.',
  taken: (added: number, replaced: number, skipped: number) =>
    [
      added > 0 && `${added} taken in`,
      replaced > 0 && `${replaced} replaced`,
      skipped > 0 && `${skipped} left as ${skipped === 1 ? 'it was' : 'they were'}`,
    ]
      .filter(Boolean)
      .join(', ')
      .concat('.'),
  profiles: (count: number) => (count === 1 ? 'One set of paces' : `${count} sets of paces`),
  clash: 'It stands on your shelf already, with another page:',
  keepBoth: 'keep both',
  replace: 'replace',
  skip: 'skip',
  columns: 'What its columns mean',
  passOver: 'passed over',
  legs: (count: number) => (count === 1 ? '1 leg' : `${count} legs`),
  handOut: 'Hand out',
  which: 'Which outing',
  all: 'All outings',
  share: 'Hand it to another app',
  saved: (name: string) => `${name} was written to your downloads.`,
  failed: 'The file could not be made.',
  needs: 'GPX, GeoJSON and KML need a position of the start, and a declination.',
  phone: 'From phone to phone',
  phoneHow:
    'Without a network: one phone shows an outing as a series of codes, the other looks at them with its camera.',
  showCodes: 'Show codes',
  stopCodes: 'Put them away',
  hold: 'Hold still',
  goOn: 'Go on',
  before: 'One back',
  after: 'One on',
  code: (number: number, count: number) => `Code ${number} of ${count}`,
  tooLong: 'This outing is too long for codes: hand it out as a file.',
  readCodes: 'Read codes',
  stopReading: 'Stop reading',
  codePictures: 'Read codes off pictures',
  looking: 'Point the camera at the codes. The order is free.',
  seen: (seen: number, count: number) => `${seen} of ${count} codes seen.`,
  missing: (numbers: readonly number[]) =>
    numbers.length <= 12
      ? `Still missing: ${numbers.join(', ')}.`
      : `Still missing: ${numbers.slice(0, 12).join(', ')} and ${numbers.length - 12} more.`,
  another: 'Another series began: what was seen of the first is put aside.',
  foreign: 'That code is not one of an outing.',
  noCode: 'No code can be seen in that picture.',
  camera: {
    absent: 'This device has no camera that can be used. Pictures of the codes do as well.',
    refused: 'The camera was not allowed. Allow it in the browser, or read pictures of the codes.',
    'no-answer': 'Nothing can be seen: the picture can’t be opened, or the camera gave none.',
  },
  scanned: 'The outing from the other phone',
} as const;

export const MEETS: Readonly<Record<Incoming['meets'], string>> = {
  nothing: 'new',
  same: 'on your shelf already, the same',
  other: '',
  discarded: 'was taken off your shelf: it comes back',
  damaged: 'what you have of it is damaged: it comes in beside it',
};

/** What can be written, in the order in which it is offered. A new format is one more row. */
export const FORMAT_NAMES: readonly {
  readonly name: string;
  readonly words: string;
  readonly what: string;
}[] = [
  { name: 'log', words: 'Log', what: 'plain text, as it stands on the page' },
  { name: 'json', words: 'Logbook', what: 'everything, to be read back' },
  { name: 'gpx', words: 'GPX', what: 'stations, legs and the way home, for map programs' },
  { name: 'geojson', words: 'GeoJSON', what: 'the same for map software' },
  { name: 'kml', words: 'KML', what: 'the same for globes' },
  { name: 'csv', words: 'Table', what: 'CSV, a row a line' },
  { name: 'svg', words: 'Sketch', what: 'a drawing to scale (SVG)' },
  { name: 'png', words: 'Picture', what: 'the same as dots (PNG)' },
  { name: 'zip', words: 'Archive', what: 'every format at once (ZIP)' },
];

export const FIELD_WORDS: Readonly<Record<CsvField, string>> = {
  outing: 'outing',
  line: 'a line of the log',
  bearing: 'bearing',
  north: 'north of the bearing',
  distance: 'distance',
  unit: 'unit of the distance',
  to: 'name of the station reached',
  back: 'back bearing',
  ground: 'ground',
  time: 'time',
  note: 'note',
};
