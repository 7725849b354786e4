import { describe, expect, it } from 'vitest';
import { wayHome } from '@/core/navigation/ways/way';
import { bearingText } from '@/ui/units/shown';
import { solvedLog } from '../support/outings';
import { LINE, sharedVisitor, TEN_LEGS, Visitor } from '../support/browser/visitor';

/** What the core says of the ten legs: the screen must say the same. */
function answer() {
  const { solution } = solvedLog(`pace 65 per 100 m\n${TEN_LEGS.join('\n')}`);
  const home = wayHome(solution);
  return { bearing: bearingText(home.bearing.magnetic!), paces: Math.round(home.paces!) };
}

/** Runs in the page: Enter, more text, and Enter so often, all before the store has answered. */
function enterAndGoOn(field: Element, more: string, enters: number) {
  const input = field as HTMLInputElement;
  const press = () =>
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
  press();
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
  set.call(input, `${input.value}${more}`);
  input.dispatchEvent(new Event('input', { bubbles: true }));
  for (let enter = 0; enter < enters; enter++) press();
}

describe('a first visit', () => {
  it('explains itself; ten legs are typed without the mouse, and survive a reload', async () => {
    const visitor = await Visitor.arrive();
    const { page } = visitor;
    await page.goto(visitor.url);
    await visitor.reads('main', /bearing and the distance straight home/);
    await page.waitForSelector('aria/Open the demo outing');
    await visitor.click('Start an outing');
    await page.waitForSelector('[data-testid=home-sentence]');

    await visitor.log('pace 65 per 100 m');
    for (const line of TEN_LEGS) {
      await visitor.log(line);
      // Focus stays on the line: the next leg is typed at once.
      const focused = await page.evaluate(() => document.activeElement?.getAttribute('aria-label'));
      expect(focused).toBe('Next line of the log');
    }
    const { bearing, paces } = answer();
    await visitor.home(bearing, new RegExp(`${paces} paces`));
    await visitor.drawsLegs(10);

    await page.reload();
    await visitor.home(bearing, new RegExp(`${paces} paces`));
    await page.goto(visitor.url);
    await visitor.reads('main', /10 legs/);
    await visitor.leave();
  });
});

describe('a second outing of a day', () => {
  it('gets a name of its own', async () => {
    const visitor = await Visitor.arrive();
    await visitor.startOuting();
    await visitor.startOuting();
    await visitor.goto('outings');
    await visitor.reads('main', /Outing of \d+ \w+ \d{4} \(2\)/);
    await visitor.leave();
  });
});

