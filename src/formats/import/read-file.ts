import type { Entry } from '../../core/entries/entry';
import { locate, readLines } from '../../core/log-text/read-log';
import { isRouteText, readRouteText } from '../../core/log-text/route/route-text';
import type { Area } from '../../core/model/area';
import { deviceRecordSchema, type DeviceRecord } from '../../core/model/device-record';
import type { KnownPlace } from '../../core/model/known-place';
import type { Outing } from '../../core/model/outing';
import type { PaceProfile } from '../../core/model/pace-profile';
import type { Route } from '../../core/model/route';
import type { PracticeRecord } from '../../core/practice/record';
import type { EarthModels } from '../../core/north/earth-models';
import { needsEarthModels } from '../../core/north/outing-norths';
import { solve } from '../../core/survey/solve';
import { fail, ok, type Result } from '../../core/units/result';
import type { Metres } from '../../core/units/units';
import { fileFault, type FileFault } from '../format';
import { jsonFormat } from '../json';
import { readPracticeRecord } from '../practice/practice-file';
import { WHOLE_LOGBOOK } from '../zip';
import { outingsOfTracks } from './outings-of-tracks';
import { asksUnit, looksLikeTable, outingsOfTable, readTable, type CsvTable } from './read-csv';
import type { CsvMapping } from './table-heads';
import { readGeoJson } from './read-geojson';
import { readGpx } from './read-gpx';
import { isZip, readZip, type ZippedFile } from './read-zip';
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
  /** Told the share that is done, where there are steps. */
  readonly onProgress?: (share: number) => void;
  /** The person's own paces, for a table that counts in paces and doesn't say how long they are. */
  readonly paces?: readonly Entry[];
}

/** What a file holds, before anything of it is stored. */
export interface FileContents {
  readonly kind: 'log' | 'logbook' | 'route' | 'table' | 'gpx' | 'geojson' | 'archive';
  readonly outings: readonly Outing[];
  readonly profiles: readonly PaceProfile[];
  readonly areas?: readonly Area[];
  readonly routes?: readonly Route[];
  readonly knownPlaces?: readonly KnownPlace[];
  readonly practice?: PracticeRecord;
  readonly device?: DeviceRecord;
  /** Pixels of pictures, by their names in the archive. */
  readonly pixels?: ReadonlyMap<string, Uint8Array>;
  /** What was changed and what was left out, as sentences. */
  readonly messages: readonly string[];
  /** The table, so that its columns can be given another meaning. */
  readonly table?: CsvTable;
  /** True when the tolerance changes the result. */
  readonly thinned?: boolean;
}

/** A file that can't be read; a table whose columns aren't known can be shown and mapped. */
export interface UnreadFile {
  readonly faults: readonly FileFault[];
  readonly table?: CsvTable;
}

type ReadResult = Result<FileContents, UnreadFile>;

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
  if (bytes.length <= LARGEST_ARCHIVE && isZip(bytes)) return readArchive(bytes, models, choices);
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
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return unread([fileFault('This file is not text in UTF-8.')]);
  }
  return readText(name, text, models, choices);
}

