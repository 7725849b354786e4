import Papa from 'papaparse';
import { faultMessage } from '../../core/faults/messages';
import { readLines } from '../../core/log-text/read-log';
import { isHeadingLine } from '../../core/log-text/notebook-page';
import type { Outing } from '../../core/model/outing';
import { writeStationName } from '../../core/readings/name';
import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';
import {
  isHead,
  measuredIn,
  northLetter,
  recognisedColumns,
  unitSymbol,
  type CsvField,
  type CsvMapping,
} from './table-heads';
import { plainName } from './tracks';
import { nth } from '../../core/units/nth';

/** A table larger than this is refused, in characters and in rows. */
const LARGEST_CSV = 8_000_000;
const MOST_ROWS = 100_000;
const MOST_COLUMNS = 100;
const MOST_FAULTS = 20;

export interface CsvTable {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** What stands above the head, a line each: a title, a day. */
  readonly above: readonly string[];
  /** What the columns were taken for. */
  readonly mapping: CsvMapping;
  /** True where neither a head nor a column of units says what the distances are in. */
  readonly asksUnit: boolean;
}

/** A cell without the apostrophe that keeps a spreadsheet from reading a formula. */
const plainCell = (cell: string) => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell).trim();

/** The cells of a table, row by row, within bounds. */
export function readCells(text: string): Result<readonly (readonly string[])[], FileFault[]> {
  if (text.length > LARGEST_CSV) {
    return fail([fileFault(`A table of more than ${LARGEST_CSV / 1_000_000} MB is not read.`)]);
  }
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    preview: MOST_ROWS + 2,
  });
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes) {
    const message = `A quotation mark is not closed: ${quotes.message}.`;
    return fail([fileFault(message, { line: (quotes.row ?? 0) + 1 })]);
  }
  const cells = inColumns(data).map((row) => row.map(plainCell));
  if (cells.length < 2) return fail([fileFault('This table has no rows.')]);
  const widest = cells.findIndex(({ length }) => length > MOST_COLUMNS);
  if (widest >= 0) {
    const found = nth(cells, widest).length.toLocaleString('en');
    const message = `A row has ${found} columns; at most ${MOST_COLUMNS} are read.`;
    return fail([fileFault(message, { line: widest + 1 })]);
  }
  if (cells.length > MOST_ROWS + 1) {
    const most = MOST_ROWS.toLocaleString('en');
    return fail([fileFault(`A table of more than ${most} rows is not read.`)]);
  }
  return ok(cells);
}

/**
 * Reads a table and recognises its columns. Its head is the first of the top rows that names two of
 * them, or else the first row.
 */
export function readTable(text: string): Result<CsvTable, FileFault[]> {
  const cells = readCells(text);
  if (!cells.ok) return cells;
  const headAt = Math.max(0, cells.value.slice(0, MOST_ABOVE).findIndex(namesColumns));
  const head = nth(cells.value, headAt);
  const rows = cells.value.slice(headAt + 1);
  if (rows.length === 0) return fail([fileFault('This table has no rows.')]);
  const above = cells.value.slice(0, headAt).map((row) => row.filter(Boolean).join(' '));
  const mapping = recognisedColumns(head);
  return ok({ head, rows, above, mapping, asksUnit: asksUnit({ head, rows }, mapping) });
}

/** So many lines may stand above the head of a table. */
const MOST_ABOVE = 10;

/** True for a row of heads: a column of bearings, or of whole lines, and another. */
function namesColumns(row: readonly string[]): boolean {
  const fields = recognisedColumns(row).filter((field) => field !== null);
  return fields.length >= 2 && fields.some((field) => field === 'bearing' || field === 'line');
}

/** What sets columns off whose cells may hold a space. */
const WIDE = /\s{2,}|\t/;
/** The number that a page gives to a line: `12.` or `12)`. */
const PAGE_NUMBER = /^\d{1,4}[.)]$/;

/**
 * Rows whose columns are set off by spaces, as on a page, in cells; others as they are. The last
 * column has what is left of its line.
 */
