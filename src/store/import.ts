import equal from 'fast-deep-equal';
import { insertion, type Operation } from '../core/edit/operations';
import { headerOf, outingSchema, type Outing } from '../core/model/outing';
import type { PaceProfile } from '../core/model/pace-profile';
import type { PracticeRecord } from '../core/practice/record';
import type { Change } from './change';
import type { CairnDatabase } from './database';
import { areaSchema, type Area, type AreaStation } from '../core/model/area';
import type { DeviceRecord } from '../core/model/device-record';
import { deviceTables, mergeDevice, storedPixels } from './device-record';
import { areaLogs } from './documents/areas';
import { routeLogs } from './documents/routes';
import { routeSchema, type Route } from '../core/model/route';
import { knownPlaceSchema, type KnownPlace } from '../core/model/known-place';
import { mergeKnownPlaces } from './known/known-places';
import { replayed } from './outings';
import { mergePractice, practiceTables } from './practice/record';
import { Recognition } from './recognised';
import type { OutingState } from './replay';
import { listedOutings } from './snapshots/listed';

/** An area whose outings have other ids here. */
function withIds(area: Area, renamed: ReadonlyMap<string, string>): Area {
  const here = (id: string) => renamed.get(id) ?? id;
  const group = ({ stations, ...rest }: { stations: AreaStation[] }) => ({
    ...rest,
    stations: stations.map((each) => ({ ...each, outing: here(each.outing) })),
  });
  return {
    ...area,
    outings: area.outings.map(here),
    same: area.same.map(group),
    apart: area.apart.map(group),
    ...(area.known && {
      known: area.known.map((each) => ({ ...each, outing: here(each.outing) })),
    }),
  };
}

/** What to do with an outing whose id exists already with different contents. */
export type ConflictChoice = 'keep-both' | 'replace' | 'skip';

/** An outing to be imported, and what is there already. */
export interface ImportCandidate {
  readonly outing: Outing;
  /** The id of the outing that it is, here; null for none. */
  readonly there: string | null;
  /** Nothing; the same; different contents; a deleted outing; a damaged one. */
  readonly conflict: 'nothing' | 'same' | 'other' | 'discarded' | 'damaged';
}

/** What was imported, in outings. */
export interface ImportResult {
  readonly added: number;
  readonly replaced: number;
  readonly skipped: number;
  /** Ids of those that exist now. */
  readonly ids: readonly string[];
  /** Areas and routes that were added. */
  readonly areas: readonly string[];
  readonly routes: readonly string[];
  /** Records of the trainer that were added. */
  readonly practice: number;
  /** Pictures, counts and choices that were added. */
  readonly device: number;
}

async function conflictOf(
  database: CairnDatabase,
  outing: Outing,
): Promise<ImportCandidate['conflict']> {
  const there = await replayed(database, outing.id);
  if (!there) return 'nothing';
  if (there.damage || !there.state) return 'damaged';
  if (there.state.discarded) return 'discarded';
  return equal(there.state.document, outing) ? 'same' : 'other';
}

/**
 * What is there already for each outing: by its id, or where a text has none, by its start, its day
 * and its legs. Nothing is written.
 */
export async function importCandidates(
  database: CairnDatabase,
  outings: readonly Outing[],
  onProgress: (share: number) => void = () => undefined,
): Promise<ImportCandidate[]> {
  const stored = await storedIds(database);
  const recognition = outings.every(({ id }) => stored.has(id))
    ? null
    : new Recognition((await listedOutings(database)).outings.map(({ state }) => state.document));
  const found: ImportCandidate[] = [];
  for (const [index, outing] of outings.entries()) {
    onProgress(index / outings.length);
    const there = stored.has(outing.id) ? outing.id : (recognition?.find(outing)?.id ?? null);
    const conflict =
      there === null ? 'nothing' : await conflictOf(database, { ...outing, id: there });
    found.push({ outing, there, conflict });
  }
  return found;
}

/** The ids of all outings that have a change log, deleted ones as well. */
async function storedIds(database: CairnDatabase): Promise<Set<string>> {
  const keys = await database.changes.toCollection().primaryKeys();
  return new Set(keys.map(([outing]) => outing));
}

/** The operations that make one outing equal another; they can be undone like any other edit. */
function rewriting(from: Outing, to: Outing): Operation[] {
  const operations: Operation[] = [];
  const [before, after] = [headerOf(from), headerOf(to)];
  if (!equal(before, after)) operations.push({ op: 'header', before, after });
  if (equal(from.entries, to.entries)) return operations;
  if (from.entries.length > 0) operations.push({ op: 'remove', index: 0, entries: from.entries });
  if (to.entries.length > 0) operations.push(insertion(0, to.entries));
  return operations;
}

export interface ImportOptions {
  /** For each outing the id of the one here that it is; without one, its own. */
  readonly there?: readonly (string | null)[];
  readonly now: Date;
  readonly newId: () => string;
  readonly areas?: readonly Area[];
  readonly knownPlaces?: readonly KnownPlace[];
  readonly routes?: readonly Route[];
  readonly practice?: PracticeRecord;
  readonly device?: DeviceRecord;
  /** The pixels of pictures, by their names in the archive. */
  readonly pixels?: ReadonlyMap<string, Uint8Array>;
  /** Gets the share of the outings that is written. */
  readonly onProgress?: (share: number) => void;
}

/** Writes outings one after another inside a transaction, and counts what it did. */
class Importer {
  added = 0;
  replaced = 0;
  skipped = 0;
  /** Those that exist now, in the order of the file. */
  readonly ids = new Set<string>();
  /** What an outing of the file is called here, where it had to have another id. */
  readonly renamed = new Map<string, string>();

