import { plural } from '@/core/entries/describe';
import type { CsvField } from '@/formats/import/table-heads';
import type { ImportCandidate, ImportResult } from '@/store/import';
import { SHARED_WORDS } from '@/views/shared/words/words';

const outingsWords = (count: number) => plural(count, 'outing', 'outings');
const changesWords = (count: number) => plural(count, 'change', 'changes');
const knownWords = (count: number) => plural(count, 'known place', 'known places');
const routesWords = (count: number) => plural(count, 'route', 'routes');
const practiceWords = (count: number) => plural(count, 'record of practice', 'records of practice');
const areasWords = (count: number) => plural(count, 'area', 'areas');
const profilesWords = (count: number) => plural(count, 'pace profile', 'pace profiles');
const MOST_NUMBERS_SHOWN = 12;

/** The words of the Files view. */
export const WORDS = {
  loading: 'Loading the outings…',
  reading: 'Reading the file…',
  untitled: SHARED_WORDS.untitled,
  share: SHARED_WORDS.share,
  cancel: SHARED_WORDS.cancel,
  whichOuting: 'Which outing',

  backup: 'Backup',
  backUp: 'Back up everything',
  withPictures: (bytes: number) =>
    `With the pictures of maps (${Math.max(1, Math.round(bytes / 1e6))} MB)`,
  positionsToo: 'What positions them is always in it.',
  neverBackedUp: 'No backup yet. What you log is only on this device.',
  backedUp: (when: string, changes: number) =>
    `Last backup ${when}; ${changes === 0 ? 'no changes' : changesWords(changes)} since.`,
  backedUpNow: (name: string) => `Saved as ${name}. Keep a copy somewhere else than on this phone.`,
  copies: 'Copies that this browser makes by itself, one a day when something changed:',
  noCopies: 'From the second day on, this browser makes a copy of each day by itself.',
  copy: (day: string, outings: number) => `${day}, ${outingsWords(outings)}`,
  preview: 'Preview',
  previewOf: (what: string) => `Preview: ${what}`,

  importTitle: 'Import',
  drop: 'Drop files here, or tap to choose them',
  dropWhich:
    'Logs, full data (JSON), tables (CSV), GPX, GeoJSON, or a ZIP of these: as many as you like. ' +
    'They can be dropped on any page.',
  importDialog: 'Import',
  close: 'Close',
  paste: 'Or paste text here: one log, or several one after another',
  pasted: 'The pasted text',
  read: 'Preview import',
  tolerance: 'How far the legs may be from a recorded line, in metres',
  cantRead: (name: string) => `${name} can’t be read. Nothing of it was taken.`,
  moreFaults: (count: number) => `and ${count} more`,
  waits: (name: string) => `${name} is not read yet:`,
  contents: (name: string) => `${name} contains:`,
  contentsOfAll: 'Together they contain:',
  writing: 'Importing…',
  moreOutings: (count: number) => `and ${outingsWords(count)} more`,
  importAll: (outings: number, profiles: number) =>
    `Import ${outings === 0 && profiles > 0 ? profilesWords(profiles) : outingsWords(outings)}`,
  nothingNew: 'There is nothing new to import.',
  imported: (
    { added, replaced, skipped, areas, routes, practice, device }: ImportResult,
    profiles: number,
  ) => {
    const done = [
      ...(added > 0 ? [`${added} imported`] : []),
      ...(replaced > 0 ? [`${replaced} replaced`] : []),
      ...(skipped > 0 ? [`${skipped} unchanged`] : []),
      ...(profiles > 0 ? [`${profilesWords(profiles)} merged with yours`] : []),
      ...(areas.length > 0 ? [`${areasWords(areas.length)} imported`] : []),
      ...(routes.length > 0 ? [`${routesWords(routes.length)} imported`] : []),
      ...(practice > 0 ? [`${practiceWords(practice)} imported`] : []),
      ...(device > 0 ? ['settings, counts and pictures imported'] : []),
    ];
    return done.length > 0 ? `${done.join(', ')}.` : 'All of it was here already.';
  },
  profiles: profilesWords,
  areas: areasWords,
  routes: routesWords,
  knownPlaces: knownWords,
  practice: practiceWords,
  device: 'settings, drafts, counts under way and pictures of maps',
  joinThem: 'Join them in an area',
  openArea: 'Open the area',
  openRoute: 'Open the route',
  openOuting: 'Open it',
  conflicts: (count: number) =>
    `You already have ${count.toLocaleString('en')} of these, with different contents. All:`,
  conflict: 'You already have this outing, with different contents:',
  keepBoth: 'keep both',
  replace: 'replace',
  skip: 'skip',
  distanceUnit: 'The distances are in',
  choose: 'choose',
  columns: 'What its columns mean',
  column: (number: number) => `column ${number}`,
  ignored: 'ignored',
  legs: (count: number) => plural(count, 'leg', 'legs'),

  exportTitle: 'Export',
  all: 'All outings',
  chosen: (count: number) => `The ${count} chosen outings`,
  saved: (name: string) => `Saved as ${name} in your downloads.`,
  failed: 'The file could not be made.',
  needs: 'GPX, GeoJSON and KML need the start’s position and a declination.',

  phone: 'From phone to phone',
  phoneHow:
    'Without a network: one phone shows an outing as a series of QR codes, the other reads them ' +
    'with its camera.',
  showCodes: 'Show QR codes',
  hideCodes: 'Hide',
  pause: 'Pause',
  resume: 'Resume',
  previous: 'Previous',
  next: 'Next',
  code: (number: number, count: number) => `Code ${number} of ${count}`,
  tooLong: 'This is too long for QR codes: export it as a file.',
  readCodes: 'Read QR codes',
  stopReading: 'Stop reading',
  codePictures: 'Read from pictures',
  readerDied: 'The reader of the codes stopped. Load this page again, and start over.',
  looking: 'Point the camera at the codes. They can be read in any order.',
  seen: (seen: number, count: number) => `${seen} of ${count} codes read.`,
  missing: (numbers: readonly number[]) => {
    const more = numbers.length - MOST_NUMBERS_SHOWN;
    const shown = numbers.slice(0, MOST_NUMBERS_SHOWN).join(', ');
    return `Still missing: ${shown}${more > 0 ? ` and ${more} more` : ''}.`;
  },
  otherSeries: 'A different series began: the codes of the first one were dropped.',
  foreign: 'That QR code is not part of an outing.',
  noCode: 'There is no QR code in that picture.',
  camera: {
    absent: 'This device has no camera that can be used. Pictures of the codes work as well.',
    refused:
      'The camera was not allowed. Allow it in the browser, or read from pictures of the codes.',
    'no-answer': 'There is no picture: it can’t be opened, or the camera sent none.',
  },
  scanned: 'The outing from the other phone',
} as const;