function inColumns(data: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const spaced = data.every(({ length }) => length === 1) ? data.map(([line = '']) => line) : null;
  const headAt = (spaced ?? []).slice(0, MOST_ABOVE).findIndex((line) => spacedHead(line) !== null);
  const head = spaced?.[headAt] === undefined ? null : spacedHead(spaced[headAt]);
  if (!spaced || !head) return data;
  const hasNumbers = recognisedColumns(head)[0] === null;
  const isWide = WIDE.test(nth(spaced, headAt).trim());
  return spaced.map((line, index) => {
    if (index < headAt) return [line];
    if (index === headAt) return head;
    const words = line.trim().split(isWide && WIDE.test(line.trim()) ? WIDE : /\s+/);
    if (!hasNumbers && PAGE_NUMBER.test(nth(words, 0))) words.shift();
    const last = words.slice(head.length - 1).join(' ');
    return [...words.slice(0, head.length - 1), ...(last === '' ? [] : [last])];
  });
}

/** The heads of a line that is nothing else, set off by spaces; null for another. */
function spacedHead(line: string): string[] | null {
  const words = line.trim().split(WIDE);
  const heads = words.length > 1 ? words : line.trim().split(/\s+/);
  return namesColumns(heads) && heads.every(isHead) ? heads : null;
}

/** Longer than the heads of any table, in characters. */
const LONGEST_HEAD = 10_000;

