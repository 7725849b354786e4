import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import {
  attempts,
  courseResults,
  courses,
  forgetAttempts,
  keepAttempt,
  keepCourse,
  keepResults,
  removeCourse,
} from '@/store/practice/practice';
import {
  beginBlindWalk,
  blindWalkOf,
  blindWalks,
  endBlindWalk,
  walkOn,
} from '@/store/practice/blind-walks';
import type { Attempt } from '@/core/practice/attempt';
import { logbookOf } from '@/core/model/logbook';
import { jsonFormat } from '@/formats/json';
import { wholeLogbook } from '@/store/backup';
import { CairnDatabase } from '@/store/database';
import { addOuting } from '@/store/outings';
import { FilesRun } from '@/workers/files-run';
import { fileJob } from '../support/file-job';
import { NOW, outingWithId } from '../support/databases';

let databases = 0;
const fresh = () => new CairnDatabase(`practice-${databases++}`);

const attempt = (id: string, at: string): Attempt => ({
  id,
  exercise: 'mils',
  seed: 3,
  at,
  stage: 'test',
  isRight: true,
  slips: [],
  seconds: 4,
});

describe('what the trainer keeps', () => {
  it('attempts in the order of time; an unreadable one stays and is not counted', async () => {
    const database = fresh();
    await keepAttempt(database, attempt('b', '2026-11-02T08:00:00.000Z'));
    await keepAttempt(database, attempt('a', '2026-11-01T08:00:00.000Z'));
    await database.attempts.put({ id: 'c', exercise: 'mils' } as Attempt);
    expect((await attempts(database)).map(({ id }) => id)).toEqual(['a', 'b']);
    await expect(
      keepAttempt(database, { ...attempt('d', 'yesterday'), seed: 0 }),
    ).rejects.toThrow();
    expect(await database.attempts.count()).toBe(3);
    await forgetAttempts(database);
    expect(await attempts(database)).toEqual([]);
  });

  it('courses, and results once for each learner', async () => {
    const database = fresh();
    const course = { id: 'c', name: 'Evening', items: [{ exercise: 'mils', seed: 3 }] };
    await keepCourse(database, course);
    await keepCourse(database, { ...course, name: 'Second evening' });
    expect((await courses(database)).map(({ name }) => name)).toEqual(['Second evening']);
    const results = { course: 'c', name: 'Evening', who: 'Ines', attempts: [] };
    await keepResults(database, results);
    const later = { ...results, attempts: [attempt('a', '2026-11-01T08:00:00.000Z')] };
    await keepResults(database, later);
    expect(await courseResults(database)).toEqual([{ ...later, id: 'c Ines' }]);
    await removeCourse(database, 'c');
    expect(await courses(database)).toEqual([]);
  });

  it('all of it in a backup, restored beside what is there, each walk by its outing', async () => {
    const from = fresh();
    await addOuting(from, outingWithId('o'), NOW);
    await keepAttempt(from, attempt('a', '2026-11-01T08:00:00.000Z'));
    const course = { id: 'c', name: 'Evening', items: [{ exercise: 'mils', seed: 3 }] };
    await keepCourse(from, course);
    await keepResults(from, { course: 'c', name: 'Evening', who: 'Ines', attempts: [] });
    const legs = [{ bearingDegrees: 40, paces: 100, aim: 'needle', boxes: 'left' } as const];
    const set = { country: 3, seed: 5, start: { east: 10, north: 20 }, startName: 'Hut' };
    await beginBlindWalk(from, { ...set, outing: 'o', legs, isOver: true } as never);
    await from.attempts.put({ id: 'b', exercise: 'mils' } as Attempt);

    const written = jsonFormat.write(await wholeLogbook(from, NOW), null);
    if (!written.ok) throw new Error('a backup can be written');
    expect(JSON.parse(written.value)).toMatchObject({ version: 3 });
    const to = fresh();
    // Another outing has that id here, and a course was taken up from a newer file.
    await addOuting(to, outingWithId('o', '180 5m'), NOW);
    await keepCourse(to, { ...course, name: 'Newer' });
    const files = new FilesRun(to);
    const job = fileJob('backup.json', written.value);
    const read = await files.read(job, () => undefined);
    expect(read).toMatchObject({ kind: 'read', summary: { practice: 4, messages: [] } });
    const imported = await files.import(['keep-both'], () => undefined);
    expect(imported).toMatchObject({ kind: 'imported', result: { added: 1, practice: 3 } });
    expect((await attempts(to)).map(({ id }) => id)).toEqual(['a']);
    expect((await courses(to)).map(({ name }) => name)).toEqual(['Newer']);
    expect(await courseResults(to)).toHaveLength(1);
    const copy = (await to.changes.toCollection().primaryKeys()).find(([id]) => id !== 'o')![0];
    expect(await blindWalks(to)).toEqual([{ ...set, outing: copy, legs, isOver: true }]);

    await files.read(job, () => undefined);
    expect(await files.import(['skip'], () => undefined)).toMatchObject({
      result: { added: 0, practice: 0 },
    });
  });

  it('nothing of a backup whose practice can’t be read, and all outings of it', async () => {
    const book = logbookOf([outingWithId('o')], NOW.toISOString(), [], {
      practice: { attempts: [{ ...attempt('a', 'yesterday') }], courses: [], blindWalks: [] },
    });
    const files = new FilesRun(fresh());
    const job = fileJob('backup.json', JSON.stringify(book));
    const read = await files.read(job, () => undefined);
    expect(read).toMatchObject({ kind: 'read', summary: { practice: 0 } });
    expect(JSON.stringify(read)).toContain('Practice is left out: practice.attempts.0.at: ');
    expect(await files.import([], () => undefined)).toMatchObject({
      result: { added: 1, practice: 0 },
    });
  });

  it('a blind walk by what was set, until it is over', async () => {
    const database = fresh();
    const walk = {
      outing: 'o',
      country: 3,
      seed: 5,
      start: { east: 10, north: 20 },
      startName: 'Hut',
      legs: [],
      isOver: false,
    };
    await beginBlindWalk(database, walk);
    const leg = { bearingDegrees: 40, paces: 100, aim: 'needle' } as const;
    await walkOn(database, 'o', leg);
    await endBlindWalk(database, 'o');
    await walkOn(database, 'o', leg);
    expect(await blindWalkOf(database, 'o')).toEqual({ ...walk, legs: [leg], isOver: true });
    expect(await blindWalkOf(database, 'another')).toBeUndefined();
    expect(await blindWalks(database)).toHaveLength(1);
  });
});