describe('logging', () => {
  const shared = sharedVisitor();

  it('shows how a line is read before it is saved: words, sketch and strip', async () => {
    const { visitor } = shared;
    await visitor.open(['000 100m > Gauge 1']);
    await visitor.type('090 100m > Camp ; birch');
    await visitor.interprets(/090° magnetic, east · 100 m · to Camp · note “birch”/);
    await visitor.page.waitForSelector('[data-testid=preview-leg]');
    await visitor.home('225°', /After this leg:.*Walk 140 m, south-west/);
    await visitor.drawsLegs(1);
    await visitor.page.keyboard.press('Escape');
    await visitor.home('180°', /^Set 180° on the compass. Walk 100 m, south, to Start/);
  });

  it('points at the wrong character, says what was expected, offers a reading', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open([]);
    await visitor.type('8 S 65m');
    await visitor.interprets(/008° and S contradict each other. Did you mean 008, S8E or S8W\?/);
    const offset = await page.evaluate((at) => {
      const input = document.querySelector(at)!;
      const marker = document.querySelector('[data-column]')!;
      const style = getComputedStyle(input);
      const canvas = document.createElement('canvas').getContext('2d')!;
      canvas.font = style.font;
      const left =
        input.getBoundingClientRect().left +
        parseFloat(style.paddingLeft) +
        parseFloat(style.borderLeftWidth);
      return (marker.getBoundingClientRect().left - left) / canvas.measureText('0').width;
    }, LINE);
    expect(offset).toBeCloseTo(2, 1);
    await page.keyboard.press('Enter');
    await visitor.drawsLegs(0);
    await visitor.click('Read it as S8W');
    await visitor.interprets(/188° magnetic, south · 65 m/);
    await page.keyboard.press('Enter');
    await visitor.home('008°', /Walk 65 m/);

    await visitor.type('220 65m burnt snag, 2 trees');
    await visitor.interprets(/Can’t read “burnt”.*or ; before a note that holds a number/);
    await visitor.fill(LINE, 'form Start');
    await visitor.click('Read it as from');
    expect(await visitor.value(LINE)).toBe('from Start');
    await page.keyboard.press('Escape');
  });

  it('reads what people write, and shows how it will be written before Enter', async () => {
    const { visitor } = shared;
    await visitor.open(['date 2020-07-01', '000 100m > Gauge 1']);
    await visitor.type('N 40° E for 1/2 mile, burnt snag > gauge 1');
    await visitor.fill(LINE, 'N 40° E for 1/2 mile (burnt snag) to gauge  1 @ 9.48');
    await visitor.interprets(/^N40E 0\.5mi @09:48 > Gauge 1 ; burnt snag 040° magnetic/);
    await visitor.fill(LINE, 'declination 2 deg 18 min W, July 2009, 9 min E a year');
    await visitor.interprets(/change 0°9' E a year.*0°39′ W on 1 July 2020/);
  });

  it('takes several pasted lines at once, and none while one can’t be read', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open([]);
    await page.focus(LINE);
    await page.$eval(LINE, (field) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData(
        'text',
        'pace 65/100m\n220/65, burnt snag\nN 40 E 130 double paces\n8 S 65p',
      );
      field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }));
    });
    await visitor.reads(
      '[data-testid=lines]',
      /pace 65 per 100 m220 65p ; burnt snagN40E 130p8 S 65p/,
    );
    await visitor.reads('[data-testid=lines]', /008° and S contradict each other/);
    await visitor.press('Read it as S8W');
    await visitor.pick('Log 4 lines', '.ant-modal');
    await visitor.gone('.ant-modal');
    await visitor.reads('#interpretation', /^Saved: 4 lines\.$/);
    await visitor.drawsLegs(3);
  });

  it('keeps a line that is typed and not logged over a reload', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(['000 100m']);
    await visitor.type('220 65m ; half wri');
    await page.reload();
    await page.waitForSelector(LINE);
    expect(await visitor.value(LINE)).toBe('220 65m ; half wri');
    await page.focus(LINE);
    await page.keyboard.press('Enter');
    await visitor.interprets(/^Saved/);
    await page.reload();
    await page.waitForSelector(LINE);
    expect(await visitor.value(LINE)).toBe('');
  });

  it('logs one leg for Enter held down, and for two taps', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(['000 100m']);
    await visitor.type('090 100m');
    await page.focus(LINE);
    // A key that is held down repeats.
    for (let repeat = 0; repeat < 8; repeat++) await page.keyboard.down('Enter');
    await page.keyboard.up('Enter');
    await visitor.interprets(/^Saved/);
    await visitor.drawsLegs(2);
    await visitor.type('180 100m');
    await page.evaluate(() => {
      const log = [...document.querySelectorAll<HTMLElement>('button')].find(
        ({ textContent }) => textContent === 'Log it',
      )!;
      for (let tap = 0; tap < 4; tap++) log.click();
    });
    await visitor.interprets(/^Saved: 180 100m/);
    await visitor.home('270°', /Walk 100 m/);
    await visitor.drawsLegs(3);
  });

  it('keeps what is typed while the line before is being written', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open([]);
    await visitor.type('000 100m');
    await page.$eval(LINE, enterAndGoOn, '090 50m', 0);
    await page.waitForFunction(
      (at: string) => document.querySelector<HTMLInputElement>(at)?.value === '090 50m',
      {},
      LINE,
    );
    await page.keyboard.press('Enter');
    await visitor.interprets(/^Saved: 090 50m/);
    expect(await visitor.value(LINE)).toBe('');
    await visitor.drawsLegs(2);
  });

  it('logs a line that is entered while the one before is being written', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open([]);
    await visitor.type('000 100m');
    await page.$eval(LINE, enterAndGoOn, '090 50m', 2);
    await visitor.interprets(/^Saved: 090 50m/);
    expect(await visitor.value(LINE)).toBe('');
    await visitor.drawsLegs(2);
  });

  it('says when nothing is found in the log', async () => {
    const { visitor } = shared;
    await visitor.open(['000 100m ; birch']);
    await visitor.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await visitor.page.keyboard.press('/');
    await visitor.fill('[aria-label="Find in the log"]', 'larch');
    await visitor.reads('#pane-log', /Not found in this log: “larch”/);
  });

  it('paces beside metres ask for the pace, and the settings take it', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(['000 10m']);
    await visitor.type('220 65p');
    await visitor.interprets(/needs the length of a pace first/);
    await visitor.click('Settings');
    await visitor.fill('#set-pace', '65');
    await visitor.reads('[role=dialog]', /Did you mean 65 per 100 m or 65 m/);
    await visitor.fill('#set-pace', '65 per 100 m');
    await visitor.choose('Apply declination');
    await visitor.choose('Typed in');
    await visitor.fill('#declination-angle', '19.1');
    await visitor.reads('[role=dialog]', /Did you mean 19.1 E or 19.1 W/);
    await visitor.fill('#declination-angle', '19.1 W');
    await visitor.click('Save');
    await visitor.gone('.ant-drawer-open');
    await visitor.reads('header', /Declination 19\.1° W/);
    await visitor.interprets(/65 paces, 100 m/);
    await page.focus(LINE);
    await page.keyboard.press('Enter');
    // By hand: 64.3 m east and 66.6 m north of there, 044 magnetic and 025 true.
    await visitor.home('044°', /Walk 93 m: 60 paces, north-east,/);
  });

  it('the model gives the declination at the start, loaded when asked for', async () => {
    const { visitor } = shared;
    await visitor.open(['declination 5 E']);
    await visitor.click('Settings');
    await visitor.fill('#set-place', '54.2 -63.5');
    await visitor.fill('#set-date', '2026-08-14');
    await visitor.choose('World Magnetic Model');
    await visitor.click('Save');
    await visitor.reads('header', /Declination 19\.2° W/);
  });
});