/** The same for a text that was pasted or scanned. */
export function readText(
  name: string,
  text: string,
  models: EarthModels | null,
  choices: ReadChoices,
): ReadResult {
  const beginning = text.replace(/^\uFEFF/, '').trimStart();
  if (beginning === '') return unread([fileFault('This file is empty.')]);
  if (beginning.startsWith('<')) return readMap('gpx', readGpx(text), models, choices);
  if (/^[{[]/.test(beginning)) {
    return /"format"\s*:\s*"cairn-back/.test(text)
      ? readLogbook(text, models)
      : readMap('geojson', readGeoJson(text), models, choices);
  }
  if (isRouteText(beginning)) return readRoute(text, choices);
  if (/\.csv$/i.test(name) || looksLikeTable(beginning)) return readCsv(text, models, choices);
  return readLogText(text, models, choices);
}

function readRoute(text: string, { newId }: ReadChoices): ReadResult {
  const read = readRouteText(text, newId());
  if (!read.ok) return unread(read.fault);
  return ok({ kind: 'route', outings: [], profiles: [], routes: [read.value], messages: [] });
}

function readLogText(text: string, models: EarthModels | null, { newId }: ReadChoices): ReadResult {
  const read = readLines(text, newId());
  if (!read.ok) return unread(read.fault);
  const fault = unsolved(read.value.outing, models);
  if (fault) return unread([locate(read.value, fault)]);
  return ok({ kind: 'log', outings: [read.value.outing], profiles: [], messages: [] });
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
  const read = deviceRecordSchema.safeParse(data);
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
  const solved = solve(outing, models);
  if (solved.ok) return solved.value.places.frame.unit === 'pace';
  const { code } = solved.fault.fault;
  return code === 'no-pace' || code === 'metres-beside-paces';
}

/** Why an outing can't be solved; null when it can, or when only the model isn't loaded yet. */
function unsolved(outing: Outing, models: EarthModels | null) {
  const solved = solve(outing, models);
  if (solved.ok || (models === null && needsEarthModels(outing))) return null;
  return solved.fault;
}

/** The endings of files that are read from an archive. */
const READABLE = /\.(json|geojson|gpx|csv|txt|log)$/i;
/** Pixels of pictures in the archive of a backup. */
const PIXELS = /(^|\/)pictures\/[\w-]+$/;

/**
 * The logbook of an archive of our own, also where it was unpacked and packed again in a folder;
 * null for another archive. The names of files beside it are given without that folder.
 */
function wholeLogbookIn(
  files: readonly ZippedFile[],
): { logbook: ZippedFile; folder: string } | null {
  const [logbook, second] = files.filter(
    ({ name }) => name === WHOLE_LOGBOOK || name.endsWith(`/${WHOLE_LOGBOOK}`),
  );
  if (!logbook || second) return null;
  return { logbook, folder: logbook.name.slice(0, -WHOLE_LOGBOOK.length) };
}

/** An archive: its logbook, or else every readable file in it; one that fails fails the whole. */
async function readArchive(
  bytes: Uint8Array,
  models: EarthModels | null,
  choices: ReadChoices,
): Promise<ReadResult> {
  const isWanted = (name: string) => READABLE.test(name) || PIXELS.test(name);
  const unzipped = await readZip(bytes, isWanted, (name) => PIXELS.test(name));
  if (!unzipped.ok) return unread(unzipped.fault);
  const { passedOver } = unzipped.value;
  const whole = wholeLogbookIn(unzipped.value.files);
  const files = unzipped.value.files.filter(({ name, bytes: { length } }) => {
    // An empty file says nothing that could be wrong.
    if (length === 0) passedOver.push(name);
    return length > 0 && READABLE.test(name);
  });
  const wanted = whole ? [whole.logbook] : files;
  if (wanted.length === 0) return unread([fileFault('No file in this archive can be read.')]);
  const outings: Outing[] = [];
  const profiles: PaceProfile[] = [];
  const areas: Area[] = [];
  const routes: Route[] = [];
  const knownPlaces: KnownPlace[] = [];
  let practice: PracticeRecord | undefined;
  let device: DeviceRecord | undefined;
  const messages: string[] = [];
  for (const [index, { name, bytes: content }] of wanted.entries()) {
    choices.onProgress?.(index / wanted.length);
    const read = isZip(content)
      ? unread([fileFault('An archive in an archive is not read.')])
      : readBytes(name, content, models, { ...choices, mapping: null });
    if (!read.ok) return unread(read.fault.faults.map((fault) => inFile(name, fault)));
    outings.push(...read.value.outings);
    profiles.push(...read.value.profiles);
    areas.push(...(read.value.areas ?? []));
    routes.push(...(read.value.routes ?? []));
    knownPlaces.push(...(read.value.knownPlaces ?? []));
    practice ??= read.value.practice;
    device ??= read.value.device;
    messages.push(...read.value.messages.map((message) => `${name}: ${message}`));
  }
  if (!whole && passedOver.length > 0) messages.push(passedOverWords(passedOver));
  const pixels = new Map(
    unzipped.value.files.flatMap(({ name, bytes: content }) =>
      whole && PIXELS.test(name) ? [[name.slice(whole.folder.length), content] as const] : [],
    ),
  );
  const documents = { areas, routes, knownPlaces, practice, device, pixels };
  return ok({ kind: 'archive', outings, profiles, ...documents, messages });
}

/** How many names are told in full. */
const MOST_NAMED = 8;

function passedOverWords(names: readonly string[]): string {
  const more = names.length - MOST_NAMED;
  const shown = names.slice(0, MOST_NAMED).join(', ');
  return `Passed over in the archive: ${shown}${more > 0 ? ` and ${more} more` : ''}.`;
}

const inFile = (name: string, fault: FileFault): FileFault => ({
  ...fault,
  path: `${name} ${fault.path ?? ''}`.trim(),
});
