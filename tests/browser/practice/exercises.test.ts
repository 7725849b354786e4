import { describe, expect, it } from 'vitest';
import { EXERCISES, exerciseOf } from '@/core/practice/exercises';
import { PHONE, sharedVisitor, Visitor } from '../../support/browser/visitor';
import { give } from '../../support/browser/answering';

const SEED = 27;
const VERDICT = '[data-testid=verdict]';

/** Opens an exercise as a course does: with a seed, and a test from the first. */
const open = (visitor: Visitor, exercise: string, seed = SEED) =>
  visitor.goto('practice', undefined, { exercise, seed: String(seed), course: 'evening' });

describe('every exercise, by touch', () => {
  const shared = sharedVisitor(PHONE);

  it.each(EXERCISES.map(({ id }) => id))('%s', async (id) => {
    const { visitor } = shared;
    const questions = exerciseOf(id)!.ask(SEED);
    await open(visitor, id);
    for (const [number, question] of questions.entries()) {
      await visitor.reads(
        'main',
        new RegExp(question.asks.slice(0, 24).replace(/[()?.]/g, '\\$&')),
      );
      await give(visitor, question, question.right);
      await visitor.pick('Answer');
      await visitor.reads(VERDICT, /^Right\./);
      if (number < questions.length - 1) await visitor.pick('Next question');
    }
    await visitor.reads('[data-testid=saved]', /Saved/);
  });
});

describe('an exercise', () => {
  const shared = sharedVisitor(PHONE);

  it('shows, helps, tests, and says which slip it was', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.goto('practice', undefined, { exercise: 'grid-to-magnetic', seed: '5' });
    await visitor.reads('main', /First it shows.*From the map to the compass/s);
    await visitor.pick('Try it yourself');
    await visitor.reads('main', /Now with help/);
    await visitor.pick('Show the next step');
    await visitor.reads('main', /How it is done.*Draw the two norths/s);
    await visitor.pick('Answer');
    await visitor.reads('[role=alert]', /Type a bearing from 0 to 360/);
    const asked = await visitor.text('main');
    const [, angle, side, read] = /is (\d+)° ([EW]) of grid north\. What is (\d{3})°/.exec(asked)!;
    // East added, west subtracted: the wrong way round.
    const east = Number(angle) * (side === 'E' ? 1 : -1);
    await visitor.fill('#answer-text', String((Number(read) + east + 360) % 360));
    await page.keyboard.press('Enter');
    await visitor.reads(VERDICT, /You (added where east is|subtracted where west is)/);
    await visitor.reads(VERDICT, new RegExp(`${2 * Number(angle)}° off, \\d+ m in 1,000 m`));
    await visitor.reads('[data-testid=saved]', /Saved/);
    await visitor.goto('practice');
    await visitor.reads('main', /Map to compass.*0 of 1 right/s);
    await visitor.reads('main', /east for west: 1/);
    await page.waitForSelector('canvas[aria-label^="Share that was right"]');
  });

  it('forgets its results when that is asked', async () => {
    const { visitor } = shared;
    await visitor.reads('main', /Share that was right/);
    await visitor.pick('Forget all results');
    await visitor.pick('Forget them');
    await visitor.reads('main', /New here\? Begin with the first/);
  });

  it('draws a line of position from a mark, on the bearing that is typed', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await open(visitor, 'fix-by-two');
    await page.waitForSelector('[data-testid=country-map]');
    await visitor.fill('#line-A', '220');
    const line = (await page.waitForSelector('[data-testid=line-A]'))!;
    const slope = await line.evaluate((it) => {
      const at = (name: string) => Number(it.getAttribute(name));
      return (at('x2') - at('x1')) / (at('y1') - at('y2'));
    });
    expect(slope).toBeCloseTo(Math.tan((220 * Math.PI) / 180), 3);
  });

  it('turns a panorama by keys, and says in words what is in sight', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await open(visitor, 'sight');
    await page.waitForSelector('[data-testid=panorama]');
    await visitor.alive('[data-testid=panorama]');
    const facing = Number(/\d{3}/.exec(await visitor.text('[data-testid=facing]'))![0]);
    await page.focus('[data-testid=panorama]');
    await page.keyboard.press('PageUp');
    const turned = String((facing + 30) % 360).padStart(3, '0');
    await visitor.reads('[data-testid=facing]', new RegExp(`You face ${turned}°`));
    const label = await page.$eval('[data-testid=panorama]', (it) => it.getAttribute('aria-label'));
    expect(label).toMatch(/^You face \d{3} magnetic\. In sight: /);
  });
});
