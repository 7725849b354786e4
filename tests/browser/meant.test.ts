import { describe, expect, it } from 'vitest';
import { dropFiles } from '../support/browser/offer';
import { tap } from '../support/browser/tap';
import { LINE, PHONE, sharedVisitor, TEN_LEGS } from '../support/browser/visitor';

const line = (index: number) => `#line-${index}`;

describe('what a person means, at a desk', () => {
  const shared = sharedVisitor();

  it('a first leg in paces is taken, and all is in paces until a pace is given', async () => {
    const { visitor } = shared;
    await visitor.startOuting();
    await visitor.type('220 65p ; burnt snag');
    await visitor.interprets(/^220° magnetic, south-west · 65 paces · note/);
    await visitor.home('040°', /After this leg: .*Walk 65 paces, north-east, to Start/);
    await visitor.page.keyboard.press('Enter');
    await visitor.reads(line(0), /220°.*65 paces/);
    await visitor.home('040°', /Walk 65 paces, north-east, to Start/);
    await visitor.log('350 130p > Gauge 1');
    await visitor.reads('[data-testid=home-sentence]', /Walk 101 paces, south-east, to Start/);
    await visitor.reads('[data-testid=scale-bar]', /^\d+ paces$/);
    expect(await visitor.text('main')).not.toMatch(/\d m\b/);
    // A length in metres asks for the pace, and stays typed.
    await visitor.type('140 50m');
    await visitor.interprets(/so far are in paces alone.*Paces in 100 m/);
    await visitor.fill('#pace-ask', '65');
    await visitor.page.keyboard.press('Enter');
    await visitor.gone('#pace-ask');
    expect(await visitor.value(LINE)).toBe('140 50m');
    await visitor.page.focus(LINE);
    await visitor.page.keyboard.press('Enter');
    await visitor.reads(line(3), /140°.*50 m/);
    await visitor.reads('[data-testid=home-sentence]', /Walk \d+ m: \d+ paces/);
    // Also afterwards: without the pace again, and with one at the end of the log.
    await visitor.press('Undo');
    await visitor.reads('[data-testid=home-sentence]', /Walk 155 m: 101 paces/);
    await visitor.press('Undo');
    await visitor.reads('[data-testid=home-sentence]', /Walk 101 paces/);
    await visitor.log('pace 65 per 100 m');
    await visitor.reads('[data-testid=home-sentence]', /Walk 155 m: 101 paces/);
  });

  it('what needs metres says so, on Home now and on Way home', async () => {
    const { visitor } = shared;
    const id = await visitor.open(['start Dock', '220 65p', '350 130p'], 'home-now');
    await visitor.reads('main', /101 paces/);
    await visitor.reads('[data-testid=light]', /In paces alone there is no time of arrival/);
    await visitor.goto('way-home', id);
    await visitor.reads('[data-testid=recommended]', /^In paces alone there is no time of arrival/);
    await visitor.reads('[data-testid=sure]', /^Within \d+ paces of Dock \(95 %\)/);
    expect(await visitor.text('main')).not.toMatch(/\d m\b|\d min\b/);
    await visitor.goto('outings');
    await visitor.reads('main', /2 legs · 195 paces walked/);
  });

  it('two presses correct the row that was under the first, and it stays in view', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open([
      'pace 65 per 100 m',
      ...TEN_LEGS,
      ...TEN_LEGS.map((leg) => leg.replace(/ >.*/, '')),
    ]);
    // Entry 16 is leg 16: the fourth row from the end, which the tools of a line come to cover.
    const row = (await page.waitForSelector(line(16)))!;
    const box = (await row.boundingBox())!;
    const [x, y] = [box.x + 60, box.y + box.height / 2];
    await page.mouse.click(x, y);
    await page.waitForSelector('[data-line-tools]');
    // Whatever is there now: the second press within the same double press.
    await page.mouse.click(x, y, { count: 2, delay: 0 });
    await page.waitForFunction(
      (at: string) => document.querySelector<HTMLInputElement>(at)!.value !== '',
      {},
      LINE,
    );
    expect(await visitor.value(LINE)).toMatch(/^301 110p/);
    await visitor.reads('main', /Correcting leg 16/);
    await page.keyboard.press('Escape');
    // One press near the foot: the row that was meant is the one that is seen.
    const last = (await page.waitForSelector(line(19)))!;
    await last.click();
    await page.waitForSelector('[data-line-tools]');
    await page.waitForFunction(
      (at: string) => {
        const found = document.querySelector(at)!.getBoundingClientRect();
        const tools = document.querySelector('[data-line-tools]')!.getBoundingClientRect();
        return found.bottom <= tools.top + 1;
      },
      {},
      line(19),
    );
    await visitor.reads('[data-line-tools]', /^Leg 19/);
  });

  it('files dropped on any page are looked at together, and known again', async () => {
    const { visitor } = shared;
    const cil =
      'cairn-back log 1\nouting Cil, birds\nby Cil\ndate 2026-07-03\nstart Ford\n220 65m\n';
    const dan = cil.replaceAll('Cil', 'Dan').replace('220 65m', '100 30m');
    await visitor.goto('outings');
    await visitor.reads('main', /Start an outing/);
    await dropFiles(visitor, [
      { name: 'cil.log.txt', text: cil },
      { name: 'dan.log.txt', text: dan },
      { name: 'notes.pdf', text: '%PDF-1.7' },
    ]);
    const dialog = '[role=dialog]';
    await visitor.reads(dialog, /Cil, birds 3 July 2026 · by Cil · 1 leg · new/);
    await visitor.reads(dialog, /Dan, birds 3 July 2026 · by Dan · 1 leg · new/);
    await visitor.reads(dialog, /notes\.pdf can’t be read.*This file is a PDF/s);
    await visitor.pick('Import 2 outings', dialog);
    await visitor.reads('[data-testid=imported]', /^2 imported/);
    await visitor.reads(dialog, /Join them in an area/);
    await visitor.pick('Close', dialog);
    await visitor.reads('main', /Cil, birds.*by Cil/);
    // The same day with a leg more is the same outing: it is asked, not doubled.
    await dropFiles(visitor, [{ name: 'cil.log.txt', text: `${cil}090 20m\n` }]);
    await visitor.reads(dialog, /You already have this outing, with different contents/);
    await visitor.pick('replace', dialog);
    await visitor.pick('Import 1 outing', dialog);
    await visitor.reads('[data-testid=imported]', /^1 replaced/);
    await visitor.click('Open it');
    await visitor.page.waitForSelector('[data-testid=home-sentence]');
    await visitor.reads('#pane-log', /090°.*20 m/s);
  });

  it('a choice of declination says what it still needs, and keeps what was answered', async () => {
    const { visitor } = shared;
    const dialog = '.ant-modal';
    await visitor.open(['220 65m']);
    await visitor.click('Settings');
    await visitor.choose('Help me choose');
    await visitor.choose('Yes');
    await visitor.pick('Next', dialog);
    await visitor.choose('Nothing: it reads magnetic bearings');
    await visitor.pick('Next', dialog);
    await visitor.choose('The grid lines');
    await visitor.pick('Next', dialog);
    await visitor.choose('I was given it');
    await visitor.fill('#guide-angle', '12 E');
    await visitor.reads(dialog, /Still needed: the position of the start, since you measure from/);
    await visitor.pick('Back', dialog);
    await visitor.choose('The map’s edges');
    await visitor.pick('Next', dialog);
    expect(await visitor.value('#guide-angle')).toBe('12 E');
    await visitor.pick('Next', dialog);
    // From grid north it says where true north is only with the place.
    await visitor.reads(dialog, /From which north is that angle said\?/);
    await visitor.choose('Grid north:');
    await visitor.reads(dialog, /Still needed: the position of the start, since you measure from/);
    await visitor.choose('True north, or it only says');
    await visitor.pick('Next', dialog);
    await visitor.pick('Use this', dialog);
    await visitor.reads('header', /Declination 12\.0° E/);
  });
});

