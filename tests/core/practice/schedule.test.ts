import { describe, expect, it } from 'vitest';
import type { Attempt } from '@/core/practice/attempt';
import { courseStanding, type Course } from '@/core/practice/course';
import { byExercise, dueAt, NOT_BEGUN, standingAfter } from '@/core/practice/schedule';
import { readPracticeFile, writePracticeFile } from '@/formats/practice/practice-file';

const attempt = (day: number, over: Partial<Attempt> = {}): Attempt => ({
  id: `attempt-${day}`,
  exercise: 'read-dial',
  seed: 7,
  at: new Date(Date.UTC(2026, 10, day, 9)).toISOString(),
  stage: 'help',
  isRight: true,
  slips: [],
  seconds: 6,
  ...over,
});

describe('the schedule', () => {
  it('first shows, then helps, then tests; a wrong answer leads back to help', () => {
    expect(standingAfter([])).toEqual(NOT_BEGUN);
    const goes = [attempt(1, { stage: 'show' })];
    expect(standingAfter(goes)).toMatchObject({ stage: 'help', tries: 0, due: null });
    goes.push(attempt(2));
    expect(standingAfter(goes).stage).toBe('help');
    goes.push(attempt(3));
    expect(standingAfter(goes)).toMatchObject({ stage: 'test', tries: 2, right: 2 });
    goes.push(attempt(4, { stage: 'test' }));
    expect(standingAfter(goes).stage).toBe('test');
    goes.push(attempt(5, { stage: 'test', isRight: false }));
    expect(standingAfter(goes)).toMatchObject({ stage: 'help', tries: 4, right: 3 });
  });

  it('asks again later the surer one is, and soon after a slip', () => {
    const days = (goes: readonly Attempt[]) =>
      (Number(standingAfter(goes).due) - Date.parse(goes.at(-1)!.at)) / 86_400_000;
    const right = [1, 4, 12].map((day) => attempt(day, { stage: 'test' }));
    expect(days(right.slice(0, 2))).toBeGreaterThan(days(right.slice(0, 1)));
    expect(days(right)).toBeGreaterThan(days(right.slice(0, 2)));
    const wrong = [...right.slice(0, 2), attempt(12, { stage: 'test', isRight: false })];
    expect(days(wrong)).toBeLessThan(days(right) / 4);
  });

  it('is the same whatever the order in which attempts are read', () => {
    const goes = [attempt(3), attempt(1, { stage: 'show' }), attempt(2, { isRight: false })];
    const grouped = byExercise(goes).get('read-dial')!;
    expect(grouped.map(({ at }) => at)).toEqual([...goes.map(({ at }) => at)].sort());
    expect(standingAfter(grouped)).toEqual(standingAfter([goes[1]!, goes[2]!, goes[0]!]));
  });

  it('lists what is due, the longest overdue first', () => {
    const standing = (day: number | null) => ({
      ...NOT_BEGUN,
      due: day === null ? null : new Date(Date.UTC(2026, 10, day)),
    });
    const standings = new Map([
      ['later', standing(20)],
      ['second', standing(9)],
      ['never', standing(null)],
      ['first', standing(3)],
    ]);
    expect(dueAt(standings, new Date(Date.UTC(2026, 10, 10)))).toEqual(['first', 'second']);
  });
});

const course: Course = {
  id: 'course-1',
  name: 'First evening',
  items: [
    { exercise: 'read-dial', seed: 7 },
    { exercise: 'mils', seed: 9 },
  ],
};

describe('a course', () => {
  it('is done item by item, by attempts that were made in it', () => {
    const goes = [
      attempt(1, { course: 'course-1', isRight: false, slips: ['ten-degrees'] }),
      attempt(2, { course: 'course-1' }),
      attempt(3, { exercise: 'mils', seed: 9 }),
    ];
    expect(courseStanding(course, goes)).toEqual([
      { tries: 2, isDone: true, slips: ['ten-degrees'] },
      { tries: 0, isDone: false, slips: [] },
    ]);
  });

  it('and its results go through a file and back', () => {
    const read = readPracticeFile(writePracticeFile({ kind: 'course', course }));
    expect(read).toEqual({ ok: true, value: { kind: 'course', course } });
    const results = { course: course.id, name: course.name, who: 'Ines', attempts: [attempt(1)] };
    expect(readPracticeFile(writePracticeFile({ kind: 'results', results }))).toEqual({
      ok: true,
      value: { kind: 'results', results },
    });
  });

  it.each([
    ['no JSON', '{', /no JSON text/],
    ['another format', '{"format":"other"}', /format/],
    ['a later version', '{"format":"cairn-practice-course","version":2}', /version/],
    [
      'a wrong seed',
      JSON.stringify({
        format: 'cairn-practice-course',
        version: 1,
        course: { ...course, items: [{ exercise: 'mils', seed: 0 }] },
      }),
      /course\.items\.0\.seed/,
    ],
  ])('of %s is refused, with where it is wrong', (_, text, says) => {
    const read = readPracticeFile(text);
    expect(read.ok).toBe(false);
    expect(JSON.stringify(read)).toMatch(says);
  });
});
