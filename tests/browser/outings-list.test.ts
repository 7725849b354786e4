import { describe, expect, it } from 'vitest';
import { SIZES, sharedVisitor } from '../support/browser/visitor';

describe.each(SIZES)('the list of outings at %s', (_size, viewport) => {
  const shared = sharedVisitor(viewport);

  it('is searched; outings are renamed, duplicated, and deleted with one undo', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    for (const name of ['North shore', 'South bay', 'East fen']) {
      await visitor.store(['000 100m'], name);
    }
    await visitor.goto('outings');
    await visitor.reads('main', /North shore[\s\S]*East fen|East fen[\s\S]*North shore/);
    await visitor.fill('input[type=search]', 'bay');
    await visitor.reads('main', /^(?!.*North shore).*South bay/s);
    await visitor.fill('input[type=search]', '');

    await visitor.click('More: what is done with South bay');
    await visitor.pick('Rename', 'main details[open]');
    await visitor.fill('input[name=name]', 'South cove');
    await page.keyboard.press('Enter');
    await visitor.reads('main', /South cove/);
    await visitor.click('More: what is done with South cove');
    await visitor.pick('Duplicate', 'main details[open]');
    await visitor.reads('main', /South cove \(2\)/);

    await visitor.press('Choose several');
    await visitor.press('Choose South cove');
    await visitor.press('Choose East fen');
    await visitor.reads('main', /2 outings chosen/);
    await visitor.pick('Delete', '[role=group]');
    await visitor.reads('main', /2 outings were deleted/);
    await visitor.reads('main ul', /^(?!.*East fen)/s);
    await visitor.press('Restore it');
    await visitor.reads('main', /East fen/);
    await visitor.reads('main ul', /South cove(?! \(2\))/);
    expect(visitor.problems).toEqual([]);
  });
});
