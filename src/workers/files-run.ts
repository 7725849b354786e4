import '../core/place/grid-reader-provided';
import '../core/survey/adjusted/provided';
import { isLeg } from '../core/entries/entry';
import { earthModels } from '../core/north/loaded-earth-models';
import { deviceCount } from '../core/model/device-record';
import { recordCount } from '../core/practice/record';
import { fail } from '../core/units/result';
import { fileFault } from '../formats/format';
import {
  readFile,
  readText,
  type FileContents,
  type ReadChoices,
} from '../formats/import/read-file';
import type { CairnDatabase } from '../store/database';
import { importCandidates, importOutings, type ImportCandidate } from '../store/import';
import { storeFault } from '../store/store-fault';
import {
  tableHead,
  type FileAnswer,
  type FileJob,
  type FilesWorker,
  type OfferedOuting,
  type OnProgress,
} from './files-protocol';

const newId = () => crypto.randomUUID();

/** Reads files and imports them: what the worker does, and what tests run without one. */
export class FilesRun implements FilesWorker {
  /** What was read last, for the import. */
  private contents: FileContents | null = null;

  constructor(private readonly database: CairnDatabase) {}

  async read(job: FileJob, onProgress: OnProgress): Promise<FileAnswer> {
    this.contents = null;
    const told = inSteps(onProgress);
    const read = await readJob(job, (share) => told(share / 2));
    if (!read.ok) {
      const { faults, table } = read.fault;
      return { kind: 'unread', faults, ...(table && { table: tableHead(table) }) };
    }
    try {
      const {
        outings,
        kind,
        messages,
        profiles,
        areas = [],
        routes = [],
        knownPlaces = [],
        practice,
        device,
        table,
        thinned,
      } = read.value;
      const step = (share: number) => told(0.5 + share / 2);
      const candidates = await importCandidates(this.database, outings, step);
      this.contents = read.value;
      const summary = {
        kind,
        messages,
        thinned,
        outings: candidates.map(offeredOuting),
        profiles: profiles.length,
        areas: areas.length,
        routes: routes.length,
        knownPlaces: knownPlaces.length,
        practice: practice ? recordCount(practice) : 0,
        device: device ? deviceCount(device) : 0,
        ...(table && { table: tableHead(table) }),
      };
      return { kind: 'read', summary };
    } catch (error) {
      return { kind: 'store-fault', fault: storeFault(error) };
    }
  }

  async import(
    choices: Parameters<FilesWorker['import']>[0],
    onProgress: OnProgress,
  ): ReturnType<FilesWorker['import']> {
    if (!this.contents) throw new Error('nothing was read that could be imported');
    const { outings, profiles, ...documents } = this.contents;
    const { areas, routes, knownPlaces, practice, device, pixels } = documents;
    const choose = (_outing: unknown, index: number) => choices[index] ?? 'keep-both';
    try {
      const result = await importOutings(this.database, outings, profiles, choose, {
        now: new Date(),
        newId,
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

/** Reads it; a reader that throws is told as a fault of the file. */
async function readJob(job: FileJob, onProgress: OnProgress) {
  const { name, content, ...rest } = job;
  const choices: ReadChoices = { ...rest, newId, onProgress };
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
