import { describe, expect, it } from 'vitest';
import { DESK, PHONE, Visitor } from './visitor';

const line = (index: number) => `#line-${index}`;
const sizes = [
  ['desk', DESK],
  ['phone', PHONE],
] as const;

async function withLegs(viewport: typeof DESK, lines: readonly string[]) {
  const visitor = await Visitor.arrive(viewport);
  await visitor.startOuting();
  for (const each of lines) await visitor.log(each);
  return visitor;
}

/** Something of the list of all that can be done. */
async function doThis(visitor: Visitor, name: string) {
  await visitor.click('More to write down');
  await visitor.fill('.ant-modal input[role=combobox]', name);
  await visitor.page.waitForSelector('[role=option][aria-selected=true]');
  await visitor.page.keyboard.press('Enter');
}

/** A choice in a dialog by exactly these words. */
async function pick(visitor: Visitor, words: string) {
  await visitor.page.waitForFunction(
    (wanted: string) => {
      const found = [
        ...document.querySelectorAll<HTMLElement>('.ant-modal button, .ant-modal label'),
      ];
      const choice = found.find(({ textContent }) => textContent === wanted);
      choice?.click();
      return choice !== undefined;
    },
    {},
    words,
  );
}

const press = async (visitor: Visitor, name: string) => {
  const control = await visitor.page.waitForSelector(`aria/${name}`, { visible: true });
  await control!.evaluate((element) => (element as HTMLElement).click());
};