/** Whether the browser keeps what it stores. That some clear it after days is from memory. */
export const STORAGE_WORDS = {
  granted: 'This browser has promised to keep your outings until you delete them.',
  'not-granted': 'The browser may delete data: your outings are not in protected storage.',
  unknown:
    'This browser does not say whether it keeps your outings. Make backups, and install the app.',
  whatToDo:
    'It may clear them when space runs short; some browsers also clear what was not visited for ' +
    'some days. Install the app to the home screen, and make backups.',
  ask: 'Ask for protected storage',
  asking: 'The browser is asking: answer its question at the top of the window.',
  private:
    'In a private window everything is deleted when the window is closed, whatever it promises.',
  refused: 'It did not promise. Install the app, visit it again, or allow it in the settings.',
} as const;

/** Why the reading or the import of a file came to nothing. */
export const ENDED_WORDS = {
  'too-long': (name: string) =>
    `Reading ${name} took too long and was given up. Nothing was changed. Split the file.`,
  died: (name: string) =>
    `The reader stopped on ${name}. Nothing was changed. Load this page again, and try once more.`,
  cancelled: (name: string) => `Reading ${name} was cancelled.`,
} as const;

/** Units of distance by what is written for them in a log. */
export const UNIT_WORDS: Readonly<Record<string, string>> = {
  p: 'paces',
  s: 'single steps',
  m: 'metres',
  km: 'kilometres',
  ft: 'feet',
  yd: 'yards',
  mi: 'miles',
  ch: 'chains',
  lk: 'links',
};

export const CONFLICT_WORDS: Readonly<Record<ImportCandidate['conflict'], string>> = {
  nothing: 'new',
  same: 'you already have it',
  other: '',
  discarded: 'deleted before: it is restored',
  damaged: 'yours is damaged: this one is added beside it',
};

interface OfferedFormat {
  readonly name: string;
  readonly label: string;
  readonly what: string;
  /** True for a format that takes one outing. */
  readonly single?: boolean;
}

/** What can be exported, in the order in which it is offered. A new format is one more row. */
export const OFFERED_FORMATS: readonly OfferedFormat[] = [
  { name: 'log', label: 'Log', what: 'plain text, as in the log', single: true },
  { name: 'json', label: 'Full data (JSON)', what: 'everything, to import again' },
  { name: 'gpx', label: 'GPX', what: 'stations, legs and the way home, for map programs' },
  { name: 'geojson', label: 'GeoJSON', what: 'the same, for map software' },
  { name: 'kml', label: 'KML', what: 'for 3-D globe viewers' },
  { name: 'csv', label: 'Table (CSV)', what: 'one row a line, for spreadsheets' },
  { name: 'svg', label: 'Sketch (SVG)', what: 'a drawing to scale', single: true },
  { name: 'png', label: 'Image (PNG)', what: 'the sketch as an image', single: true },
  { name: 'zip', label: 'Everything (ZIP)', what: 'every format at once' },
];

export const FIELD_WORDS: Readonly<Record<CsvField, string>> = {
  outing: 'outing',
  line: 'a line of the log',
  bearing: 'bearing',
  north: 'north of the bearing',
  distance: 'distance',
  unit: 'unit of the distance',
  to: 'station at its end',
  back: 'back bearing',
  ground: 'ground',
  time: 'time',
  note: 'note',
  'outing-id': 'which outing, where several have one name',
};
