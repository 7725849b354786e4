import { describe, expect, it } from 'vitest';
import { tap } from '../support/browser/tap';
import { PHONE, Visitor } from '../support/browser/visitor';

describe('pace calibration', () => {
  it('counts three walks, is used in an outing, and keeps older calibrations', async () => {
    const visitor = await Visitor.arrive(PHONE);
    const id = await visitor.open([], 'pacing');
    const { page } = visitor;
    await visitor.reads('main', /No calibration yet/);
    await page.type('#course', '30');
    for (const [walk, count] of [20, 21, 19].entries()) {
      await visitor.choose('Count a walk now');
      await visitor.reads('main', new RegExp(`Counting walk ${walk + 1}`));
      await tap(visitor, count);
      await visitor.reads('[data-testid=walk-count]', new RegExp(`^${count}$`));
      await visitor.choose('End of the course');
      await page.waitForSelector('#course');
    }
    await visitor.reads(
      '[data-testid=calibration]',
      /One pace is 1\.50 m: 66\.7 per 100 m\. Spread from walk to walk ±5\.0 %/,
    );
    await page.waitForSelector('canvas[aria-label^="Length of a pace"]');
    await visitor.choose('Save this calibration');
    await visitor.reads('main', /general1\.50 m66\.75\.8 %/);
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
      await visitor.choose('Save this calibration');
      await visitor.reads('[data-testid=calibration]', new RegExp(`Saved for ${ground}`));
    }
    await visitor.reads('main', /rough1\.20 m83\.3.*1 older calibration.*heather1\.11 m90\.0/);
    await visitor.choose('Use in this outing');
    await visitor.reads('main', /uses these paces from here on/);
    await visitor.click('Back to the log');
    await visitor.log('000 20p');
    await visitor.log('090 25p rough');
    await visitor.log('180 27p on heather');
    await visitor.log('270 20p snow');
    await visitor.reads('#line-4', /25 paces.*30 m.*rough/);
    await visitor.reads('#line-5', /27 paces.*30 m.*heather/);
    await visitor.reads('#line-6', /No pace is known for snow/);
    await visitor.goto('pacing', id);
    await visitor.reads(
      '[data-testid=sources]',
      /way home from here.*Paces alone would make it \d+ m, bearings alone \d+ m/,
    );
    await visitor.leave();
  });

  it('says what is wrong with a course or a walk, and names profiles', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.goto('pacing');
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
    await visitor.reads('[data-testid=calibration]', /“many” is not a number/);
    await visitor.click('Remove walk 3');
    await visitor.choose('New profile');
    await page.waitForSelector('#profile-name', { visible: true });
    await visitor.fill('#profile-name', 'In boots');
    await page.keyboard.press('Enter');
    await visitor.reads('main', /In boots/);
    await visitor.choose('Save this calibration');
    await visitor.reads('main', /general1\.53 m65\.5/);
    await visitor.leave();
  });
});

describe('uncertainty', () => {
  it('learns from a loop, is set for a person and for an outing, and is forgotten', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await visitor.goto('uncertainty');
    await visitor.reads('[data-testid=record]', /no closed loop, back bearing or calibration/);
    const id = await visitor.store([
      'pace 1 m',
      '000 200p back 183',
      '090 200p back 266',
      '180 200p back 002',
      '270 205p back 087 > Start',
    ]);
    await visitor.goto('uncertainty', id);
    await visitor.reads('[data-testid=record]', /From 1 closed loop and 0 calibrations/);
    await page.waitForSelector('canvas[aria-label^="Walking from mark to mark"]');
    await visitor.reads('[data-sigma=landmark]', /2°\d(\.\d)?°.*2° usual/);
    // The person's own, for new outings, and taken over into this one.
    await visitor.fill('[aria-label="Following the needle, yours"]', '3');
    await page.keyboard.press('Enter');
    await visitor.choose('Use my figures in this outing');
    await visitor.reads('main', /This outing now has your figures/);
    await visitor.reads('[data-sigma=needle]', /3° set for this outing/);
    await visitor.fill('[aria-label="Metres by eye (a tape: 1 %), on this outing"]', '1');
    await page.keyboard.press('Enter');
    await visitor.reads('[data-sigma=measured]', /1 % set for this outing/);
    await page.reload();
    await visitor.reads('[data-sigma=measured]', /1 % set for this outing/);
    // Without an outing the table says what a new one begins with.
    await visitor.goto('uncertainty');
    await visitor.reads('[data-sigma=needle]', /3° set by you/);
    await visitor.reads('[data-sigma=landmark]', /learned from your outings/);
    await visitor.choose('Learn from my loops, arrivals and calibrations');
    await visitor.reads('[data-sigma=landmark]', /2° usual/);
    await visitor.choose('Forget what was learned');
    await visitor.reads('main', /no longer count/);
    await visitor.reads('[data-testid=record]', /no closed loop/);
    await visitor.choose('Learn from all outings again');
    await visitor.reads('[data-testid=record]', /From 1 closed loop/);
    await visitor.leave();
  });
});
