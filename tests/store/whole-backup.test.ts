import 'fake-indexeddb/auto';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import type { Attempt } from '@/core/practice/attempt';
import { jsonFormat } from '@/formats/json';
import { WHOLE_LOGBOOK } from '@/formats/zip';
import { backupState, IN_BACKUP, markBackup, progressOf, wholeBackup } from '@/store/backup';
import type { CairnDatabase } from '@/store/database';
import { areaLogs } from '@/store/documents/areas';
import { routeLogs } from '@/store/documents/routes';
import { placeLogs, putKnownPlace } from '@/store/known/known-places';
import { keepChoice } from '@/store/keep-choice';
import { addOuting } from '@/store/outings';
import { addPicture, changePicture, mapPictures, pictureFile } from '@/store/pictures/pictures';
import { keepAttempt, keepCourse, keepResults } from '@/store/practice/practice';
import { blankArea } from '@/core/model/area';
import { FilesRun } from '@/workers/files-run';
import { fileJob } from '../support/file-job';
import { closeAfterEach, NOW, openDatabase, outingsIn, outingWithId } from '../support/databases';
import { ROUTE_TEXT, routeOf } from '../support/route/demo-route';

closeAfterEach();

const attempt: Attempt = {
  id: 'try',
  exercise: 'mils',
  seed: 3,
  at: '2026-08-01T08:00:00.000Z',
  stage: 'test',
  isRight: true,
  slips: [],
  seconds: 4,
};
const picture = {
  id: 'map',
  name: 'Sheet 7',
  addedAt: NOW.toISOString(),
  width: 40,
  height: 30,
  bytes: 3,
  controls: [{ x: 3, y: 4, position: { latitude: 54.2, longitude: -63.5 }, label: 'Dock' }],
};
const pixels = (bytes: number[]) => new Blob([Uint8Array.from(bytes)], { type: 'image/png' });

type Backed = { [Name in keyof typeof IN_BACKUP]: (typeof IN_BACKUP)[Name] };
/** How something gets into each table: one that is new here does not compile without its own. */
const FILL: Readonly<Record<keyof Backed, (database: CairnDatabase) => Promise<unknown>>> = {
  changes: (database) => addOuting(database, outingWithId('one'), NOW),
  profiles: (database) =>
    database.profiles.put({
      id: 'p',
      name: 'Mine',
      calibrations: [
        {
          id: 'c',
          at: NOW.toISOString(),
          course: { value: 100, unit: 'metres' },
          counted: 'paces',
          counts: [65],
        },
      ],
    }),
  areas: (database) => areaLogs.add(database, blankArea('area', 'Plateau', ['one']), NOW),
  routes: (database) => routeLogs.add(database, routeOf(ROUTE_TEXT), NOW),
  places: (database) =>
    putKnownPlace(
      database,
      { id: 'k', name: 'Knoll', positions: [{ latitude: 54.2, longitude: -63.5 }] },
      NOW,
    ),
  attempts: (database) => keepAttempt(database, attempt),
  courses: (database) =>
    keepCourse(database, { id: 'c', name: 'Evening', items: [{ exercise: 'mils', seed: 3 }] }),
  courseResults: (database) =>
    keepResults(database, { course: 'c', name: 'Evening', who: 'Ines', attempts: [attempt] }),
  blindWalks: (database) =>
    database.blindWalks.put({
      outing: 'one',
      country: 1,
      seed: 2,
      start: { east: 0, north: 0 },
      startName: 'Dock',
      legs: [],
      isOver: false,
    }),
  pictures: (database) =>
    addPicture(database, picture, { blob: pixels([1, 2, 3]), thumbnail: pixels([4]) }),
  pictureFiles: () => Promise.resolve(),
  counts: (database) =>
    database.counts.put({
      count: 'one',
      number: 0,
      at: NOW.toISOString(),
      line: { kind: 'paces', by: 10 },
    }),
  kept: (database) =>
    keepChoice('cairn-units', '{"lengths":"feet"}', () => Promise.resolve(database.kept)),
  snapshots: () => Promise.resolve(),
  copies: (database) =>
    database.copies.put({ day: '2026-08-14', at: NOW.toISOString(), outings: 1, text: '{}' }),
  marks: () => Promise.resolve(),
  heightSheets: () => Promise.resolve(),
  heightTiles: () => Promise.resolve(),
  knownPlaces: () => Promise.resolve(),
};

async function filled(): Promise<CairnDatabase> {
  const database = openDatabase();
  for (const fill of Object.values(FILL)) await fill(database);
  return database;
}

