import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { wholeLogbook } from '@/store/backup';
import { documentActions } from '@/store/documents/document-log';
import { routeLogs } from '@/store/documents/routes';
import { importOutings } from '@/store/import';
import {
  addPicture,
  changePicture,
  mapPictures,
  pictureBytes,
  pictureFile,
  removePicture,
} from '@/store/pictures/pictures';
import type { StoreFault } from '@/store/store-fault';
import { jsonFormat } from '@/formats/json';
import type { MapPicture } from '@/core/model/map-picture';
import { closeAfterEach, openDatabase } from '../support/databases';
import { ROUTE_TEXT, routeOf } from '../support/route/demo-route';

closeAfterEach();

const now = new Date('2026-08-14T08:00:00.000Z');
const route = routeOf(ROUTE_TEXT);
const nextId = () => {
  let next = 0;
  return () => `new ${next++}`;
};

describe('a route that is open', () => {
  const open = (database: ReturnType<typeof openDatabase>, faults: (StoreFault | null)[] = []) =>
    documentActions(
      routeLogs,
      () => database,
      route.id,
      (fault) => faults.push(fault),
    );

  it('is written again where the browser deleted its database', async () => {
    const database = openDatabase();
    await routeLogs.add(database, route, now);
    const actions = open(database);
    await actions.change((before) => ({ ...before, name: 'Second' }));
    await routeLogs.stored(database, route.id);
    await database.routes.clear();
    // It is still on the screen; and the next change has all of it back.
    expect((await routeLogs.stored(database, route.id)).state?.document.name).toBe('Second');
    expect(await actions.change((before) => ({ ...before, name: 'Third' }))).toEqual({
      kind: 'saved',
    });
    expect(await database.routes.count()).toBe(3);
    await actions.undo();
    expect((await routeLogs.all(database)).map(({ document }) => document.name)).toEqual([
      'Second',
    ]);
  });

  it('is not said to be changed where another tab deleted it', async () => {
    const database = openDatabase();
    await routeLogs.add(database, route, now);
    const faults: (StoreFault | null)[] = [];
    const [one, other] = [open(database), open(database, faults)];
    await one.discard();
    expect(await other.change((before) => ({ ...before, name: 'Late' }))).toEqual({
      kind: 'unsaved',
      fault: 'gone',
    });
    expect(await other.undo()).toMatchObject({ fault: 'gone' });
    expect(faults).toEqual(['gone', 'gone']);
    await one.recover();
    expect(await other.change((before) => ({ ...before, name: 'Late' }))).toEqual({
      kind: 'saved',
    });
  });
});

describe('routes in the store', () => {
  it('are changed, undone and redone, and deleted until they are restored', async () => {
    const database = openDatabase();
    await routeLogs.add(database, route, now);
    const faults: (StoreFault | null)[] = [];
    const actions = documentActions(
      routeLogs,
      () => database,
      route.id,
      (f) => faults.push(f),
    );
    const name = async () => (await routeLogs.stored(database, route.id)).state?.document.name;
    expect(await actions.change((before) => ({ ...before, name: 'B' }))).toEqual({ kind: 'saved' });
    expect(await actions.change((before) => ({ ...before }))).toEqual({ kind: 'nothing' });
    await actions.undo();
    expect(await name()).toBe(route.name);
    await actions.redo();
    expect(await name()).toBe('B');
    await actions.discard();
    expect(await routeLogs.all(database)).toEqual([]);
    await actions.recover();
    expect((await routeLogs.all(database)).map(({ document }) => document.name)).toEqual(['B']);
    expect(faults.every((fault) => fault === null)).toBe(true);
  });

  it('lose no point where two tabs add at once', async () => {
    const database = openDatabase();
    await routeLogs.add(database, route, now);
    const actions = documentActions(
      routeLogs,
      () => database,
      route.id,
      () => undefined,
    );
    const [first] = route.points;
    await Promise.all(
      Array.from({ length: 10 }, (_, i) =>
        actions.change((before) => ({
          ...before,
          points: [...before.points, { ...first!, name: `P${i}` }],
        })),
      ),
    );
    const { state } = await routeLogs.stored(database, route.id);
    expect(state?.document.points).toHaveLength(route.points.length + 10);
  });

  it('are in the backup, through the file, and back in another browser', async () => {
    const database = openDatabase();
    await routeLogs.add(database, route, now);
    const book = await wholeLogbook(database, now);
    expect(book).toMatchObject({ version: 3, routes: [route] });
    const text = jsonFormat.write(book, null);
    const read = text.ok ? jsonFormat.read(text.value, null) : text;
    if (!read.ok) throw new Error('it can be read');
    const other = openDatabase();
    const take = () =>
      importOutings(other, [], [], () => 'keep-both', {
        now,
        newId: nextId(),
        routes: read.value.routes,
      });
    expect((await take()).routes).toEqual([route.id]);
    expect((await routeLogs.stored(other, route.id)).state?.document).toEqual(route);
    expect((await take()).routes).toEqual([]);
    // The same id with other contents is kept beside it.
    const [first] = read.value.routes!;
    const { routes } = await importOutings(other, [], [], () => 'keep-both', {
      now,
      newId: nextId(),
      routes: [{ ...first!, name: 'Another' }],
    });
    expect(routes).toEqual(['new 0']);
  });
});

const picture: MapPicture = {
  id: 'p1',
  name: 'Ormsay Lake',
  addedAt: now.toISOString(),
  width: 1800,
  height: 1860,
  bytes: 1234,
  controls: [],
};
const file = { blob: new Blob(['pixels']), thumbnail: new Blob(['few']) };

describe('pictures of maps in the store', () => {
  it('are kept with their pixels, tied, and removed with them', async () => {
    const database = openDatabase();
    await addPicture(database, picture, file);
    const control = { x: 1, y: 2, position: { latitude: 54, longitude: -63 }, label: 'A' };
    await changePicture(database, 'p1', (before) => ({ ...before, controls: [control] }));
    expect(await mapPictures(database)).toEqual([{ ...picture, controls: [control] }]);
    expect(await pictureBytes(database)).toBe(1234);
    expect(await pictureFile(database, 'p1')).toBeDefined();
    await removePicture(database, 'p1');
    expect(await mapPictures(database)).toEqual([]);
    expect(await pictureFile(database, 'p1')).toBeUndefined();
  });

  it('refuse what is no picture, and write nothing of it', async () => {
    const database = openDatabase();
    await expect(addPicture(database, { ...picture, width: 0 }, file)).rejects.toThrow();
    expect(await pictureFile(database, 'p1')).toBeUndefined();
    await addPicture(database, picture, file);
    const broken = changePicture(database, 'p1', (before) => ({ ...before, name: '' }));
    await expect(broken).rejects.toThrow();
    expect(await mapPictures(database)).toEqual([picture]);
    // One that is gone stays gone.
    await changePicture(database, 'none', (before) => before);
    expect(await mapPictures(database)).toHaveLength(1);
  });
});
