import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bearingQuestion,
  bearingSlip,
  choiceQuestion,
  numberQuestion,
  numberSlip,
} from '@/core/practice/builders';
import { chanceOf, chosen, shuffled, stepped, whole } from '@/core/practice/chance';
import { apart, judge } from '@/core/practice/judge';
import type { Answer, Question } from '@/core/practice/question';

const asked = { asks: 'How much?', given: {}, steps: ['So.', 'And so.'] };
const degrees = fc.integer({ min: 0, max: 359 });
const point = fc.record({
  east: fc.integer({ min: 0, max: 4000 }),
  north: fc.integer({ min: 0, max: 4000 }),
});
const answers: fc.Arbitrary<Answer> = fc.oneof(
  fc.record({ kind: fc.constant('bearing' as const), degrees }),
  fc.record({ kind: fc.constant('number' as const), value: fc.integer({ min: 0, max: 5000 }) }),
  fc.record({ kind: fc.constant('choice' as const), id: fc.constantFrom('a', 'b') }),
  fc.record({
    kind: fc.constant('compass' as const),
    dialDegrees: degrees,
    bodyDegrees: degrees,
  }),
  fc.record({ kind: fc.constant('place' as const), point }),
  fc.record({
    kind: fc.constant('way' as const),
    degrees,
    metres: fc.integer({ min: 1, max: 5000 }),
  }),
);

describe('how far apart two answers are', () => {
  it('is the same from both sides, nothing from itself, and endless between kinds', () => {
    fc.assert(
      fc.property(answers, answers, (one, other) => {
        expect(apart(one, one)).toBeCloseTo(0, 9);
        expect(apart(one, other)).toBeCloseTo(apart(other, one), 6);
        if (one.kind !== other.kind) expect(apart(one, other)).toBe(Infinity);
      }),
    );
  });

  it('goes round the circle the short way', () => {
    const at = (value: number): Answer => ({ kind: 'bearing', degrees: value });
    expect(apart(at(359), at(2))).toBe(3);
    expect(apart(at(0), at(180))).toBe(180);
    const hand = (dialDegrees: number, bodyDegrees: number): Answer => ({
      kind: 'compass',
      dialDegrees,
      bodyDegrees,
    });
    expect(apart(hand(10, 350), hand(12, 10))).toBe(20);
  });
});

const sum = bearingQuestion(40, {
  ...asked,
  overMetres: 500,
  missteps: [
    bearingSlip('declination-reversed', 66, 'you added'),
    bearingSlip('half-circle', 220, 'it is 180° off'),
  ],
});
const bearing = (value: number): Answer => ({ kind: 'bearing', degrees: value });

describe('a verdict', () => {
  it('is right within the tolerance, and says nothing then', () => {
    expect(judge(sum, bearing(41))).toEqual({
      isRight: true,
      errorDegrees: 1,
      errorMetres: expect.closeTo(8.73, 2),
      slip: null,
      says: '',
    });
    expect(judge(sum, bearing(42)).isRight).toBe(false);
  });

  it('names the slip that is near, with what it costs on the ground', () => {
    // 2 · 500 m · sin 13°, as any table of chords has it.
    expect(judge(sum, bearing(66))).toEqual({
      isRight: false,
      errorDegrees: 26,
      errorMetres: expect.closeTo(224.95, 2),
      slip: 'declination-reversed',
      says: 'you added',
    });
    expect(judge(sum, bearing(221)).slip).toBe('half-circle');
  });

  it('names none where none is near, or the right answer is as near', () => {
    expect(judge(sum, bearing(100))).toMatchObject({ isRight: false, slip: null, says: '' });
    const close = bearingQuestion(40, {
      ...asked,
      missteps: [bearingSlip('ten-degrees', 43, 'nearly the same')],
    });
    expect(judge(close, bearing(41.7)).slip).toBeNull();
  });

  it('tells a length in metres, and nothing of what has none', () => {
    const length = numberQuestion(300, 'm', 5, {
      ...asked,
      missteps: [numberSlip('scale', 3000, 'a nought too many')],
    });
    expect(judge(length, { kind: 'number', value: 3000 })).toMatchObject({
      errorMetres: 2700,
      errorDegrees: null,
      slip: 'scale',
    });
    const paces = numberQuestion(300, 'paces', 5, asked);
    expect(judge(paces, { kind: 'number', value: 200 }).errorMetres).toBeNull();
  });

  it('of a way tells both: how far it turns, and how far from the goal it ends', () => {
    const way: Question = {
      ...sum,
      wanted: { kind: 'way' },
      right: { kind: 'way', degrees: 0, metres: 300 },
      tolerance: 20,
      missteps: [],
    };
    const told = judge(way, { kind: 'way', degrees: 90, metres: 400 });
    expect(told).toMatchObject({ errorDegrees: 90, errorMetres: expect.closeTo(500, 6) });
  });

  it('of a choice is right for the first that was given, however they are mixed', () => {
    const question = choiceQuestion(
      [
        { id: 'a', text: 'right' },
        { id: 'b', text: 'wrong', wrong: ['scale', 'another scale'] },
        { id: 'c', text: 'also wrong' },
      ],
      (all) => [...all].reverse(),
      asked,
    );
    expect(judge(question, { kind: 'choice', id: 'a' }).isRight).toBe(true);
    expect(judge(question, { kind: 'choice', id: 'b' })).toMatchObject({
      slip: 'scale',
      says: 'another scale',
    });
    expect(judge(question, { kind: 'choice', id: 'c' }).slip).toBe('wrong-choice');
    expect(question.wanted).toMatchObject({ options: [{ id: 'c' }, { id: 'b' }, { id: 'a' }] });
  });
});

describe('chance by a seed', () => {
  it('draws the same for one purpose, whatever another draws', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 999_999 }), (seed) => {
        const [one, again, other] = [
          chanceOf(seed, 'woods'),
          chanceOf(seed, 'woods'),
          chanceOf(seed, 'walls'),
        ];
        const first = [one(), one(), one()];
        expect([again(), again(), again()]).toEqual(first);
        expect(first).not.toEqual([other(), other(), other()]);
      }),
    );
  });

  it('keeps to its limits, and loses none when it mixes', () => {
    const next = chanceOf(5, 'limits');
    const drawn = Array.from({ length: 2000 }, () => whole(3, 7, next));
    expect(new Set(drawn)).toEqual(new Set([3, 4, 5, 6, 7]));
    const steps = Array.from({ length: 400 }, () => stepped(-1.5, 1.5, 0.5, next));
    expect([Math.min(...steps), Math.max(...steps)]).toEqual([-1.5, 1.5]);
    expect(shuffled([1, 2, 3, 4, 5], next).sort()).toEqual([1, 2, 3, 4, 5]);
    expect([1, 2]).toContain(chosen([1, 2], next));
  });

  it('mixes fairly: each item is first as often', () => {
    const next = chanceOf(9, 'fair');
    const first = [0, 0, 0, 0];
    for (let i = 0; i < 8000; i++) first[shuffled([0, 1, 2, 3], next)[0]!]!++;
    // Four standard deviations of a count of 8000 with chance 1/4 are 155.
    for (const count of first) expect(Math.abs(count - 2000)).toBeLessThan(155);
  });
});