  constructor(
    private readonly database: CairnDatabase,
    private readonly at: string,
    private readonly newId: () => string,
    /** Ids that had a change log before. */
    private readonly before: ReadonlySet<string>,
  ) {}

  /** What an outing of the file is called here; null where it was not taken. */
  readonly idHere = (id: string): string | null =>
    this.renamed.get(id) ?? (this.ids.has(id) ? id : null);

  private write(outing: string, number: number, change: Change) {
    return this.database.changes.add({ outing, number, at: this.at, change });
  }

  private async add(outing: Outing): Promise<void> {
    await this.write(outing.id, 0, { kind: 'create', outing });
    this.added++;
    this.ids.add(outing.id);
  }

  /** Takes an outing of the file; `id` is that of the one here that it is. */
  async take(outing: Outing, choose: () => ConflictChoice, id = outing.id): Promise<void> {
    const isKnown = this.before.has(id) || this.ids.has(id);
    const there = isKnown ? await replayed(this.database, id) : null;
    if (!there) return this.add(outing);
    const { state, damage } = there;
    // A damaged change log can't be written on: the imported outing is added beside it.
    if (!state || damage) return this.addCopy(outing);
    const here = { ...outing, id };
    if (equal(state.document, here) && !state.discarded) {
      this.skipped++;
      return this.found(outing, id);
    }
    if (this.ids.has(id)) return this.addCopy(outing);
    switch (choose()) {
      case 'skip':
        this.skipped++;
        return;
      case 'keep-both':
        return this.addCopy(outing);
      case 'replace':
        this.found(outing, id);
        return this.replace(state, here);
    }
  }

  /** Notes the outing here that one of the file is. */
  private found(outing: Outing, id: string): void {
    this.ids.add(id);
    if (id !== outing.id) this.renamed.set(outing.id, id);
  }

  private addCopy(outing: Outing): Promise<void> {
    const id = this.newId();
    this.renamed.set(outing.id, id);
    return this.add({ ...outing, id });
  }

  private async replace(state: OutingState, outing: Outing): Promise<void> {
    let { number } = state;
    if (state.discarded) await this.write(outing.id, ++number, { kind: 'recover' });
    const operations = rewriting(state.document, outing);
    if (operations.length > 0) {
      await this.write(outing.id, ++number, { kind: 'edit', operations });
    }
    this.replaced++;
  }
}

/** What a file holds beside outings, checked. */
function checkedDocuments({ areas = [], knownPlaces = [], routes = [] }: ImportOptions) {
  return {
    areas: areas.map((area) => areaSchema.parse(area)),
    routes: routes.map((route) => routeSchema.parse(route)),
    knownPlaces: knownPlaces.map((place) => knownPlaceSchema.parse(place) as KnownPlace),
  };
}

/** Writes documents inside the transaction of an import; resolves to the ids of those added. */
async function addDocuments(
  database: CairnDatabase,
  { areas, routes, knownPlaces }: ReturnType<typeof checkedDocuments>,
  renamed: ReadonlyMap<string, string>,
  { now, newId }: ImportOptions,
): Promise<Pick<ImportResult, 'areas' | 'routes'>> {
  const added = { areas: [] as string[], routes: [] as string[] };
  await mergeKnownPlaces(database, knownPlaces, now, newId);
  for (const area of areas) {
    const id = await areaLogs.import(database, withIds(area, renamed), now, newId);
    if (id !== null) added.areas.push(id);
  }
  for (const route of routes) {
    const id = await routeLogs.import(database, route, now, newId);
    if (id !== null) added.routes.push(id);
  }
  return added;
}

/**
 * Imports outings, profiles, areas, routes, known places, what the trainer keeps and what a device
 * holds beside them: all of it or, when anything fails, none. Durable when the promise resolves.
 * Two outings of one id in the same file are kept as two. Profiles are merged: a calibration that
 * exists stays as it is.
 */
export async function importOutings(
  database: CairnDatabase,
  outings: readonly Outing[],
  profiles: readonly PaceProfile[],
  choose: (outing: Outing, index: number) => ConflictChoice,
  options: ImportOptions,
): Promise<ImportResult> {
  const { now, newId, practice, device, pixels = new Map(), onProgress, there = [] } = options;
  const checked = outings.map((outing) => outingSchema.parse(outing));
  const documents = checkedDocuments(options);
  const stored = device && (await storedPixels(device, pixels));
  const tables = [
    database.changes,
    database.profiles,
    database.areas,
    database.routes,
    database.places,
    ...practiceTables(database),
    ...deviceTables(database),
  ];
  return database.transaction('rw', tables, async () => {
    const before = await storedIds(database);
    const importer = new Importer(database, now.toISOString(), newId, before);
    for (const [index, outing] of checked.entries()) {
      onProgress?.(index / checked.length);
      await importer.take(outing, () => choose(outing, index), there[index] ?? outing.id);
    }
    const { added, replaced, skipped, ids, renamed, idHere } = importer;
    for (const profile of profiles) await mergeProfile(database, profile);
    const kept = await addDocuments(database, documents, renamed, options);
    return {
      ...{ added, replaced, skipped, ids: [...ids], ...kept },
      practice: practice ? await mergePractice(database, practice, idHere) : 0,
      device: device && stored ? await mergeDevice(database, device, stored, idHere) : 0,
    };
  });
}

async function mergeProfile(database: CairnDatabase, profile: PaceProfile): Promise<void> {
  const there = await database.profiles.get(profile.id);
  const known = new Set(there?.calibrations.map(({ id }) => id));
  const fresh = profile.calibrations.filter(({ id }) => !known.has(id));
  const calibrations = [...(there?.calibrations ?? []), ...fresh];
  await database.profiles.put({ ...profile, ...there, calibrations });
}