describe.each(sizes)('the page, on a %s', (_name, viewport) => {
  it('shows on the sketch where a thousand walks home would end, around home', async () => {
    const visitor = await withLegs(viewport, ['000 300m', '090 400m']);
    if (viewport === PHONE) await visitor.click('Sketch');
    await press(visitor, 'Show where a thousand walks home would end');
    const dots = await visitor.page.waitForSelector('[data-testid=walks-cloud]');
    const ends = await dots!.evaluate((path) =>
      path
        .getAttribute('d')!
        .split('M')
        .slice(1)
        .map((spot) => spot.replace('h0', '').split(' ').map(Number)),
    );
    expect(ends).toHaveLength(1000);
    const mean = [0, 1].map((axis) => ends.reduce((sum, end) => sum + end[axis]!, 0) / 1000);
    expect(Math.hypot(...mean)).toBeLessThan(5);
    expect(Math.max(...ends.map((end) => Math.hypot(...end)))).toBeGreaterThan(40);
    await press(visitor, 'Show where a thousand walks home would end');
    await visitor.page.waitForSelector('[data-testid=walks-cloud]', { hidden: true });
    await visitor.leave();
  });

  it('takes things seen and sightings by small forms, and draws them', async () => {
    const visitor = await withLegs(viewport, ['000 100m', '090 100m']);
    const { page } = visitor;
    await doThis(visitor, 'Seen on the last leg');
    await visitor.fill('#line-metres', '40');
    await pick(visitor, 'left');
    await visitor.fill('#line-away', '12');
    await pick(visitor, 'water');
    await visitor.fill('#line-what', 'spring');
    await visitor.reads('.ant-modal', /40 m along the last leg, 12 m to the left: spring/);
    await page.keyboard.press('Enter');
    await visitor.reads(line(2), /40 m.*spring, 12 m to the left/);
    await visitor.log('see 000 rock ; Summit');
    await visitor.log('from 1');
    await visitor.log('see 045 ; summit');
    if (viewport === PHONE) await visitor.click('Sketch');
    await page.waitForSelector('[data-thing=water]');
    await page.waitForSelector('[data-thing=rock]');
    await visitor.reads('[data-testid=sketch]', /Summit ±\d+ m/);
    await visitor.leave();
  });

  it('boxes an obstacle, passes one with the mark kept, and notes the landmarks of the start', async () => {
    const visitor = await withLegs(viewport, ['000 100m']);
    await doThis(visitor, 'box it');
    await pick(visitor, 'right');
    await visitor.fill('#line-out', '20m');
    await visitor.fill('#line-along', '40m');
    await visitor.page.keyboard.press('Enter');
    await visitor.home('180°', /Walk 140 m/);
    await doThis(visitor, 'mark ahead kept');
    await pick(visitor, 'left');
    await visitor.fill('#line-what', 'boulders');
    await visitor.page.keyboard.press('Enter');
    await visitor.reads(line(2), /Passed to the left, mark ahead kept: boulders/);
    await doThis(visitor, 'know I am back');
    await visitor.fill('#line-what', 'two birches');
    await visitor.page.keyboard.press('Enter');
    await visitor.reads(line(3), /You are back when you see: two birches/);
    await visitor.home('180°', /Walk 140 m/);
    await visitor.leave();
  });

  it('corrects in ink: the old reading is struck, kept with its reason, shown on demand, and in the history', async () => {
    const visitor = await withLegs(viewport, ['000 100m', '090 100m']);
    const { page } = visitor;
    await page.click(line(1));
    await press(visitor, 'Change');
    await visitor.fill('input[aria-label="Why (if you like)"]', 'read upside down');
    await visitor.fill('input[aria-label="Next line of the log"]', '270 100m');
    await page.keyboard.press('Enter');
    await visitor.home('135°', /Walk 140 m/);
    await page.waitForSelector(line(1), { hidden: true });
    await press(visitor, '1 struck line: Show');
    await visitor.reads(line(1), /090 100m \(struck .*read upside down\)/);
    expect(
      await page.$eval(`${line(1)} > span`, (row) => getComputedStyle(row).textDecorationLine),
    ).toBe('line-through');
    await press(visitor, '1 struck line: Hide');
    await page.click(line(0));
    await press(visitor, 'Strike out');
    await visitor.home('090°', /Walk 100 m/);
    await press(visitor, 'Undo');
    await visitor.home('135°', /Walk 140 m/);
    await doThis(visitor, 'History');
    await visitor.reads(
      '.ant-drawer-open',
      /Undone: Struck out: 000 100m.*Corrected: 090 100m → 270 100m \(read upside down\).*Logged: 090 100m.*The outing was begun/,
    );
    await visitor.leave();
  });

  it('branches from a station by a tap, closes a loop with its misclosure, and moves a leg', async () => {
    const visitor = await withLegs(viewport, ['000 100m > A', '090 100m']);
    const { page } = visitor;
    await page.click(line(0));
    await press(visitor, 'Leg from here');
    await visitor.understood(/^Saved: from A/);
    await visitor.log('180 90m > Start');
    await visitor.reads(line(3), /Back at Start: 10 m off, 3\.4 % of what was walked/);
    await page.click(line(0));
    // The same by a key.
    await page.click(line(1));
    await page.focus('[role=listbox]');
    await page.keyboard.press('f');
    await visitor.understood(/^Saved: from 2/);
    await visitor.log('045 10km > A');
    await visitor.reads(line(5), /Back at A: .* A few per cent are usual by compass and pace/);
    await press(visitor, 'Undo');
    await page.waitForSelector(line(5), { hidden: true });
    await page.click(line(1));
    await press(visitor, 'Move up');
    await visitor.reads(line(0), /090°/);
    await visitor.reads(line(1), /000°.*A/);
    await visitor.leave();
  });

  it('notices what is wrong beside the line, takes “it is right”, and offers what iron spoilt', async () => {
    const visitor = await withLegs(viewport, [
      '045 100m back 225 > A',
      '090 100m back 282 > B',
      '042 80m back 210 > C',
      'expect N',
      '182 60m',
    ]);
    const { page } = visitor;
    await visitor.reads(line(2), /12° too much at B: iron there\? This leg was taken there/);
    await page.click(line(2));
    await press(visitor, 'Use 030° instead');
    await visitor.reads(line(3), /030°.*C/);
    await visitor.reads(
      line(5),
      /roughly N, and the leg goes 182°: 178° off\. That is half a circle/,
    );
    await page.click(line(5));
    await press(visitor, 'How half a circle happens');
    await visitor.reads('.ant-modal', /Map upside down.*Arrow reversed.*Housing reversed/);
    await page.keyboard.press('Escape');
    await page.waitForSelector('.ant-modal', { hidden: true });
    await press(visitor, 'It is right');
    await page.waitForFunction(
      () => !document.querySelector('#line-5')?.textContent?.includes('half a circle'),
    );
    await page.reload();
    await visitor.reads(line(5), /182°/);
    expect(await visitor.text(line(5))).not.toMatch(/half a circle/);
    await visitor.leave();
  });

  it('logs a leg by dial and number pad, and finds words in a long log', async () => {
    const visitor = await withLegs(viewport, ['pace 65 per 100 m', '000 65p > Ford ; ice on it']);
    const { page } = visitor;
    await press(visitor, 'Dial and number pad');
    await page.waitForSelector('[role=slider][aria-label=Bearing]', { visible: true });
    await page.focus('[role=slider][aria-label=Bearing]');
    for (let i = 0; i < 9; i++) await page.keyboard.press('PageUp');
    await page.keyboard.press('ArrowRight');
    await visitor.reads('[data-testid=pad-bearing]', /^091$/);
    const dial = (await page.$('[role=slider][aria-label=Bearing]'))!;
    const box = (await dial.boundingBox())!;
    await page.mouse.move(box.x + box.width * 0.95, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.95, { steps: 5 });
    await page.mouse.up();
    await visitor.reads('[data-testid=pad-bearing]', /^180$/);
    await pick(visitor, 'Count');
    for (const digit of ['6', '6']) await pick(visitor, digit);
    await press(visitor, 'Erase');
    await pick(visitor, '5');
    await pick(visitor, 'snow');
    await visitor.reads(
      '.ant-modal',
      /180° as the needle reads, south · 65 paces, 100 m · on snow/,
    );
    await pick(visitor, 'Log it');
    await visitor.reads(line(2), /180°.*65 paces.*snow/);
    await page.click(line(1));
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('/');
    await visitor.fill('input[aria-label="Find in the log"]', 'ford');
    await visitor.reads('[role=status]', /^1 line$/);
    await page.waitForSelector(line(2), { hidden: true });
    await page.keyboard.press('Escape');
    await page.waitForSelector(line(2), { visible: true });
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('?');
    await visitor.reads('.ant-modal', /Ctrl K.*Find in the log/);
    await visitor.leave();
  });

  it('steps off in two taps, says the way back in large, and grows into an outing', async () => {
    const visitor = await Visitor.arrive(viewport);
    const { page } = visitor;
    await page.goto(visitor.url);
    await visitor.choose('Step off');
    await page.waitForSelector('[role=slider]', { visible: true });
    await page.focus('[role=slider]');
    await page.keyboard.press('End');
    for (let i = 0; i < 29; i++) await page.keyboard.press('ArrowLeft');
    await visitor.fill('#place', 'cairn on the left');
    await visitor.choose('Go');
    await visitor.reads('[data-testid=way-back]', /^150°$/);
    await visitor.reads(
      'main',
      /Set 150° on the compass.*Just stepped off.*You are back at: cairn on the left/,
    );
    const size = await page.$eval('[data-testid=way-back]', (figure) =>
      parseFloat(getComputedStyle(figure).fontSize),
    );
    expect(size).toBeGreaterThan(140);
    await visitor.choose('More legs: open the log');
    await visitor.reads(line(1), /Stepped off at 330°/);
    await visitor.log('330 100m');
    await visitor.home('150°', /Walk 100 m, south-east, to Path/);
    await visitor.leave();
  });
});
