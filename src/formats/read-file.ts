import type { EarthModels } from '../core/earth-models';
import { needsEarthModels } from '../core/norths-of';
import type { Entry, Outing, PaceProfile } from '../core/logbook';
import { readLines, type LogFault } from '../core/log-text/read-log';
import { fail, ok, type Result } from '../core/result';
import { solve } from '../core/solve';
import type { Metres } from '../core/units';
import { fileFault, type FileFault } from './format';
import { jsonFormat } from './json';
import { outingsOfTracks } from './outing-of-track';
import {
  looksLikeTable,
  outingsOfTable,
  readTable,
  type CsvMapping,
  type CsvTable,
} from './read-csv';
import { readGeoJson } from './read-geojson';
import { readGpx } from './read-gpx';
import type { Tracks } from './tracks';
import { isZip, readZip, WHOLE_LOGBOOK } from './zip';

/** How what is open to choice is to be read. */
export interface ReadChoices {
  /** How far the legs may stray from a recorded line. */
  readonly toleranceMetres: Metres;
  /** What the columns of a table mean; null as they are recognised. */
  readonly mapping: CsvMapping | null;
  /** For files that name no day. */
  readonly today: string;
  readonly newId: () => string;
  /** Paces of one's own, for a table that counts in paces and does not say how long they are. */
  readonly paces?: readonly Entry[];
}

/** What a file comes to, before anything of it is written. */
export interface FileRead {
  readonly kind: 'log' | 'logbook' | 'table' | 'gpx' | 'geojson' | 'archive';
  readonly outings: readonly Outing[];
  readonly profiles: readonly PaceProfile[];
  /** What was done to it, and what of it was left out, in words. */
  readonly told: readonly string[];
  /** The table, so that its columns can be said to mean something else. */
  readonly table?: CsvTable;
  /** True when the tolerance changes what comes of it. */
  readonly thinned?: boolean;
}

/** A table whose columns are not known yet can be shown, and its columns named; then it is read again. */
export interface UnreadFile {
  readonly faults: readonly FileFault[];
  readonly table?: CsvTable;
}

/** A file larger than this is refused before it is looked at, in bytes. */
const LARGEST_FILE = 32_000_000;

/** Reads a file of any kind that is known, by what it holds: its name is only a hint. All of it is read, or nothing. */
export function readFile(
  name: string,
  bytes: Uint8Array,
  models: EarthModels | null,
  choices: ReadChoices,
): Result<FileRead, UnreadFile> {
  if (bytes.length > LARGEST_FILE) {
    const message = `A file of more than ${LARGEST_FILE / 1_000_000} MB is not read.`;
    return fail({ faults: [fileFault(message)] });
  }
  if (isZip(bytes)) return readArchive(bytes, models, choices);
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return fail({ faults: [fileFault('This file is not text in UTF-8.')] });
  }
  return readText(name, text, models, choices);
}

/** The same for a text that was pasted or scanned. */
export function readText(
  name: string,
  text: string,
  models: EarthModels | null,
  choices: ReadChoices,
): Result<FileRead, UnreadFile> {
  const begins = text.replace(/^\uFEFF/, '').trimStart();
  if (begins === '') return fail({ faults: [fileFault('There is nothing in this file.')] });
  if (begins.startsWith('<')) return readMap('gpx', readGpx(text), models, choices);
  if (begins.startsWith('{') || begins.startsWith('[')) {
    return /"format"\s*:\s*"cairn-back/.test(text)
      ? readLogbook(text, models)
      : readMap('geojson', readGeoJson(text), models, choices);
  }
  if (/\.csv$/i.test(name) || looksLikeTable(begins)) return readCsv(text, models, choices);
  return readLog(text, models, choices);
}

const faulty = (faults: readonly FileFault[]) => fail<UnreadFile>({ faults });

function readLog(text: string, models: EarthModels | null, { newId }: ReadChoices) {
  const read = readLines(text, newId());
  if (!read.ok) return faulty(read.fault satisfies LogFault[]);
  const { outing, lineOfEntry, lineOfHeader } = read.value;
  const fault = unsolved(outing, models);
  if (!fault) return ok<FileRead>({ kind: 'log', outings: [outing], profiles: [], told: [] });
  const { at } = fault;
  const line = 'entry' in at ? lineOfEntry[at.entry] : lineOfHeader.get(at.header as never);
  return faulty([{ fault: fault.fault, line: line ?? 1, column: 1 }]);
}

function readLogbook(text: string, models: EarthModels | null): Result<FileRead, UnreadFile> {
  const read = jsonFormat.read(text, models);
  if (!read.ok) return faulty(read.fault);
  const { outings, paceProfiles } = read.value;
  return ok({ kind: 'logbook', outings, profiles: paceProfiles, told: [] });
}

