import { describe, expect, it } from 'vitest';
import { EXERCISES, exerciseOf } from '@/core/practice/exercises';
import { apart, judge } from '@/core/practice/judge';
import type { Question } from '@/core/practice/question';
import { answerBy, PLAIN, SWAPPED, type Learner } from '../../support/practice/learners';

/** On three of the countries, which the trainer keeps. */
const SEEDS = Array.from(
  { length: 36 },
  (_, index) => 12 * Math.floor(index / 3) + (index % 3) + 1,
);
/** Many more where nothing has to be made for them. */
const MANY = Array.from({ length: 300 }, (_, index) => 1000 + 7 * index);
const onMaps = new Set([
  'orient-map',
  'bearing-from-map',
  'sight',
  'ticks',
  'fix-by-two',
  'fix-by-three',
  'fix-by-stream',
]);
const seedsOf = (id: string) => (onMaps.has(id) ? SEEDS : MANY);

const asked = new Map<string, Question[]>();
/** The questions of an exercise for its seeds, asked once for all tests. */
function questionsOf(id: string): Question[] {
  const known = asked.get(id) ?? seedsOf(id).flatMap((seed) => [...exerciseOf(id)!.ask(seed)]);
  asked.set(id, known);
  return known;
}

/** A number inside an answer or a scene that is none. */
const hasNaN = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isNaN(value)
    : typeof value === 'object' && value !== null && Object.values(value).some(hasNaN);

describe('every exercise', () => {
  it('has a name of its own, and is found by it', () => {
    expect(new Set(EXERCISES.map(({ id }) => id)).size).toBe(EXERCISES.length);
    expect(EXERCISES.length).toBeGreaterThanOrEqual(34);
    expect(exerciseOf('nothing')).toBeUndefined();
  });

  it.each(EXERCISES.map(({ id }) => id))(
    '%s asks what can be answered, and the same again',
    (id) => {
      const exercise = exerciseOf(id)!;
      for (const question of questionsOf(id)) {
        expect(hasNaN(question)).toBe(false);
        expect(question.asks).toMatch(/[.?]$/);
        expect(question.steps.length).toBeGreaterThan(1);
        expect(judge(question, question.right)).toMatchObject({ isRight: true, slip: null });
        if (question.wanted.kind === 'choice') {
          const ids = question.wanted.options.map((option) => option.id);
          expect(new Set(ids).size).toBe(ids.length);
          expect(question.wanted.options.length).toBeGreaterThan(1);
        }
        // A question of the trainer is posted between workers: plain data, all of it.
        expect(structuredClone(question)).toEqual(question);
      }
      expect(exercise.ask(seedsOf(id)[3]!)).toEqual(exercise.ask(seedsOf(id)[3]!));
    },
  );

  it.each(EXERCISES.map(({ id }) => id))('%s tells each slip that can be reported', (id) => {
    for (const question of questionsOf(id)) {
      for (const misstep of question.missteps) {
        // No question is asked whose tolerance lets one of its slips pass.
        expect(judge(question, misstep.answer).isRight, misstep.says).toBe(false);
        // One that ends near the right answer is wrong, and can't be reported for what it is.
        if (apart(question.right, misstep.answer) <= 4 * question.tolerance) continue;
        const told = judge(question, misstep.answer);
        expect(told.isRight).toBe(false);
        const alike = question.missteps.filter(
          ({ answer }) => apart(answer, misstep.answer) <= question.tolerance,
        );
        expect(alike.map(({ slip }) => slip)).toContain(told.slip);
        expect(told.says).not.toBe('');
      }
    }
  });
});

/** A sum as it is shown: figures joined by signs, and what they come to. */
const SHOWN_SUM =
  /(\d[\d,.]*)°?((?: [+−×÷] \d[\d,.]*°?)+)(?: m| paces)? = (\d[\d,.]*)(?=°|[ .,;]|$)/g;
const numberOf = (text: string) => Number(text.replace(/[°,]/g, '').replace(/\.$/, ''));

/** What a sum comes to, by its own signs from left to right with products first. */
function valueOf(first: string, rest: string): number {
  const terms = [...rest.matchAll(/ ([+−×÷]) (\S+)/g)];
  const sums: number[] = [numberOf(first)];
  for (const [, sign, text] of terms) {
    const value = numberOf(text!);
    if (sign === '×') sums.push(sums.pop()! * value);
    else if (sign === '÷') sums.push(sums.pop()! / value);
    else sums.push(sign === '−' ? -value : value);
  }
  return sums.reduce((sum, value) => sum + value, 0);
}

