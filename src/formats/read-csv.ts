import Papa from 'papaparse';
import { faultWords } from '../core/fault-words';
import { readLines } from '../core/log-text/read-log';
import type { Outing } from '../core/logbook';
import { fail, ok, type Result } from '../core/result';
import { fileFault, type FileFault } from './format';
import { plainName } from './tracks';

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
] as const;
export type CsvField = (typeof CSV_FIELDS)[number];

/** The field of each column, in their order; null for one that is passed over. */
export type CsvMapping = readonly (CsvField | null)[];

/** Words that people head such columns with, in lower case. */
const HEADS: Readonly<Record<CsvField, readonly string[]>> = {
  outing: ['outing', 'trip', 'walk', 'route', 'track'],
  line: ['line'],
  bearing: ['bearing', 'azimuth', 'heading', 'course', 'direction', 'degrees', 'fwd az'],
  north: ['north', 'from north', 'bearing from'],
  distance: ['distance', 'paces', 'length', 'dist', 'steps', 'count', 'metres', 'meters', 'm'],
  unit: ['unit', 'units', 'distance unit'],
  to: ['to', 'station', 'name', 'to station', 'point'],
  back: ['back', 'back bearing', 'back azimuth'],
  ground: ['ground', 'terrain'],
  time: ['time', 'clock'],
  note: ['note', 'notes', 'comment', 'remark', 'remarks', 'description'],
};
/** A unit that a column's own head says. */
const UNIT_OF_HEAD: Readonly<Record<string, string>> = {
  paces: 'p',
  steps: 's',
  metres: 'm',
  meters: 'm',
  m: 'm',
};
const UNIT_WORDS: Readonly<Record<string, string>> = {
  pace: 'p',
  paces: 'p',
  step: 's',
  steps: 's',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  feet: 'ft',
  foot: 'ft',
  yards: 'yd',
  miles: 'mi',
  kilometres: 'km',
};

/** A table larger than this is refused, in characters and in rows. */
const LARGEST_CSV = 8_000_000;
const MOST_ROWS = 100_000;
const MOST_FAULTS = 20;

export interface CsvTable {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** What the columns were taken for. */
  readonly mapping: CsvMapping;
}

/** The apostrophe that keeps a spreadsheet from reading a formula is taken off. */
const plainCell = (cell: string) => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell).trim();

/** Reads a table and recognises its columns. The first row is the head. */
export function readTable(text: string): Result<CsvTable, FileFault[]> {
  if (text.length > LARGEST_CSV) {
    return fail([fileFault(`A table of more than ${LARGEST_CSV / 1_000_000} MB is not read.`)]);
  }
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    preview: MOST_ROWS + 2,
  });
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes) {
    return fail([
      fileFault(`A quotation mark is not closed: ${quotes.message}.`, {
        line: (quotes.row ?? 0) + 1,
      }),
    ]);
  }
  const [head, ...rows] = data.map((row) => row.map(plainCell));
  if (!head || rows.length === 0) return fail([fileFault('This table has no rows.')]);
  if (rows.length > MOST_ROWS) {
    return fail([
      fileFault(`A table of more than ${MOST_ROWS.toLocaleString('en')} rows is not read.`),
    ]);
  }
  return ok({ head, rows, mapping: recognised(head) });
}

/** A name or a remark at the head of a log may hold commas and any word. */
const LOG_BEGINS = /^\s*(#|cairn-back|outing|start)/i;

/** True when a text begins like a table: two cells of its first line are heads that are known, or one that says bearings. */
export function looksLikeTable(text: string): boolean {
  const cells = text.split(/[\r\n]/, 1)[0]!.split(/[,;\t]/);
  const known = recognised(cells.map((cell) => cell.trim().replace(/^"|"$/g, '')));
  const named = known.filter((field) => field !== null).length;
  return named >= 2 || (cells.length >= 2 && known.includes('bearing') && !LOG_BEGINS.test(text));
}

/** The same word may head but one column: the first that fits is taken. */
function recognised(head: readonly string[]): CsvMapping {
  const taken = new Set<CsvField>();
  return head.map((cell) => {
    const word = cell
      .toLowerCase()
      .replace(/\s*[([].*$/, '')
      .replace(/_/g, ' ')
      .trim();
    const field = CSV_FIELDS.find((each) => !taken.has(each) && HEADS[each].includes(word));
    if (!field) return null;
    taken.add(field);
    return field;
  });
}

/** Outings of a table, and the row of the table that each of their entries stood in. */
export interface TableOuting {
  readonly outing: Outing;
  readonly rowOfEntry: readonly number[];
}

/** The rows as outings, in the order in which their names first stand. All rows are read, or none. */
export function outingsOfTable(
  { head, rows }: CsvTable,
  mapping: CsvMapping,
  newId: () => string,
): Result<TableOuting[], FileFault[]> {
  const column = (field: CsvField) => mapping.indexOf(field);
  if (column('line') < 0 && (column('bearing') < 0 || column('distance') < 0)) {
    return fail([
      fileFault('A column of bearings and one of distances are needed. Say which they are.'),
    ]);
  }
  const headUnit = UNIT_OF_HEAD[(head[column('distance')] ?? '').toLowerCase()] ?? '';
  const logs = new Map<string, { lines: string[]; rows: number[] }>();
  rows.forEach((row, index) => {
    const cell = (field: CsvField) => row[column(field)] ?? '';
    const line = cell('line') || legText(cell, headUnit);
    if (line === '') return;
    const name = plainName(cell('outing'));
    const log = logs.get(name) ?? { lines: [], rows: [] };
    log.lines.push(line.replace(/[\r\n]+/g, ' '));
    log.rows.push(index + 2);
    logs.set(name, log);
  });
  const outings: TableOuting[] = [];
  const faults: FileFault[] = [];
  for (const [name, log] of logs) {
    const read = readLines(log.lines.join('\n'), newId());
    if (read.ok) {
      const { outing, lineOfEntry } = read.value;
      outings.push({
        outing: { ...outing, name },
        rowOfEntry: lineOfEntry.map((line) => log.rows[line - 1]!),
      });
      continue;
    }
    for (const { fault, line } of read.fault) {
      const row = log.rows[line - 1]!;
      const text = log.lines[line - 1]!.slice(0, 80);
      faults.push(fileFault(`Row ${row}, “${text}”: ${faultWords(fault)}`, { line: row }));
    }
  }
  if (faults.length > 0) return fail(faults.slice(0, MOST_FAULTS));
  return outings.length > 0 ? ok(outings) : fail([fileFault('No row holds a leg.')]);
}

/** A leg as the log would have it, out of the cells of a row; empty for a row without a bearing and a distance. */
function legText(cell: (field: CsvField) => string, headUnit: string): string {
  const [bearing, distance] = [cell('bearing'), cell('distance')];
  if (bearing === '' && distance === '') return '';
  const letter = { true: 'T', grid: 'G', magnetic: 'M' }[cell('north').toLowerCase()] ?? '';
  const word = cell('unit').toLowerCase();
  const unit = /^[-+.\d]+$/.test(distance) ? (UNIT_WORDS[word] ?? (word || headUnit)) : '';
  const parts = [`${bearing}${letter} ${distance}${unit}`];
  if (cell('ground')) parts.push(`on ${cell('ground')}`);
  if (cell('back')) parts.push(`back ${cell('back')}`);
  if (cell('time')) parts.push(`@${cell('time')}`);
  if (cell('to')) parts.push(`> ${plainName(cell('to'))}`);
  if (cell('note')) parts.push(`; ${cell('note').replace(/\s+/g, ' ')}`);
  return parts.join(' ');
}