/** The archive that Files gives away, as a person may pack it again. */
async function archived(database: CairnDatabase, folder = ''): Promise<Uint8Array> {
  const { logbook, files } = await wholeBackup(database, NOW, true);
  const text = jsonFormat.write(logbook, null);
  if (!text.ok) throw new Error('a logbook can be written');
  const packed: Record<string, Uint8Array> = { [folder + WHOLE_LOGBOOK]: strToU8(text.value) };
  for (const [name, blob] of files) {
    packed[folder + name] = new Uint8Array(await blob.arrayBuffer());
  }
  return zipSync(packed);
}

async function restored(archive: Uint8Array): Promise<CairnDatabase> {
  const database = openDatabase();
  const run = new FilesRun(database);
  const read = await run.read(fileJob('backup.zip', archive), () => undefined);
  if (read.kind !== 'read') throw new Error(JSON.stringify(read));
  expect(read.summary.outings).toHaveLength(1);
  const done = await run.import([], () => undefined);
  expect(done.kind).toBe('imported');
  return database;
}

/** What a person would compare: documents, and records as they are. */
async function contents(database: CairnDatabase) {
  const documents = [areaLogs, routeLogs, placeLogs] as const;
  return {
    outings: [...(await outingsIn(database)).values()],
    documents: await Promise.all(
      documents.map(async (logs) => (await logs.all(database)).map(({ document }) => document)),
    ),
    profiles: await database.profiles.toArray(),
    practice: [
      await database.attempts.toArray(),
      await database.courses.toArray(),
      await database.courseResults.toArray(),
      await database.blindWalks.toArray(),
    ],
    pictures: await mapPictures(database),
    counts: await database.counts.toArray(),
    kept: await database.kept.toArray(),
    pixels: await Promise.all(
      (await mapPictures(database)).map(async ({ id }) => {
        const file = await pictureFile(database, id);
        return file && [...new Uint8Array(await file.blob.arrayBuffer())];
      }),
    ),
  };
}

describe('everything that is backed up', () => {
  it('is every table by the list of the schema, or says why not', async () => {
    const database = await filled();
    expect(database.tables.map(({ name }) => name).sort()).toEqual(Object.keys(IN_BACKUP).sort());
    for (const [name, place] of Object.entries(IN_BACKUP)) {
      if (typeof place === 'object') continue;
      expect([name, await database.table(name).count()]).toEqual([name, 1]);
    }
  });

  it('comes back into an empty browser as it was', async () => {
    const database = await filled();
    const back = await restored(await archived(database));
    const [before, after] = [await contents(database), await contents(back)];
    expect(after).toEqual(before);
    expect(after.pixels).toEqual([[1, 2, 3]]);
    // Once more changes nothing.
    const run = new FilesRun(back);
    await run.read(fileJob('b.zip', await archived(database)), () => undefined);
    await run.import(['skip'], () => undefined);
    expect(await contents(back)).toEqual(after);
  });

  it('is the same from an archive that was unpacked and packed again in a folder', async () => {
    const database = await filled();
    const back = await restored(await archived(database, 'cairn-back 2026-08-14/'));
    expect(await contents(back)).toEqual(await contents(database));
  });

  it('is without pixels what positions the pictures all the same', async () => {
    const database = await filled();
    const { logbook, files } = await wholeBackup(database, NOW, false);
    expect(files.size).toBe(0);
    expect(logbook.device).toMatchObject({ pictures: [picture], pixels: [] });
  });
});

describe('what is said of changes since a backup', () => {
  it.each([
    ['a route', (database: CairnDatabase) => FILL.routes(database)],
    ['a known place', (database: CairnDatabase) => FILL.places(database)],
    ['an area', (database: CairnDatabase) => FILL.areas(database)],
    ['practice', (database: CairnDatabase) => FILL.attempts(database)],
    ['a count', (database: CairnDatabase) => FILL.counts(database)],
    ['units', (database: CairnDatabase) => FILL.kept(database)],
    ['a picture', (database: CairnDatabase) => FILL.pictures(database)],
  ])('%s counts', async (_what, change) => {
    const database = openDatabase();
    await addOuting(database, outingWithId('first'), NOW);
    await markBackup(database, NOW, await progressOf(database));
    expect(await backupState(database, NOW)).toMatchObject({ changesSince: 0 });
    await change(database);
    expect(await backupState(database, NOW)).toMatchObject({ changesSince: 1 });
  });

  it('the position of a picture counts, which is changed in its place', async () => {
    const database = await filled();
    await markBackup(database, NOW, await progressOf(database));
    await changePicture(database, 'map', (before) => ({ ...before, controls: [] }));
    expect(await backupState(database, NOW)).toMatchObject({ changesSince: 1 });
  });
});
