import { IN_ENGLISH } from '../../core/readings/in-english';
import type { Entry } from '../../core/entries/entry';
import { isHeadingLine } from '../../core/log-text/notebook-page';
import { readLine } from '../../core/log-text/read-line';
import { locate, readLines } from '../../core/log-text/read-log';
import { logsIn } from '../../core/log-text/split-logs';
import { isRouteText, readRouteText } from '../../core/log-text/route/route-text';
import { deviceRecordSchema, type DeviceRecord } from '../../core/model/device-record';
import type { Outing } from '../../core/model/outing';
import type { EarthModels } from '../../core/north/earth-models';
import { needsEarthModels } from '../../core/north/outing-norths';
import { solveAsWalked, unsolvable } from '../../core/survey/solve';
import { fail, ok, type Result } from '../../core/units/result';
import type { Metres } from '../../core/units/units';
import { fileFault, type FileFault } from '../format';
import { looksLikePlaces, readKnownTable } from '../fix/known-table';
import { jsonFormat } from '../json';
import { readPracticeRecord } from '../practice/practice-file';
import { kindOfFile } from './file-kinds';
import { outingsOfTracks } from './outings-of-tracks';
import { asksUnit, looksLikeTable, outingsOfTable, readTable } from './read-csv';
import type { CsvMapping } from './table-heads';
import { readGeoJson } from './read-geojson';
import { readGpx } from './read-gpx';
import type { ReadResult, UnreadFile } from './file-contents';
import { readArchive } from './read-archive';
import { isZip } from './read-zip';
import type { Tracks } from './tracks';

/** How what is open to choice is to be read. */
export interface ReadChoices {
  /** How far the legs may be from a recorded line. */
  readonly toleranceMetres: Metres;
  /** What the columns of a table mean; null as they are recognised. */
  readonly mapping: CsvMapping | null;
  /** What bare distances of a table are in, where its heads don't say; null for not known. */
  readonly distanceUnit?: string | null;
  /** For files that name no day. */
  readonly today: string;
  readonly newId: () => string;
  /** Gets the share that is done, where there are steps. */
  readonly onProgress?: (share: number) => void;
  /** The person's own paces, for a table that counts in paces and doesn't say how long they are. */
  readonly paces?: readonly Entry[];
}

/** A larger file is refused before it is looked at, in bytes; an archive may hold pictures. */
const LARGEST_FILE = 32_000_000;
const LARGEST_ARCHIVE = 300_000_000;

const unread = (faults: readonly FileFault[]): ReadResult => fail({ faults });

/** Reads a file by what it holds; its name is only a hint. All of it is read, or nothing. */
export async function readFile(
  name: string,
  bytes: Uint8Array,
  models: EarthModels | null,
  choices: ReadChoices,
): Promise<ReadResult> {
  const isDocument = isZip(bytes) && kindOfFile(name, bytes) !== null;
  if (bytes.length <= LARGEST_ARCHIVE && isZip(bytes) && !isDocument) {
    return readArchive(bytes, choices.onProgress, (inside, content) =>
      readBytes(inside, content, models, { ...choices, mapping: null }),
    );
  }
  return readBytes(name, bytes, models, choices);
}

/** The same for a file that is no archive. */
function readBytes(
  name: string,
  bytes: Uint8Array,
  models: EarthModels | null,
  choices: ReadChoices,
): ReadResult {
  if (bytes.length > LARGEST_FILE) {
    const message = `A file of more than ${LARGEST_FILE / 1_000_000} MB is not read.`;
    return unread([fileFault(message)]);
  }
  const other = kindOfFile(name, bytes);
  if (other !== null) return unread([fileFault(`${other} ${OUTINGS_ARE}`)]);
  try {
    return readText(name, textOf(bytes), models, choices);
  } catch (error) {
    if (!(error instanceof TypeError)) throw error;
    return unread([fileFault(`This file is not text in UTF-8. ${OUTINGS_ARE}`)]);
  }
}

/** What outings are read from, for anyone who tries another file. */
const OUTINGS_ARE =
  'Outings are read from a log as text, a table (CSV), GPX, GeoJSON, or a logbook or backup of ' +
  'this app.';