function readMap(
  kind: 'gpx' | 'geojson',
  read: Result<Tracks & { readonly passedOver?: number }, FileFault[]>,
  models: EarthModels | null,
  { toleranceMetres, today, newId }: ReadChoices,
): Result<FileRead, UnreadFile> {
  if (!read.ok) return faulty(read.fault);
  const made = outingsOfTracks(read.value, toleranceMetres, today, newId);
  if (!made.ok) return faulty(made.fault);
  const told: string[] = [];
  const outings: Outing[] = [];
  for (const { outing, positions, legs, leftOut } of made.value) {
    const name = outing.name || 'Line';
    told.push(
      `“${name}”: ${positions} positions become ${legs} legs, none farther than ${toleranceMetres} m from the line.`,
    );
    if (leftOut.length > 0) {
      told.push(`Left out, since no leg passes near them: ${leftOut.join(', ')}.`);
    }
    const fault = unsolved(outing, models);
    const dated = { ...outing, date: { day: today, note: `recorded on ${outing.date?.day}` } };
    if (fault?.fault.code === 'model-out-of-window' && !unsolved(dated, models)) {
      told.push(
        `“${name}” was recorded on ${outing.date?.day}, which the model of the earth’s field does not reach: today’s declination stands in.`,
      );
      outings.push(dated);
    } else if (fault) return faulty([{ fault: fault.fault }]);
    else outings.push(outing);
  }
  if (read.value.passedOver) told.push(`${read.value.passedOver} areas were passed over.`);
  return ok({ kind, outings, profiles: [], told, thinned: true });
}

const NO_HEADER = (name: string) =>
  `“${name || 'Outing'}”: the table gives no place for the start; it can be set up after taking it in.`;

function readCsv(text: string, models: EarthModels | null, { mapping, newId, paces }: ReadChoices) {
  const read = readTable(text);
  if (!read.ok) return faulty(read.fault);
  const table = { ...read.value, mapping: mapping ?? read.value.mapping };
  const found = outingsOfTable(table, table.mapping, newId);
  if (!found.ok) return fail<UnreadFile>({ faults: found.fault, table });
  const told: string[] = [];
  const outings: Outing[] = [];
  for (const { outing, rowOfEntry } of found.value) {
    const paced = { ...outing, entries: [...(paces ?? []), ...outing.entries] };
    const fault = unsolved(outing, models);
    if (fault?.fault.code === 'no-pace' && paces?.length && !unsolved(paced, models)) {
      told.push('It counts in paces: your own were put at its head.');
      outings.push(paced);
    } else if (fault) {
      const at = 'entry' in fault.at ? { line: rowOfEntry[fault.at.entry] } : {};
      return fail<UnreadFile>({ faults: [{ fault: fault.fault, ...at }], table });
    } else outings.push(outing);
    if (!outing.start.position) told.push(NO_HEADER(outing.name));
  }
  return ok<FileRead>({ kind: 'table', outings, profiles: [], told, table });
}

/** Why an outing can't be worked out; null when it can, or when only the model is not loaded yet. */
function unsolved(outing: Outing, models: EarthModels | null) {
  const solved = solve(outing, models);
  if (solved.ok || (models === null && needsEarthModels(outing))) return null;
  return solved.fault;
}

/** An archive: its logbook, which holds everything, or else every file in it that can be read; one that can't spoils the whole. */
function readArchive(
  bytes: Uint8Array,
  models: EarthModels | null,
  choices: ReadChoices,
): Result<FileRead, UnreadFile> {
  const files = readZip(bytes);
  if (!files.ok) return faulty(files.fault);
  const readable = files.value.filter(({ name }) =>
    /\.(json|geojson|gpx|csv|txt|log)$/i.test(name),
  );
  const book = readable.filter(({ name }) => name === WHOLE_LOGBOOK);
  const wanted = book.length > 0 ? book : readable;
  if (wanted.length === 0) return faulty([fileFault('No file in this archive can be read.')]);
  const outings: Outing[] = [];
  const profiles: PaceProfile[] = [];
  const told: string[] = [];
  for (const { name, bytes: content } of wanted) {
    const read = isZip(content)
      ? faulty([fileFault('An archive in an archive is not read.')])
      : readFile(name, content, models, { ...choices, mapping: null });
    if (!read.ok) {
      const faults = read.fault.faults.map((fault) => ({
        ...fault,
        path: `${name} ${fault.path ?? ''}`.trim(),
      }));
      return fail({ faults });
    }
    outings.push(...read.value.outings);
    profiles.push(...read.value.profiles);
    told.push(...read.value.told.map((words) => `${name}: ${words}`));
  }
  return ok({ kind: 'archive', outings, profiles, told });
}