describe('the sums that are shown', () => {
  it('are right, each by its own figures', () => {
    let shown = 0;
    for (const { id } of EXERCISES) {
      for (const { steps } of questionsOf(id)) {
        for (const step of steps) {
          for (const [all, first, rest, result] of step.matchAll(SHOWN_SUM)) {
            shown++;
            const text = result!.replace(/[.,]$/, '');
            const decimals = text.split('.')[1]?.length ?? 0;
            const off = Math.abs(valueOf(first!, rest!) - numberOf(text));
            // Bearings come round; what is shown is rounded to its last digit.
            const about = Math.min(off, Math.abs(off - 360));
            expect(about, `${id}: ${all}`).toBeLessThanOrEqual(0.5001 * 10 ** -decimals);
          }
        }
      }
    }
    expect(shown).toBeGreaterThan(2000);
  });

  it('have their signs drawn together, and say which mark the needle goes to', () => {
    const steps = EXERCISES.flatMap(({ id }) => questionsOf(id)).flatMap((each) => each.steps);
    expect(steps.filter((step) => /[+−] ?\(?-|\(-/.test(step))).toEqual([]);
    const box = questionsOf('box-obstacle').filter(({ given }) => given.side !== undefined);
    for (const { given, steps: shown } of box.filter((_, index) => index % 2 === 0)) {
      // Turned to the right with the dial as it is, north is on the left: at W.
      expect(shown.join()).toContain(given.side === 'right' ? 'is at W on it' : 'is at E on it');
    }
    for (const { steps: shown } of questionsOf('mirror')) expect(shown.join()).toMatch(/mirror/);
  });
});

/** The share of a learner's answers that are reported as they should. */
function shareTold(
  learner: Learner,
  ids: readonly string[],
  isTold: (question: Question, verdict: ReturnType<typeof judge>) => boolean,
): { share: number; count: number } {
  let [told, count] = [0, 0];
  for (const id of ids) {
    for (const [index, question] of questionsOf(id).entries()) {
      const answer = answerBy(learner, id, question, index + 1);
      if (answer === null) continue;
      count++;
      if (isTold(question, judge(question, answer))) told++;
    }
  }
  return { share: told / count, count };
}

describe('simulated learners', () => {
  it('who compute by themselves are right, in every exercise', () => {
    for (const id of Object.keys(PLAIN)) {
      const { share, count } = shareTold('perfect', [id], (_, { isRight }) => isRight);
      expect(count, id).toBeGreaterThan(30);
      expect(share, id).toBe(1);
    }
  });

  it('who take east for west are reported so', () => {
    // Where both lead to nearly the same answer there is nothing to tell.
    const { share } = shareTold(
      'swapper',
      SWAPPED,
      (question, { isRight, slip }) =>
        isRight || slip === 'declination-reversed' || question.given.trueBearing !== undefined,
    );
    expect(share).toBeGreaterThanOrEqual(0.95);
  });

  it('who are 180° off are reported so', () => {
    const ids = Object.keys(PLAIN).filter((id) =>
      questionsOf(id).some(({ right }) => ['bearing', 'compass', 'way'].includes(right.kind)),
    );
    expect(ids.length).toBeGreaterThan(12);
    // Around an obstacle the opposite bearing is the other side of it, and is called that.
    const { share } = shareTold('half-circle', ids, ({ right }, { slip }) =>
      ['bearing', 'compass', 'way'].includes(right.kind)
        ? slip === 'half-circle' || slip === 'box-side'
        : true,
    );
    expect(share).toBeGreaterThanOrEqual(0.95);
  });

  it('whose hand is not steady hear how far off, and of no slip', () => {
    const { share, count } = shareTold(
      'sloppy',
      Object.keys(PLAIN),
      // In a sum of degrees a few beside it are a slip of the sum: no hand is in it.
      ({ sum }, { isRight, slip }) => isRight || slip === null || (slip === 'sum' && !!sum),
    );
    expect(count).toBeGreaterThan(3000);
    expect(share).toBeGreaterThanOrEqual(0.95);
  });
});
