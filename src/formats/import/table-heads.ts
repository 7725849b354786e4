/** What a column of a table can mean. */
export const CSV_FIELDS = [
  'outing',
  'line',
  'bearing',
  'north',
  'distance',
  'unit',
  'to',
  'back',
  'ground',
  'time',
  'note',
  'outing-id',
] as const;
export type CsvField = (typeof CSV_FIELDS)[number];

/** The field of each column, in their order; null for one that isn't read. */
export type CsvMapping = readonly (CsvField | null)[];

/** Heads that people give such columns, in lower case. */
const HEADS: Readonly<Record<CsvField, readonly string[]>> = {
  outing: ['outing', 'trip', 'walk', 'route', 'track'],
  line: ['line'],
  bearing: [
    ...['bearing', 'bearings', 'azimuth', 'heading', 'course', 'direction', 'degrees', 'mils'],
    ...['fwd az', 'az', 'azm', 'azi', 'brg', 'hdg'],
  ],
  north: ['north', 'from north', 'bearing from'],
  distance: [
    ...['distance', 'paces', 'length', 'dist', 'steps', 'count', 'metres', 'meters', 'm'],
    ...['pace count', 'double paces', 'single steps', 'feet', 'yards'],
  ],
  unit: ['unit', 'units', 'distance unit'],
  to: [
    'to',
    'station',
    'name',
    'to station',
    'point',
    'reached',
    'reached at',
    'arrived at',
    'end',
  ],
  back: ['back', 'back bearing', 'back azimuth'],
  ground: ['ground', 'terrain'],
  time: ['time', 'clock'],
  note: [
    ...['note', 'notes', 'comment', 'comments', 'remark', 'remarks', 'description'],
    ...['observation', 'observations', 'seen'],
  ],
  'outing-id': ['outing id'],
};

/** Units that a distance is written with, by the words for them. */
const DISTANCE_UNITS: Readonly<Record<string, string>> = {
  ...wordsFor('p', 'p pace paces pcs'),
  'double paces': 'p',
  'pace count': 'p',
  ...wordsFor('s', 's step steps'),
  'single steps': 's',
  ...wordsFor('m', 'm metre metres meter meters'),
  ...wordsFor('km', 'km kilometre kilometres kilometer kilometers'),
  ...wordsFor('ft', 'ft foot feet'),
  ...wordsFor('yd', 'yd yds yard yards'),
  ...wordsFor('mi', 'mi mile miles'),
  ...wordsFor('ch', 'ch chain chains'),
  ...wordsFor('lk', 'lk link links'),
};
/** The same for bearings, with the norths that a head may name: a bare number is in degrees. */
const BEARING_UNITS: Readonly<Record<string, string>> = {
  ...wordsFor('', '° deg degs degree degrees'),
  ...wordsFor('mil', 'mil mils'),
  ...wordsFor('gon', 'gon gons'),
  ...wordsFor('M', 'm °m mag magnetic'),
  ...wordsFor('T', 't °t true'),
  ...wordsFor('G', 'g °g grid'),
};
function wordsFor(symbol: string, words: string): Record<string, string> {
  return Object.fromEntries(words.split(' ').map((word) => [word, symbol]));
}

/** Units that a person can choose from where a table names none, as they are written. */
export const DISTANCE_SYMBOLS = [...new Set(Object.values(DISTANCE_UNITS))];

const inLower = (cell: string) => cell.toLowerCase().replace(/_/g, ' ').trim();
/** Words that say how a column came about and not what it is: `Paces walked`, `Azimuth taken`. */
const HOW = /\s*\b(?:walked|counted|taken|measured|read|no\.? of|number of)\b\s*/g;
const plainHead = (cell: string) => inLower(cell).replace(HOW, ' ').trim();

/** The symbol of a unit of distance; an unknown one stays as it is, for the reader to refuse. */
export const unitSymbol = (cell: string): string => DISTANCE_UNITS[inLower(cell)] ?? inLower(cell);

/** The letter of a north in a cell; empty for none. */
export const northLetter = (cell: string): string => {
  const symbol = BEARING_UNITS[inLower(cell)] ?? '';
  return /^[MTG]$/.test(symbol) ? symbol : '';
};

/** A head, taken apart: what the column is, and what its numbers are in. */
interface Head {
  readonly field: CsvField | null;
  readonly unit: string;
}

/** Fields whose numbers have a unit, with the units. */
const MEASURED: Partial<Record<CsvField, Readonly<Record<string, string>>>> = {
  bearing: BEARING_UNITS,
  back: BEARING_UNITS,
  distance: DISTANCE_UNITS,
};

/** `Distance (m)`, `distance [km]`, `bearing/mils`: a word, and a unit set off from it. */
const SET_OFF = /^(.*?)\s*[([{/,:]\s*(.*?)\s*[)\]}]?$/;
/** `azimuth gon`: a word, and a unit after a space. */
const AFTER_SPACE = /^(.*) (\S+)$/;

/**
 * Takes a head apart. A unit that isn't known leaves a bearing or a distance unrecognised, so that
 * the person is asked; for other columns what is in brackets is a remark.
 */
function headOf(cell: string): Head {
  const text = plainHead(cell);
  const whole = fieldOf(text);
  if (whole) return { field: whole, unit: MEASURED[whole]?.[text] ?? '' };
  for (const form of [SET_OFF, AFTER_SPACE]) {
    const [, word = '', unit = ''] = form.exec(text) ?? [];
    const field = fieldOf(word);
    if (!field) continue;
    const units = MEASURED[field];
    if (!units && form === SET_OFF) return { field, unit: '' };
    if (units && Object.hasOwn(units, unit)) return { field, unit: units[unit] ?? '' };
  }
  return { field: null, unit: '' };
}

const fieldOf = (word: string): CsvField | null =>
  (Object.keys(HEADS) as CsvField[]).find((field) => HEADS[field].includes(word)) ?? null;

/** Heads of a column that counts the rows: it is passed over. */
const NUMBER_HEADS = ['no', 'no.', 'nr', 'nr.', '#', 'number', 'leg', 'leg no', 'leg no.'];

/** True for a head that is a field, or that counts the rows. */
export const isHead = (cell: string): boolean =>
  headOf(cell).field !== null || NUMBER_HEADS.includes(inLower(cell));

/** What a column's head says that its numbers are in; empty where it says nothing. */
export const measuredIn = (cell = ''): string => headOf(cell).unit;

/** The field of each column. A field has one column: the first whose head fits. */
export function recognisedColumns(head: readonly string[]): CsvMapping {
  const taken = new Set<CsvField>();
  return head.map((cell) => {
    const { field } = headOf(cell);
    if (!field || taken.has(field)) return null;
    taken.add(field);
    return field;
  });
}
