import { isLeg } from '../core/entries/entry';
import { earthModels } from '../core/north/loaded-earth-models';
import { deviceCount } from '../core/model/device-record';
import type { Outing } from '../core/model/outing';
import { recordCount } from '../core/practice/record';
import { fail } from '../core/units/result';
import { fileFault } from '../formats/format';
import { mergedContents, type NamedContents } from '../formats/import/merged';
import type { FileContents, ReadResult } from '../formats/import/file-contents';
import { readFile, readText, type ReadChoices } from '../formats/import/read-file';
import type { CairnDatabase } from '../store/database';
import { importCandidates, importOutings, type ImportCandidate } from '../store/import';
import { isSameButId, Recognition } from '../store/recognised';
import { storeFault } from '../store/store-fault';
import {
  tableHead,
  type FileAnswer,
  type FileJob,
  type FilesWorker,
  type OfferedOuting,
  type OfferedTable,
  type OnProgress,
  type UnreadNamed,
} from './files-protocol';
import { nth } from '../core/units/nth';

const newId = () => crypto.randomUUID();

/** What the files of a job hold, and those of them that can't be read. */
interface ReadFiles {
  readonly contents: FileContents;
  readonly unread: readonly UnreadNamed[];
  readonly tables: readonly OfferedTable[];
}

/** Reads files and imports them: what the worker does, and what tests run without one. */
export class FilesRun implements FilesWorker {
  /** What was read last, for the import. */
  private last: { contents: FileContents; candidates: readonly ImportCandidate[] } | null = null;

  constructor(private readonly database: CairnDatabase) {}

  async read(job: FileJob, onProgress: OnProgress): Promise<FileAnswer> {
    this.last = null;
    const report = inSteps(onProgress);
    const { contents, unread, tables } = await readFiles(job, (share) => report(share / 2));
    try {
      const step = (share: number) => report(0.5 + share / 2);
      const candidates = await importCandidates(this.database, contents.outings, step);
      this.last = unread.length < job.files.length ? { contents, candidates } : null;
      const { areas = [], routes = [], knownPlaces = [], practice, device } = contents;
      const summary = {
        messages: contents.messages,
        thinned: contents.thinned,
        outings: candidates.map(offeredOuting),
        profiles: contents.profiles.length,
        areas: areas.length,
        routes: routes.length,
        knownPlaces: knownPlaces.length,
        practice: practice ? recordCount(practice) : 0,
        device: device ? deviceCount(device) : 0,
      };
      return { kind: 'read', summary, unread, tables };
    } catch (error) {
      return { kind: 'store-fault', fault: storeFault(error) };
    }
  }

  async import(
    choices: Parameters<FilesWorker['import']>[0],
    onProgress: OnProgress,
  ): ReturnType<FilesWorker['import']> {
    if (!this.last) throw new Error('nothing was read that could be imported');
    const { outings, profiles, ...documents } = this.last.contents;
    const { areas, routes, knownPlaces, practice, device, pixels } = documents;
    const choose = (_outing: unknown, index: number) => choices[index] ?? 'keep-both';
    try {
      const result = await importOutings(this.database, outings, profiles, choose, {
        now: new Date(),
        newId,
        there: this.last.candidates.map(({ there }) => there),
        areas,
        routes,
        knownPlaces,
        practice,
        device,
        pixels,
        onProgress: inSteps(onProgress),
      });
      return { kind: 'imported', result, profiles: profiles.length };
    } catch (error) {
      return { kind: 'store-fault', fault: storeFault(error) };
    }
  }
}

/** Reads all files of a job; what can't be read of them is reported beside the rest. */
async function readFiles(job: FileJob, onProgress: OnProgress): Promise<ReadFiles> {
  const unread: UnreadNamed[] = [];
  const tables: OfferedTable[] = [];
  const found: NamedContents[] = [];
  for (const [file, { name }] of job.files.entries()) {
    const read = await readOne(job, file, (share) => onProgress((file + share) / job.files.length));
    const table = read.ok ? read.value.table : read.fault.table;
    if (table) tables.push({ file, name, table: tableHead(table) });
    if (read.ok) found.push({ name, contents: withoutTwins(name, read.value, found) });
    else unread.push({ file, name, faults: read.fault.faults });
  }
  return { contents: mergedContents(found, 'archive'), unread, tables };
}

/** The contents without outings that a file before holds as well: dropped twice, they are one. */
function withoutTwins(
  name: string,
  contents: FileContents,
  before: readonly NamedContents[],
): FileContents {
  const recognition = new Recognition(before.flatMap((other) => other.contents.outings));
  const isTwin = (outing: Outing) => {
    const other = recognition.find(outing);
    return other !== null && isSameButId(other, outing);
  };
  const outings = contents.outings.filter((outing) => !isTwin(outing));
  const twins = contents.outings.length - outings.length;
  if (twins === 0) return contents;
  const message = `${twins} of the outings in ${name} are in the files before it as well.`;
  return { ...contents, outings, messages: [...contents.messages, message] };
}

/** Reads a file; a reader that throws is reported as a fault of the file. */
async function readOne(job: FileJob, file: number, onProgress: OnProgress): Promise<ReadResult> {
  const { name, content, mapping, distanceUnit } = nth(job.files, file);
  const { toleranceMetres, today, paces } = job;
  const choices: ReadChoices = {
    ...{ toleranceMetres, today, paces, mapping, distanceUnit },
    newId,
    onProgress,
  };
  try {
    return typeof content === 'string'
      ? readText(name, content, earthModels, choices)
      : await readFile(name, content, earthModels, choices);
  } catch (error) {
    console.error('A reader failed:', error);
    const message = 'This file is built in a way that can’t be read.';
    return fail({ faults: [fileFault(message)], table: undefined });
  }
}

const offeredOuting = ({ outing, conflict }: ImportCandidate): OfferedOuting => ({
  name: outing.name,
  by: outing.by,
  day: outing.date?.day,
  legs: outing.entries.filter(isLeg).length,
  conflict,
});

/** Tells progress a hundred times at most: ten thousand messages would outlast the work. */
function inSteps(onProgress: OnProgress): OnProgress {
  let last = -1;
  return (share) => {
    const step = Math.floor(share * 100);
    if (step <= last) return;
    last = step;
    onProgress(share);
  };
}
