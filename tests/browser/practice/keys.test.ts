import { describe, it } from 'vitest';
import { EXERCISES, exerciseOf } from '@/core/practice/exercises';
import { giveByKeys } from '../../support/browser/answering';
import { DESK, sharedVisitor } from '../../support/browser/visitor';

const SEED = 27;

describe('every exercise, by keys alone', () => {
  const shared = sharedVisitor(DESK);

  it.each(EXERCISES.map(({ id }) => id))('%s', async (id) => {
    const { visitor } = shared;
    const [question] = exerciseOf(id)!.ask(SEED);
    const address = { exercise: id, seed: String(SEED), course: 'evening' };
    await visitor.goto('practice', undefined, address);
    await giveByKeys(visitor, question!, question!.right);
    await visitor.reads('[data-testid=verdict]', /^Right\./);
  });
});
