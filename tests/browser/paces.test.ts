import { describe, expect, it } from 'vitest';
import { DESK, PHONE, Visitor } from './visitor';

const COUNTED = '[data-testid=counted]';
const outingId = (visitor: Visitor) => new URL(visitor.page.url()).searchParams.get('id')!;

async function atCounter(viewport: typeof DESK = PHONE) {
  const visitor = await Visitor.arrive(viewport);
  await visitor.startOuting();
  const id = outingId(visitor);
  await visitor.log('pace 65 per 100 m');
  await visitor.page.goto(`${visitor.url}/count?id=${id}`);
  await visitor.reads(COUNTED, /^0$/);
  return visitor;
}

/** Taps the middle of the area at a steady rate. */
async function tap(visitor: Visitor, times: number, everyMs: number) {
  const area = (await visitor.page.waitForSelector('[data-tap]'))!;
  await area.scrollIntoView();
  const box = (await area.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const began = Date.now();
  for (let i = 0; i < times; i++) {
    await visitor.page.touchscreen.tap(x, y);
    await new Promise((resolve) => setTimeout(resolve, began + (i + 1) * everyMs - Date.now()));
  }
}

const reading = (visitor: Visitor) => visitor.text(COUNTED);

describe('the counter', () => {
  it('counts four taps a second through a reload, notes what is seen, and logs the leg', async () => {
    const visitor = await atCounter();
    const { page } = visitor;
    await visitor.fill('#hold', '231');
    await tap(visitor, 20, 250);
    await visitor.reads(COUNTED, /^20$/);
    await page.reload();
    await visitor.reads(COUNTED, /^20$/);
    expect(await page.$eval('#hold', (field) => (field as HTMLInputElement).value)).toBe('231');
    await tap(visitor, 20, 250);
    await visitor.reads(COUNTED, /^40$/);
    await visitor.reads('[data-testid=counted-metres]', /^62 m$/);

    await visitor.choose('Seen here');
    await visitor.fill('#seen-what', 'spring');
    await visitor.choose('Left');
    await visitor.fill('#seen-away', '12');
    await visitor.choose('Note it');
    await visitor.reads('[role=status]', /1 thing noted/);
    await tap(visitor, 6, 120);
    await visitor.choose('Take one back');
    await visitor.reads(COUNTED, /^45$/);

    await visitor.choose('Arrived: log it');
    await visitor.fill('#arrived-station', 'Gauge 1');
    await visitor.reads(
      '.ant-modal',
      /231° as the needle reads, south-west · 45 paces, 69 m · to Gauge 1/,
    );
    await page.keyboard.press('Enter');
    await visitor.reads('[role=status]', /Logged: 231 45p > Gauge 1/);
    await visitor.reads(COUNTED, /^0$/);
    await visitor.click('Back to the log');
    await visitor.home('051°', /Walk 69 m: 45 paces/);
    await visitor.reads(
      '#line-2',
      /62 m.*spring, 12 m to the left|61\.5 m.*spring, 12 m to the left/,
    );
    await visitor.leave();
  });

  it('works by keys alone, by tens and hundreds, in single steps', async () => {
    const visitor = await atCounter(DESK);
    const { page } = visitor;
    for (let i = 0; i < 12; i++) await page.keyboard.press('Space');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Backspace');
    await visitor.reads(COUNTED, /^11$/);
    await visitor.choose('10 paces');
    await page.keyboard.press('Space');
    await visitor.reads(COUNTED, /^21$/);
    await visitor.choose('100 m');
    // Focus is on the choice now; the area takes the tap.
    await page.click('[data-tap]');
    await visitor.reads('[data-testid=counted-metres]', /^132 m$/);
    await visitor.choose('Arrived: log it');
    await visitor.fill('#arrived-bearing', '8 S');
    await visitor.reads('.ant-modal', /contradict each other/);
    await page.keyboard.press('Backspace');
    await page.keyboard.press('Backspace');
    await visitor.reads('.ant-modal', /008° as the needle reads.*132\.3 m/);
    await page.keyboard.press('Enter');
    await visitor.reads('[role=status]', /Logged: 8 132\.3m/);
    await visitor.choose('Sound, sensors, steps');
    await visitor.choose('Single steps instead of paces');
    await visitor.choose('1 step');
    await page.click('[data-tap]');
    await page.click('[data-tap]');
    await page.click('[data-tap]');
    await visitor.reads('[data-testid=counted-metres]', /^2 m$/);
    await visitor.leave();
  });

  it('counts by simulated motion, reads the simulated compass, and takes its bearing only by a tap', async () => {
    const visitor = await atCounter();
    const { page } = visitor;
    await page.evaluate(() => localStorage.setItem('cairn-devices', 'simulated'));
    await page.reload();
    await visitor.reads('section[aria-label="Simulated devices"]', /Walking/);
    await visitor.choose('Sound, sensors, steps');
    await visitor.choose('Count by the phone’s motion');
    await visitor.choose('Walking');
    await page.waitForFunction(
      (at: string) => Number(document.querySelector(at)?.textContent) >= 4,
      {},
      COUNTED,
    );
    await visitor.choose('Walking');
    const walked = Number(await reading(visitor));
    await tap(visitor, 1, 50);
    await page.waitForFunction(
      (at: string, least: number) => Number(document.querySelector(at)?.textContent) > least,
      {},
      COUNTED,
      walked,
    );
    await visitor.choose('Phone’s compass');
    await visitor.reads('section[aria-label="Phone’s compass"]', /phone’s own iron.*Take 23\d°/);
    const hold = () => page.$eval('#hold', (field) => (field as HTMLInputElement).value);
    expect(await hold()).toBe('');
    const take = await page.waitForSelector('::-p-text(Take 23)');
    await take!.evaluate((button) => (button as HTMLElement).click());
    expect(await hold()).toMatch(/^23\dM$/);
    await visitor.leave();
  });
});

describe('paces', () => {
  it('a calibration of three walks by live count, used in an outing, and older ones kept', async () => {
    const visitor = await Visitor.arrive(PHONE);
    await visitor.startOuting();
    const id = outingId(visitor);
    const { page } = visitor;
    await page.goto(`${visitor.url}/paces?id=${id}`);
    await visitor.reads('main', /No calibration yet/);
    await page.type('#course', '30');
    for (const [walk, count] of [20, 21, 19].entries()) {
      await visitor.choose('Count it live');
      await visitor.reads('main', new RegExp(`Counting walk ${walk + 1}`));
      await tap(visitor, count, 60);
      await visitor.reads('[data-testid=walk-count]', new RegExp(`^${count}$`));
      await visitor.choose('End of the course');
      await page.waitForSelector('#course');
    }
    await visitor.reads(
      '[data-testid=calibration]',
      /A pace is 1\.50 m: 66\.7 to 100 m\. It repeats to 5\.0 %/,
    );
    await page.waitForSelector('canvas[aria-label^="Length of a pace"]');
    await visitor.choose('Keep this calibration');
    await visitor.reads('main', /in general1\.50 m66\.75\.0 %/);
    for (const [ground, count] of [
      ['rough', '24'],
      ['rough', '25'],
      ['heather', '27'],
    ] as const) {
      if (ground === 'rough') {
        await page.evaluate(() => {
          const chips = [...document.querySelectorAll<HTMLElement>('[aria-label=Ground] button')];
          const rough = chips.find((each) => each.textContent === 'rough')!;
          if (rough.getAttribute('aria-pressed') !== 'true') rough.click();
        });
      } else {
        await visitor.fill('#own-ground', 'Heather');
      }
      await visitor.fill('#walk-1', count);
      await visitor.fill('#walk-2', count);
      await visitor.choose('Keep this calibration');
      await visitor.reads('[data-testid=calibration]', new RegExp(`Kept for ${ground}`));
    }
    await visitor.reads('main', /rough1\.20 m83\.3.*1 older kept.*heather1\.11 m90\.0/);
    await visitor.choose('Use in this outing');
    await visitor.reads('main', /walked with these paces from here on/);
    await visitor.click('Back to the log');
    await visitor.log('000 20p');
    await visitor.log('090 25p rough');
    await visitor.log('180 27p on heather');
    await visitor.log('270 20p snow');
    await visitor.reads('#line-4', /25 paces.*30 m.*rough/);
    await visitor.reads('#line-5', /27 paces.*30 m.*heather/);
    await visitor.reads('#line-6', /No pace is known for snow/);
    await page.goto(`${visitor.url}/paces?id=${id}`);
    await visitor.reads(
      '[data-testid=doubt]',
      /Straight home from here.*Paces alone would make \d+ m of it, bearings alone \d+ m/,
    );
    await visitor.leave();
  });

  it('says what is wrong with a course or a walk, and names profiles', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await page.goto(`${visitor.url}/paces`);
    await page.waitForSelector('#course');
    await page.type('#course', '0');
    await page.type('#walk-1', '65');
    await visitor.reads('[data-testid=calibration]', /needs a length above zero/);
    await visitor.fill('#course', '100');
    await visitor.fill('#walk-1', '1');
    await visitor.reads('[data-testid=calibration]', /a count of 1 is too small/);
    await visitor.fill('#walk-1', '65');
    await page.type('#walk-2', '66');
    await page.type('#walk-3', '198');
    await visitor.reads('[data-testid=calibration]', /Walk 3 has 3\.0 times the count/);
    expect(
      await page.$eval('button[type=submit]', (it) => (it as HTMLButtonElement).disabled),
    ).toBe(true);
    await visitor.fill('#walk-3', 'many');
    await visitor.reads('[data-testid=calibration]', /“many” is no count/);
    await visitor.click('Leave walk 3 out');
    await visitor.choose('New');
    await page.waitForSelector('#profile-name', { visible: true });
    await visitor.fill('#profile-name', 'In boots');
    await page.keyboard.press('Enter');
    await visitor.reads('main', /In boots/);
    await visitor.choose('Keep this calibration');
    await visitor.reads('main', /in general1\.53 m65\.5/);
    await visitor.leave();
  });
});