/** The text of a file in UTF-8, or in UTF-16 where it says so. Throws TypeError for neither. */
function textOf(bytes: Uint8Array): string {
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe) return decoded('utf-16le', bytes);
  return first === 0xfe && second === 0xff ? decoded('utf-16be', bytes) : decoded('utf-8', bytes);
}

const decoded = (encoding: string, bytes: Uint8Array) =>
  new TextDecoder(encoding, { fatal: true }).decode(bytes);

/** The same for a text that was pasted or scanned. */
export function readText(
  name: string,
  text: string,
  models: EarthModels | null,
  choices: ReadChoices,
): ReadResult {
  const beginning = text.replace(/^\uFEFF/, '').trimStart();
  if (beginning === '') return unread([fileFault('This file is empty.')]);
  const other = kindOfFile(name, beginning);
  if (other !== null) return unread([fileFault(`${other} ${OUTINGS_ARE}`)]);
  if (beginning.startsWith('<')) return readMap('gpx', readGpx(text), models, choices);
  if (/^[{[]/.test(beginning)) {
    return /"format"\s*:\s*"cairn-back/.test(text)
      ? readLogbook(text, models)
      : readMap('geojson', readGeoJson(text), models, choices);
  }
  if (isRouteText(beginning)) return readRoute(text, choices);
  if (looksLikePlaces(beginning)) return readPlaces(text, choices);
  if (/\.csv$/i.test(name) || looksLikeTable(beginning)) return readCsv(text, models, choices);
  return readLogs(text, models, choices);
}

function readRoute(text: string, { newId }: ReadChoices): ReadResult {
  const read = readRouteText(text, newId());
  if (!read.ok) return unread(read.fault);
  return ok({ kind: 'route', outings: [], profiles: [], routes: [read.value], messages: [] });
}

function readPlaces(text: string, { newId }: ReadChoices): ReadResult {
  const read = readKnownTable(text, null, newId);
  if (!read.ok) return unread(read.fault);
  const knownPlaces = read.value;
  return ok({ kind: 'table', outings: [], profiles: [], knownPlaces, messages: [] });
}

/** The logs of a text, all of them or none. */
function readLogs(text: string, models: EarthModels | null, { newId }: ReadChoices): ReadResult {
  const outings: Outing[] = [];
  const faults: FileFault[] = [];
  for (const { log, before } of logsIn(withTitleAsRemark(text))) {
    const read = readLines(log, newId());
    const unread = read.ok ? unsolved(read.value.outing, models) : null;
    const found = read.ok ? (unread ? [locate(read.value, unread)] : []) : read.fault;
    faults.push(...found.map((fault) => ({ ...fault, line: fault.line + before })));
    if (read.ok) outings.push(read.value.outing);
  }
  if (faults.length > 0) return unread(faults);
  return ok({ kind: 'log', outings, profiles: [], messages: [] });
}

const MOST_ABOVE = 10;

/** A page with heads of columns has a title above them: it is a remark of the log. */
function withTitleAsRemark(text: string): string {
  const lines = text.split(/\r\n|\n|\r/);
  const headAt = lines.slice(0, MOST_ABOVE).findIndex((line) => isHeadingLine(line.trim()));
  if (headAt < 1) return text;
  const isTitle = (line: string) => !/^\s*(#|$)/.test(line) && !readLine(line).ok;
  return lines
    .map((line, index) => (index < headAt && isTitle(line) ? `; ${line.trim()}` : line))
    .join('\n');
}

function readLogbook(text: string, models: EarthModels | null): ReadResult {
  const read = jsonFormat.read(text, models);
  if (!read.ok) return unread(read.fault);
  const { outings, paceProfiles: profiles, ...documents } = read.value;
  const { areas, routes, knownPlaces } = documents;
  const { practice, messages } = readPracticeRecord(documents.practice);
  const { device, message } = readDeviceRecord(documents.device);
  const kept = { areas, routes, knownPlaces, practice, device };
  const said = message === undefined ? messages : [...messages, message];
  return ok({ kind: 'logbook', outings, profiles, ...kept, messages: said });
}

/** What a device held beside outings; left out, and said so, where it can't be read. */
function readDeviceRecord(data: unknown): { device?: DeviceRecord; message?: string } {
  if (data === undefined) return {};
  const read = deviceRecordSchema.safeParse(data, IN_ENGLISH);
  if (read.success) return { device: read.data };
  const [issue] = read.error.issues;
  const at = ['device', ...(issue?.path ?? [])].join('.');
  const message = `Settings, counts and pictures are left out: ${at}: ${issue?.message ?? ''}`;
  return { message };
}

function readMap(
  kind: 'gpx' | 'geojson',
  read: Result<Tracks & { readonly skipped?: number }, FileFault[]>,
  models: EarthModels | null,
  { toleranceMetres, today, newId }: ReadChoices,
): ReadResult {
  if (!read.ok) return unread(read.fault);
  const made = outingsOfTracks(read.value, toleranceMetres, today, newId);
  if (!made.ok) return unread(made.fault);
  const messages: string[] = [];
  const outings: Outing[] = [];
  for (const { outing, positions, legs, leftOut } of made.value) {
    messages.push(
      `“${outing.name || 'Line'}”: ${positions} positions become ${legs} legs, none farther ` +
        `than ${toleranceMetres} m from the line.`,
    );
    if (leftOut.length > 0) {
      messages.push(`Left out, since no leg passes near them: ${leftOut.join(', ')}.`);
    }
    const dated = withUsableDate(outing, today, models);
    if (!dated.ok) return dated;
    if (dated.value.message) messages.push(dated.value.message);
    outings.push(dated.value.outing);
  }
  if (read.value.skipped) messages.push(`${read.value.skipped} areas were left out.`);
  return ok({ kind, outings, profiles: [], messages, thinned: true });
}

/** A recorded outing, dated today where the field model doesn't reach back to its day. */
function withUsableDate(
  outing: Outing,
  today: string,
  models: EarthModels | null,
): Result<{ outing: Outing; message?: string }, UnreadFile> {
  const fault = unsolved(outing, models);
  if (!fault) return ok({ outing });
  const day = outing.date?.day;
  const dated = { ...outing, date: { day: today, note: `recorded on ${day}` } };
  if (fault.fault.code !== 'model-out-of-window' || unsolved(dated, models)) {
    return fail({ faults: [{ fault: fault.fault }] });
  }
  const message =
    `“${outing.name || 'Line'}” was recorded on ${day}, which the model of the earth’s field ` +
    'does not reach: today’s declination is used.';
  return ok({ outing: dated, message });
}

const noStartPosition = (name: string) =>
  `“${name || 'Outing'}”: the table gives no position for the start; set it after importing.`;

function readCsv(
  text: string,
  models: EarthModels | null,
  { mapping, distanceUnit, newId, paces = [] }: ReadChoices,
): ReadResult {
  const read = readTable(text);
  if (!read.ok) return unread(read.fault);
  const chosen = mapping ?? read.value.mapping;
  const table = { ...read.value, mapping: chosen, asksUnit: asksUnit(read.value, chosen) };
  const found = outingsOfTable(table, table.mapping, newId, distanceUnit ?? '');
  if (!found.ok) return fail({ faults: found.fault, table });
  const messages: string[] = [];
  const outings: Outing[] = [];
  for (const { outing, rowOfEntry } of found.value) {
    const fault = unsolved(outing, models);
    const paced = { ...outing, entries: [...paces, ...outing.entries] };
    const usesOwnPaces = wantsPace(outing, models) && paces.length > 0 && !unsolved(paced, models);
    if (fault && !usesOwnPaces) {
      const line = 'entry' in fault.at ? rowOfEntry[fault.at.entry] : undefined;
      return fail({ faults: [{ fault: fault.fault, line }], table });
    }
    if (usesOwnPaces) messages.push('The table counts in paces: your own pace is used.');
    outings.push(usesOwnPaces ? paced : outing);
    if (!outing.start.position) messages.push(noStartPosition(outing.name));
  }
  return ok({ kind: 'table', outings, profiles: [], messages, table });
}

/** True for an outing that counts in paces and doesn't say how long they are. */
function wantsPace(outing: Outing, models: EarthModels | null): boolean {
  const solved = solveAsWalked(outing, models);
  if (solved.ok) return solved.value.places.frame.unit === 'pace';
  const { code } = solved.fault.fault;
  return code === 'no-pace' || code === 'metres-beside-paces';
}

/** Why an outing can't be solved; null when it can, or when only the model isn't loaded yet. */
function unsolved(outing: Outing, models: EarthModels | null) {
  if (models === null && needsEarthModels(outing)) return null;
  return unsolvable(outing, models);
}