/** A name or a comment at the head of a log may hold commas and any word. */
const LOG_BEGINS = /^\s*(#|cairn-back|outing|start)/i;

/** True when a text begins like a table: with two known heads, or one of bearings. */
export function looksLikeTable(text: string): boolean {
  const top = text.slice(0, LONGEST_HEAD).split(/\r\n|\n|\r/, MOST_ABOVE);
  const rows = top.map((line) =>
    line.split(/[,;\t]/).map((cell) => cell.trim().replace(/^"|"$/g, '')),
  );
  const isFirst = (row: readonly string[]) => {
    const known = recognisedColumns(row);
    const named = known.filter((field) => field !== null).length;
    return named >= 2 || (row.length >= 2 && known.includes('bearing') && !LOG_BEGINS.test(text));
  };
  // A log by hand whose columns have heads is read as a log, which knows more ways of writing.
  return isFirst(nth(rows, 0)) || rows.some(isWrittenHead) || top.some(isSpacedTable);
}

/** A row of heads between commas, below a title. */
const isWrittenHead = (row: readonly string[]) => row.length > 1 && namesColumns(row);
/** Heads between spaces, of columns that are not those of a log. */
const isSpacedTable = (line: string) => spacedHead(line) !== null && !isHeadingLine(line.trim());

/** An outing of a table, and the row of the table that each of its entries was in. */
export interface TableOuting {
  readonly outing: Outing;
  readonly rowOfEntry: readonly number[];
}

/** Asked of the person: no unit is taken for granted. */
const NO_UNIT = 'The distances have no unit. Choose what they are in.';

/** The lines of a table are in metres where they say no unit, as in a log that a program wrote. */
const WRITTEN_BY_PROGRAM = 'cairn-back log 1';

/** The rows as outings, in the order in which their names first appear: all rows, or none. */
export function outingsOfTable(
  { head, rows, above }: CsvTable,
  mapping: CsvMapping,
  newId: () => string,
  chosenUnit = '',
): Result<TableOuting[], FileFault[]> {
  const column = (field: CsvField) => mapping.indexOf(field);
  if (column('line') < 0 && (column('bearing') < 0 || column('distance') < 0)) {
    return fail([
      fileFault('A column of bearings and one of distances are needed. Choose which they are.'),
    ]);
  }
  const inHeads = {
    bearing: measuredIn(head[column('bearing')]),
    back: measuredIn(head[column('back')]),
    distance: measuredIn(head[column('distance')]) || chosenUnit,
  };
  if (!inHeads.distance && hasUnitless(rows, mapping)) return fail([fileFault(NO_UNIT)]);
  const logs = new Map<string, { name: string; lines: string[]; rows: number[] }>();
  rows.forEach((row, index) => {
    const cell = (field: CsvField) => row[column(field)] ?? '';
    const line = cell('line') || legText(cell, inHeads);
    if (line === '') return;
    const name = plainName(cell('outing'));
    const key = cell('outing-id') || name;
    const remarks = logs.size > 0 ? [] : above.map((said) => `; ${said}`);
    const top = {
      lines: [WRITTEN_BY_PROGRAM, ...remarks],
      rows: [1, ...above.map((_, at) => at + 1)],
    };
    const log = logs.get(key) ?? { name, ...top };
    log.lines.push(line.replace(/[\r\n]+/g, ' '));
    log.rows.push(index + above.length + 2);
    logs.set(key, log);
  });
  const outings: TableOuting[] = [];
  const faults: FileFault[] = [];
  for (const log of logs.values()) {
    const read = readLines(log.lines.join('\n'), newId());
    if (read.ok) {
      const { outing, lineOfEntry } = read.value;
      outings.push({
        outing: { ...outing, name: log.name },
        rowOfEntry: lineOfEntry.map((line) => nth(log.rows, line - 1)),
      });
      continue;
    }
    for (const { fault, line } of read.fault) {
      const row = nth(log.rows, line - 1);
      const text = nth(log.lines, line - 1).slice(0, 80);
      faults.push(fileFault(`Row ${row}, “${text}”: ${faultMessage(fault)}`));
    }
  }
  if (faults.length > 0) return fail(faults.slice(0, MOST_FAULTS));
  return outings.length > 0 ? ok(outings) : fail([fileFault('No row holds a leg.')]);
}

/** True where a row has a distance without a unit, and its head gives none. */
function hasUnitless(rows: CsvTable['rows'], mapping: CsvMapping): boolean {
  return rows.some((row) => {
    const cell = (field: CsvField) => row[mapping.indexOf(field)] ?? '';
    return isBare(cell('distance')) && cell('line') === '' && cell('unit') === '';
  });
}

/** True for a table whose distances have no unit, so that a person has to choose one. */
export const asksUnit = (
  { head, rows }: Pick<CsvTable, 'head' | 'rows'>,
  mapping: CsvMapping,
): boolean => measuredIn(head[mapping.indexOf('distance')]) === '' && hasUnitless(rows, mapping);

/** A number and nothing else: its unit is in the column's head, or in a column of units. */
const isBare = (cell: string) => /^[-+]?[.,\d]*\d[.,\d]*$/.test(cell);

/** What the heads say that bare numbers of these columns are in. */
interface InHeads {
  readonly bearing: string;
  readonly back: string;
  readonly distance: string;
}

/** The cells of a row as a leg of the log; empty for a row without bearing and distance. */
function legText(cell: (field: CsvField) => string, inHeads: InHeads): string {
  const [bearing, distance, back] = [cell('bearing'), cell('distance'), cell('back')];
  if (bearing === '' && distance === '') return '';
  const north = northLetter(cell('north'));
  const unit = isBare(distance) ? unitSymbol(cell('unit')) || inHeads.distance : '';
  const parts = [`${measuredBearing(bearing, inHeads.bearing, north)} ${distance}${unit}`];
  if (cell('ground')) parts.push(`on ${cell('ground')}`);
  if (back) parts.push(`back ${measuredBearing(back, inHeads.back)}`);
  if (cell('time')) parts.push(`@${cell('time')}`);
  if (cell('to')) parts.push(`> ${writeStationName(plainName(cell('to')))}`);
  if (cell('note')) parts.push(`; ${cell('note').replace(/\s+/g, ' ')}`);
  return parts.join(' ');
}

/** A bearing with the unit and the north that its column's head, or a cell beside it, names. */
function measuredBearing(cell: string, inHead: string, north = ''): string {
  const headNorth = northLetter(inHead);
  const unit = isBare(cell) && headNorth === '' ? inHead : '';
  return `${cell}${unit}${north || (/[MTG]$/i.test(cell) ? '' : headNorth)}`;
}
