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
import { CairnDatabase } from '@/store/database';

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
