import { describe, expect, it } from 'vitest';
import { offArrow, paintedEnd } from '@/core/practice/compass/hand-compass';
import { EXERCISES } from '@/core/practice/exercises';
import { judge } from '@/core/practice/judge';
import type { Question } from '@/core/practice/question';
import { answerOf, draftFor, shownDraft } from '@/views/practice/exercise/draft';

/** Of two countries, and of many seeds where there is none. */
const questions = EXERCISES.flatMap(({ ask }) => [13, 14, 25, 26, 37].flatMap((seed) => ask(seed)));
const wanting = (...kinds: readonly Question['wanted']['kind'][]) =>
  questions.filter(({ wanted }) => kinds.includes(wanted.kind));

const example = (kind: Question['wanted']['kind']) => wanting(kind)[0]!;

describe('an answer while it is made', () => {
  it.each([
    ['220', 220],
    [' 7,5 ', 7.5],
    ['360', 0],
    ['0', 0],
  ])('takes %j for a bearing', (text, degrees) => {
    const question = example('bearing');
    expect(answerOf(question, { ...draftFor(question), text })).toEqual({
      kind: 'bearing',
      degrees,
    });
  });

  it.each(['', 'north', '361', '-5', '1e2', '2 20'])('asks again for %j', (text) => {
    const question = example('bearing');
    expect(answerOf(question, { ...draftFor(question), text })).toBe(
      'Type a bearing from 0 to 360.',
    );
  });

  it('says of each kind what is missing, and guesses nothing', () => {
    const said = (kind: Question['wanted']['kind']) =>
      answerOf(example(kind), draftFor(example(kind)));
    expect(said('number')).toBe('Type a number.');
    expect(said('choice')).toBe('Choose an answer.');
    expect(said('place')).toMatch(/^Tap a place on the map/);
    expect(said('way')).toBe('Type a bearing from 0 to 360.');
    const way = example('way');
    expect(answerOf(way, { ...draftFor(way), text: '40', metres: 'far' })).toBe('Type a number.');
  });

  it('by hand begins where the scene begins, which is no right answer', () => {
    const byHand = wanting('compass', 'turn');
    expect(byHand.length).toBeGreaterThan(12);
    const lucky = byHand.filter((question) => {
      const answer = answerOf(question, draftFor(question));
      return typeof answer !== 'string' && judge(question, answer).isRight;
    });
    expect(lucky.length).toBeLessThan(0.1 * byHand.length);
  });
});

describe('what is shown before one tries', () => {
  it('is the right answer, wherever it is given by hand', () => {
    const byHand = wanting('compass', 'turn', 'place');
    expect(byHand.length).toBeGreaterThan(25);
    for (const question of byHand) {
      const answer = answerOf(question, shownDraft(question));
      expect(typeof answer).toBe('object');
      if (typeof answer === 'object') expect(judge(question, answer).isRight).toBe(true);
    }
  });

  it('has the needle in its arrow where a bearing is faced', () => {
    for (const question of wanting('compass')) {
      if (question.scene.kind !== 'compass') continue;
      const { magneticNorth, fault } = question.scene.setting;
      const off = offArrow(shownDraft(question).compass, paintedEnd(magneticNorth, fault));
      expect(Math.abs(off)).toBeLessThan(1e-9);
    }
  });

  it('looks at what a bearing is taken to, and draws the lines of a fix', () => {
    for (const question of questions) {
      const draft = shownDraft(question);
      if (question.scene.kind === 'panorama') expect(draft.facing).toBe(question.given.azimuth);
      if (question.wanted.kind === 'place' && question.scene.kind === 'map') {
        const letters = question.scene.marked.map(({ letter }) => letter);
        expect(Object.keys(draft.drawn)).toEqual(letters);
      }
    }
  });
});

describe('a compass that is said to have its needle in the arrow', () => {
  it('is drawn so, sound or not', () => {
    const { ask } = EXERCISES.find(({ id }) => id === 'reversed-needle')!;
    const faults = new Set<string>();
    for (let seed = 1; seed < 60; seed++) {
      const [question] = ask(seed);
      expect(question!.asks).toContain('With the needle in its arrow');
      if (question!.scene.kind !== 'compass') throw new Error('there is a compass');
      const { start, magneticNorth, fault } = question!.scene.setting;
      expect(Math.abs(offArrow(start, paintedEnd(magneticNorth, fault)))).toBeLessThan(2.5);
      faults.add(fault);
    }
    expect(faults.size).toBe(3);
  });
});
