import { describe, expect, it } from 'vitest';
import { stillBox } from '../support/browser/still-box';
import { LINE, PHONE, sharedVisitor, SIZES, type Visitor } from '../support/browser/visitor';

const line = (index: number) => `#line-${index}`;
/** Does an action of the list of all actions. */
async function act(visitor: Visitor, name: string) {
  await visitor.click('Commands: lines to log, and all actions');
  await visitor.fill('.ant-modal input[role=combobox]', name);
  await visitor.page.waitForSelector('[role=option][aria-selected=true]');
  await visitor.page.keyboard.press('Enter');
}

describe.each(SIZES)('the outing view, on a %s', (_name, viewport) => {
  const shared = sharedVisitor(viewport);
  const withLegs = async (lines: readonly string[]) => {
    await shared.visitor.open(lines);
    return shared.visitor;
  };

  it('shows on the sketch where 1,000 simulated walks home end', async () => {
    const visitor = await withLegs(['000 300m', '090 400m']);
    if (viewport === PHONE) await visitor.click('Sketch');
    await visitor.press('Scatter: where 1,000 simulated walks home end');
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
    await visitor.press('Scatter: where 1,000 simulated walks home end');
    await visitor.page.waitForSelector('[data-testid=walks-cloud]', { hidden: true });
  });

  it('takes features and sightings by small forms, and draws them', async () => {
    const visitor = await withLegs(['000 100m', '090 100m']);
    const { page } = visitor;
    await act(visitor, 'Feature on the last leg');
    await visitor.fill('#line-along', '40');
    await visitor.pick('left', '.ant-modal');
    await visitor.fill('#line-away', '12');
    await visitor.pick('water', '.ant-modal');
    await visitor.fill('#line-what', 'spring');
    await visitor.reads('.ant-modal', /40 m along the last leg, 12 m to the left: spring/);
    await page.keyboard.press('Enter');
    await visitor.reads(line(2), /40 m.*spring, 12 m to the left/);
    await visitor.log('see 000 rock ; Summit');
    await visitor.log('from 1');
    await visitor.log('see 045 ; summit');
    if (viewport === PHONE) await visitor.click('Sketch');
    await page.waitForSelector('[data-feature=water]');
    await page.waitForSelector('[data-feature=rock]');
    // It lies beyond what was walked: further off its name is on the sheet.
    for (let zooms = 0; zooms < 4; zooms++) await visitor.press('Zoom out');
    await visitor.reads('[data-testid=sketch]', /Summit ±\d+ m/);
  });

  it('boxes an obstacle, passes one with the mark kept, says what marks the start', async () => {
    const visitor = await withLegs(['000 100m']);
    await act(visitor, 'Box an obstacle');
    await visitor.pick('right', '.ant-modal');
    await visitor.fill('#line-out', '20m');
    await visitor.fill('#line-along', '40m');
    await visitor.page.keyboard.press('Enter');
    await visitor.home('180°', /Walk 140 m/);
    await act(visitor, 'mark ahead kept');
    await visitor.pick('left', '.ant-modal');
    await visitor.fill('#line-what', 'boulders');
    await visitor.page.keyboard.press('Enter');
    await visitor.reads(line(2), /Passed on the left, mark ahead kept: boulders/);
    await act(visitor, 'What marks the start');
    await visitor.fill('#line-what', 'two birches');
    await visitor.page.keyboard.press('Enter');
    await visitor.reads(line(3), /The start is marked by: two birches/);
    await visitor.home('180°', /Walk 140 m/);
  });

  it('corrects a leg: the old reading is kept, with its reason, and in the history', async () => {
    const visitor = await withLegs(['000 100m', '090 100m']);
    const { page } = visitor;
    await page.click(line(1));
    await visitor.press('Correct');
    await visitor.fill('input[aria-label="Reason (optional)"]', 'read upside down');
    await visitor.fill(LINE, '270 100m');
    await page.keyboard.press('Enter');
    await visitor.home('135°', /Walk 140 m/);
    await page.waitForSelector(line(1), { hidden: true });
    await visitor.press('1 struck line: Show');
    await visitor.reads(line(1), /090 100m \(struck .*read upside down\)/);
    expect(
      await page.$eval(`${line(1)} > span`, (row) => getComputedStyle(row).textDecorationLine),
    ).toBe('line-through');
    await visitor.press('1 struck line: Hide');
    await page.click(line(0));
    await visitor.press('Strike out');
    await visitor.home('090°', /Walk 100 m/);
    await visitor.press('Undo');
    await visitor.home('135°', /Walk 140 m/);
    await act(visitor, 'History');
    await visitor.reads(
      '.ant-drawer-open',
      /Undone: Struck out: 000 100m.*Corrected: 090 100m → 270 100m \(read upside down\)/,
    );
  });

  it('branches from a station by a tap, closes a loop with a misclosure, moves a leg', async () => {
    const visitor = await withLegs(['000 100m > A', '090 100m']);
    const { page } = visitor;
    await page.click(line(0));
    await visitor.press('Leg from here');
    await visitor.interprets(/^Saved: from A/);
    await visitor.log('180 90m > Start');
    await visitor.reads(line(3), /Misclosure at Start: 10 m, 3\.4 % of the distance walked/);
    await page.click(line(0));
    // The same with a key.
    await page.click(line(1));
    await page.focus('[role=listbox]');
    await page.keyboard.press('f');
    await visitor.interprets(/^Saved: from 2/);
    await visitor.log('045 10km > A');
    await visitor.reads(
      line(5),
      /Misclosure at A: .* A few per cent are usual by compass and pace/,
    );
    await visitor.press('Undo');
    await page.waitForSelector(line(5), { hidden: true });
    await page.click(line(1));
    await visitor.press('Move up');
    await visitor.reads(line(0), /090°/);
    await visitor.reads(line(1), /000°.*A/);
  });

  it('warns beside the line, takes “it is right”, offers the corrected bearing', async () => {
    const visitor = await withLegs([
      '045 100m back 225 > A',
      '090 100m back 282 > B',
      '042 80m back 210 > C',
      'expect N',
      '182 60m',
    ]);
    const { page } = visitor;
    await visitor.reads(line(2), /12° too much at B: iron there\? This leg was read there/);
    await page.click(line(2));
    await visitor.press('Use 030° instead');
    await visitor.reads(line(3), /030°.*C/);
    await visitor.reads(line(5), /roughly N[^]*182°[^]*180° error/);
    await page.click(line(5));
    await visitor.press('How a 180° error happens');
    await visitor.reads(
      '.ant-modal',
      /plate is turned round.*map is upside down.*On the hill.*south end/,
    );
    await page.keyboard.press('Escape');
    await page.waitForSelector('.ant-modal', { hidden: true });
    await visitor.press('Keep it: it is right');
    await page.waitForFunction(
      () => !document.querySelector('#line-5')?.textContent?.includes('180° error'),
    );
    await page.reload();
    await visitor.reads(line(5), /182°/);
    expect(await visitor.text(line(5))).not.toMatch(/180° error/);
  });

  it('logs a leg by dial and number keys, and finds words in a log', async () => {
    const visitor = await withLegs(['pace 65 per 100 m', '000 65p > Ford ; ice on it']);
    const { page } = visitor;
    await visitor.press('Keypad: dial and number keys');
    await visitor.pick('Dial', '[data-keypad]');
    await page.waitForSelector('[role=slider][aria-label=Bearing]', { visible: true });
    await page.focus('[role=slider][aria-label=Bearing]');
    for (let i = 0; i < 9; i++) await page.keyboard.press('PageUp');
    await page.keyboard.press('ArrowRight');
    await visitor.reads('[data-testid=keypad-bearing]', /^091$/);
    const dial = (await page.$('[role=slider][aria-label=Bearing]'))!;
    const box = await stillBox(dial);
    await page.mouse.move(box.x + box.width * 0.95, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.95, { steps: 5 });
    await page.mouse.up();
    await visitor.reads('[data-testid=keypad-bearing]', /^180$/);
    // Turned, it moves on to the count by itself.
    for (const digit of ['6', '6']) await visitor.pick(digit, '[data-keypad]');
    await visitor.press('Erase');
    await visitor.pick('5', '[data-keypad]');
    await visitor.pick('snow', '[data-keypad]');
    await visitor.reads('[data-keypad]', /180° magnetic, south · 65 paces, 100 m · on snow/);
    await visitor.pick('Log it', '[data-keypad]');
    await visitor.reads(line(2), /180°.*65 paces.*snow/);
    await page.keyboard.press('Escape');
    await visitor.gone('[data-keypad]');
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
  });

  it('steps off in two taps, shows the way back in large, and becomes an outing', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await page.goto(visitor.url);
    await visitor.choose('Step off (leave the path briefly)');
    await visitor.alive('[role=slider]');
    await visitor.choose('Go');
    await visitor.reads('[role=alert]', /Which bearing/);
    await page.focus('[role=slider]');
    await page.keyboard.press('End');
    for (let i = 0; i < 29; i++) await page.keyboard.press('ArrowLeft');
    await visitor.fill('#place', 'cairn on the left');
    await visitor.choose('Go');
    await visitor.reads('[data-testid=way-back]', /^150°$/);
    await visitor.reads(
      'main',
      /Set 150° on the compass.*Out 330°.*Just stepped off.*You are back at: cairn on the left/,
    );
    const size = await page.$eval('[data-testid=way-back]', (figure) =>
      parseFloat(getComputedStyle(figure).fontSize),
    );
    expect(size).toBeGreaterThan(140);
    await visitor.choose('More legs: open the log');
    await visitor.reads(line(1), /Stepped off at 330°/);
    await visitor.log('330 100m');
    await visitor.home('150°', /Walk 100 m, south-east, to Path/);
  });
});
