import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { findingsInThemes } from '../../support/browser/axe';
import { chooseFrom } from '../../support/browser/choose-from';
import { folder, offerFile } from '../../support/browser/offer';
import { slideTo } from '../../support/browser/answering';
import { stillBox } from '../../support/browser/still-box';
import { DESK, PHONE, sharedVisitor } from '../../support/browser/visitor';

describe('a blind walk', () => {
  const shared = sharedVisitor(PHONE);

  it('is set on the compass, walked, logged in an outing, and goes on after a reload', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.goto('practice');
    await visitor.pick('Start a blind walk');
    await visitor.reads('main', /You stand at .*, in fog/);
    for (const [times, legs] of [
      [3, 1],
      [5, 2],
      [6, 3],
    ] as const) {
      for (let i = 0; i < times; i++) await visitor.press('Dial +10°');
      await visitor.pick('Turn until the needle is in its arrow');
      await visitor.fill('#walk-paces', '40');
      await visitor.pick('Walk');
      await visitor.reads('[data-testid=walked-legs]', new RegExp(`Leg ${legs}: \\d+ pace`));
    }
    await page.reload();
    await visitor.reads('[data-testid=walked-legs]', /Leg 3: \d+ pace/);
    expect(await page.$$eval('[data-testid=walked-legs] li', (items) => items.length)).toBe(3);
    const counts = (await visitor.text('[data-testid=walked-legs]')).match(/(?<=: )\d+(?= pace)/g)!;
    await visitor.choose('Open the log');
    await page.waitForSelector('[data-testid=home-sentence]');
    for (const [index, bearing] of ['030', '080', '140'].entries()) {
      if (Number(counts[index]) > 0) await visitor.log(`${bearing} ${counts[index]}p`);
    }
    await visitor.choose('Walk on');
    await visitor.reads('[data-testid=walked-legs]', /Leg 3/);
    await visitor.pick('I am back');
    await visitor.reads(
      '[data-testid=truth]',
      /By your log you are [\d.,]+ m from where you really are/,
    );
    await visitor.reads('[data-testid=truth]', /(in|out)side the ellipse of your log \(95 %\)/);
    await page.waitForSelector('[data-testid=tracks] path');
    expect(await findingsInThemes(visitor)).toEqual([]);
    await visitor.goto('practice');
    await visitor.reads('main', /Look at: Blind walk, practice map \d+/);
  });
});

describe('a lake in the way of a blind walk', () => {
  const shared = sharedVisitor(PHONE);

  it('is gone round to the side that is asked for, and told as the log wants it', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    // Always the same country and the same walker.
    await page.evaluateOnNewDocument(() => {
      const sevens = (numbers: Uint32Array) => numbers.fill(7);
      Object.assign(crypto, { getRandomValues: sevens });
    });
    const boxed = /after \d+ paces? round water: (\d+) out to the left, (\d+) along and \1 back/;
    await visitor.goto('practice');
    await visitor.pick('Start a blind walk');
    const paces = '#walk-paces';
    await page.waitForSelector(paces);
    await page.locator('summary ::-p-text(From mark to mark; stop at water)').click();
    await visitor.choose('Go round water on the left');
    await visitor.reads('summary', /go round water on the left/);
    // Over the country in long legs, there and back, turning: sooner or later there is a lake.
    for (let leg = 1; leg <= 40; leg++) {
      for (let turn = 0; turn < 10 + leg; turn += 10) await visitor.press('Dial +10°');
      await visitor.pick('Turn until the needle is in its arrow');
      await visitor.fill(paces, '900');
      await visitor.pick('Walk');
      await visitor.reads('[data-testid=walked-legs]', new RegExp(`Leg ${leg}: \\d+ pace`));
      if (boxed.test(await visitor.text('[data-testid=walked-legs]'))) break;
    }
    const [, out, along] = boxed.exec(await visitor.text('[data-testid=walked-legs]'))!;
    await visitor.choose('Open the log');
    await visitor.log('090 400p');
    await visitor.log(`box left ${out}p along ${along}p`);
    await visitor.home('270°', new RegExp(`${400 + Number(along)} paces`));
  });
});