describe('what a person means, in the hand', () => {
  const shared = sharedVisitor(PHONE);

  it('the keypad corrects the leg that is corrected, and takes minutes', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(['pace 65 per 100 m', '220 65p @10:00 ; snag', '300 40p']);
    await (await page.waitForSelector(line(1)))!.tap();
    await visitor.pick('Correct', '[data-line-tools]');
    await visitor.reads('main', /Correcting leg 1/);
    await visitor.press('Keypad: dial and number keys');
    await visitor.reads('[data-keypad]', /^Correcting leg 1/);
    await visitor.reads('[data-testid=keypad-bearing]', /^220$/);
    await visitor.pick('Count', '[data-keypad] [aria-label="Number pad"]');
    for (const digit of ['4', '4']) await visitor.pick(digit, '[data-keypad]');
    // The first key goes on with what is there; erasing makes room.
    await visitor.reads('[data-testid=keypad-count]', /^6544$/);
    await page.keyboard.press('Backspace');
    await page.keyboard.press('Backspace');
    await page.keyboard.press('Backspace');
    await page.keyboard.press('Backspace');
    for (const digit of ['4', '4']) await visitor.pick(digit, '[data-keypad]');
    await visitor.pick('Save', '[data-keypad]');
    // The keys leave no room for a row: what was saved is said below them.
    await visitor.reads('[data-testid=keypad-reading]', /Saved: 220 44p @10:00 ; snag/);
    await visitor.gone('[data-line-tools]');
    // The pad goes on with a new leg, by the clock.
    await visitor.reads('[data-testid=keypad-count]', /^–$/);
    for (let press = 0; press < 3; press++) {
      await page.$eval('[data-keypad] [title="Unit of the count"]', (key) =>
        (key as HTMLElement).click(),
      );
    }
    for (const digit of ['3', '0', '0', '6']) await visitor.pick(digit, '[data-keypad]');
    await visitor.reads('[data-testid=keypad-reading]', /6 minutes at 5 km\/h, 500 m/);
    await visitor.pick('Log it', '[data-keypad]');
    await visitor.reads('[data-testid=keypad-reading]', /Saved: 300 6min@5kmh/);
    await page.goBack();
    await visitor.gone('[data-keypad]');
    await visitor.reads('#pane-log', /220°44 paces.*snag.*300°6 minutes/s);
  });

  it('at the end of the count one who can’t see home is led to the search', async () => {
    const { visitor } = shared;
    const id = await visitor.store(['pace 65 per 100 m', 'start Dock', '000 20m']);
    await visitor.goto('counter', id, { follow: '180M', metres: '20', to: 'Dock' });
    await visitor.reads('[data-testid=target]', /To Dock: 20 m, 13 paces left/);
    await tap(visitor, 12);
    expect(await visitor.text('main')).not.toMatch(/I can’t see it/);
    await tap(visitor, 1);
    await visitor.pick('I can’t see it');
    await visitor.page.waitForSelector('[data-testid=search-next]');
    await visitor.reads('main', /Leg 1 of the search/);
    await visitor.goto('outing', id);
    await visitor.reads('#pane-log', /180°13 paces/s);
  });

  it('a way whose end was said before its count closes the log afterwards', async () => {
    const { visitor } = shared;
    const id = await visitor.open(['pace 65 per 100 m', 'start Dock', '000 200m'], 'walk');
    await visitor.pick('I am there');
    await visitor.reads('[data-testid=afterwards]', /How many paces was it from 1 to Dock\?/);
    await visitor.fill('#afterwards', '127');
    await visitor.pick('Log this stretch', '[data-testid=afterwards]');
    await visitor.reads('[data-testid=closed]', /Misclosure \d m, \d\.\d %/);
    await visitor.goto('outing', id);
    await visitor.reads('#pane-log', /180°127 paces.*Dock/s);
    expect(await visitor.text('#pane-log')).not.toMatch(/starts at/);
  });

  it('a counted box reads as all that was walked', async () => {
    const { visitor } = shared;
    await visitor.open(['pace 65 per 100 m', '110 70p', 'box left 10p along 20p']);
    await visitor.reads(line(1), /110°90 paces, 20 of them round it/);
  });
});