describe('the compass by itself', () => {
  const shared = sharedVisitor(DESK);

  it('swings, drags when tilted, is pulled by what comes near, and rests', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    // Where the system asks for no movement the needle is at rest at once.
    await page.emulateMediaFeatures([]);
    await visitor.goto('practice', undefined, { compass: '' });
    await visitor.reads('[data-testid=compass-numbers]', /The needle is 80° left of its arrow/);
    await visitor.press('Turn yourself +10°');
    await visitor.reads('[data-testid=compass-numbers]', /The needle is 90° left of its arrow/);
    // By a drag: a quarter of the ring takes the figures with it; beside the ring it turns you.
    const drag = async (radius: number) => {
      const box = await stillBox((await page.$('[data-testid=compass] svg'))!);
      const middle = { x: box.x + box.width / 2, y: box.y + (box.height * 276) / 420 };
      await page.mouse.move(middle.x, middle.y - radius * box.height);
      await page.mouse.down();
      await page.mouse.move(middle.x + radius * box.height, middle.y, { steps: 6 });
      await page.mouse.up();
    };
    await drag(0.24);
    await visitor.reads('[data-testid=compass-numbers]', /The dial reads 230.* 180°/);
    // The next is taken up where the last is seen to have ended.
    await drag(0.31);
    await visitor.reads('[data-testid=compass-numbers]', /The needle is 90° /);
    await drag(0.31);
    await visitor.reads('[data-testid=compass-numbers]', /The needle is in its arrow/);
    for (let turns = 0; turns < 18; turns++) await visitor.press('Turn yourself −10°');
    for (let turns = 0; turns < 9; turns++) await visitor.press('Dial +10°');
    await visitor.reads('[data-testid=compass-numbers]', /The needle is 90° left of its arrow/);
    await visitor.pick('phone');
    await visitor.reads('main', /The needle is [1-9]\d*° off magnetic north/);
    await visitor.pick('nothing');
    await visitor.pick('Reversed needle');
    await visitor.reads('[data-testid=compass-numbers]', /90° right of its arrow/);
    await chooseFrom(visitor, '#compass-part', 'index line');
    await visitor.reads('[data-testid=part-use]', /Index line\. The bearing is read or set here/);
    await visitor.pick('Mirror');
    await page.waitForSelector('[data-testid=compass] use');
    expect(await findingsInThemes(visitor)).toEqual([]);
    await page.focus('[role=slider][aria-labelledby="measure-Tilt"]');
    await page.keyboard.press('End');
    await visitor.reads('main', /Tilted by 40°: the needle is stuck/);
    await page.waitForFunction(() =>
      document.getAnimations().every((each) => each.playState !== 'running'),
    );
  });

  it('is turned by the simulated compass of the phone, when asked', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await page.evaluate(() => localStorage.setItem('cairn-devices', 'simulated'));
    await page.reload();
    await visitor.reads('[data-testid=compass-numbers]', /The dial reads 320/);
    const before = await visitor.text('[data-testid=compass-numbers]');
    await visitor.pick('Turn it with the phone');
    await page.waitForFunction(
      (was: string) => document.querySelector('[data-testid=compass-numbers]')?.textContent !== was,
      {},
      before,
    );
    await visitor.pick('Stop the phone’s compass');
  });
});

describe('a course', () => {
  const shared = sharedVisitor(DESK);

  it('is made, done, handed back, and read by the instructor', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.goto('practice');
    await visitor.pick('Make a course');
    await visitor.pick('Save course');
    await visitor.reads('[role=alert]', /Give it a name and at least one exercise/);
    await visitor.fill('#course-name', 'First evening');
    await chooseFrom(visitor, '#course-exercises', 'Mils');
    await page.keyboard.press('Escape');
    await visitor.pick('Save course');
    await visitor.reads('main', /First evening.*0 of 2 done/s);
    await visitor.choose('1. Mils');
    await visitor.reads('main', /Now a test/);
    await visitor.fill('#answer-text', '1');
    await visitor.pick('Answer');
    await visitor.reads('[data-testid=saved]', /Saved/);
    await visitor.goto('practice');
    await visitor.reads('main', /First evening/);
    await visitor.pick('Show as QR codes');
    await page.waitForSelector('[data-testid=code] svg');
    expect(await findingsInThemes(visitor)).toEqual([]);
  });

  it(
    'of another phone is read from a file, and so are results; a wrong file is ' + 'refused',
    async () => {
      const { visitor } = shared;
      const course = {
        id: 'c-9',
        name: 'Second evening',
        items: [{ exercise: 'quadrants', seed: 4 }],
      };
      const attempt = {
        id: 'a-1',
        exercise: 'quadrants',
        seed: 4,
        at: '2026-11-02T18:00:00.000Z',
        stage: 'test',
        isRight: false,
        slips: ['half-circle'],
        seconds: 9,
        course: 'c-9',
      };
      const results = { course: 'c-9', name: 'Second evening', who: 'Ines', attempts: [attempt] };
      await visitor.goto('practice');
      await visitor.reads('main', /Courses/);
      for (const [text, says] of [
        [{ format: 'cairn-practice-course', version: 1, course }, /“Second evening” is here now/],
        [
          { format: 'cairn-practice-results', version: 1, results },
          /The results of Ines in “Second/,
        ],
        [{ format: 'other' }, /This file can’t be read/],
      ] as const) {
        const path = join(folder, 'practice.json');
        writeFileSync(path, JSON.stringify(text));
        await offerFile(visitor, 'Read a course or results', path);
        await visitor.reads('[data-testid=course-said]', says);
      }
      await visitor.reads('[data-testid=results]', /Ines: 0 of 1 correct; slips: 180° error/);
    },
  );
});

describe('axe finds nothing', () => {
  const shared = sharedVisitor(PHONE);

  it('on a map, under a panorama, and with a verdict', async () => {
    const { visitor } = shared;
    const open = (exercise: string) =>
      visitor.goto('practice', undefined, { exercise, seed: '4', course: 'x' });
    await open('orient-map');
    await visitor.page.waitForSelector('[data-testid=country-map]');
    await slideTo(visitor, 'Turn-the-map', 40);
    await visitor.pick('Answer');
    await visitor.page.waitForSelector('[data-testid=verdict]');
    expect(await findingsInThemes(visitor)).toEqual([]);
    await open('sight');
    await visitor.page.waitForSelector('[data-testid=panorama]');
    expect(await findingsInThemes(visitor)).toEqual([]);
  });
});
