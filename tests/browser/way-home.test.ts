import { describe, expect, it } from 'vitest';
import type { ViewId } from '@/views/views';
import { PHONE, sharedVisitor, SIZES, type Visitor } from '../support/browser/visitor';

const OUT = ['pace 65 per 100 m', 'start Dock', 'aim needle', '000 300m > A', '090 400m > B'];
const outingId = async ({ page }: Visitor) => new URL(page.url()).searchParams.get('id') ?? '';

describe.each(SIZES)('the way home, on a %s', (_name, viewport) => {
  const shared = sharedVisitor(viewport);
  const at = async (view: ViewId, lines: readonly string[]) => {
    await shared.visitor.open(lines, view);
    return shared.visitor;
  };

  it('says how sure, compares the ways, and recommends one', async () => {
    const visitor = await at('way-home', OUT);
    await visitor.reads(
      '[data-testid=sure]',
      /Within 1[12]\d m of Dock \(95 %\)\. Chance of seeing it from 25 m: 1 in (5|10)\./,
    );
    await visitor.choose('Sight, speed, climb, another station');
    await visitor.fill('#sight', '200');
    await visitor.reads('[data-testid=sure]', /from 200 m: almost certain/);
    await visitor.fill('#sight', 'far');
    await visitor.reads('main', /A number from 1 to 5000/);
    await visitor.reads('[data-testid=shares]', /following the needle\d+ %.*metres, by eye\d+ %/);
    await visitor.reads('main', /No single change would make it a tenth smaller/);
    await visitor.reads('[data-way=straight]', /233°, 500 m: 325 paces, south-west, to Dock/);
    await visitor.reads(
      '[data-way=retrace]',
      /270°, 400 m: 260 paces, west, to A.*180°, 300 m.*700 m/,
    );
    await visitor.fill('#line', '180');
    await visitor.reads(
      '[data-way=aim-off]',
      /Then turn (left|right) along the line, about \d+ m, at most \d+ m, to Dock/,
    );
    // So far one sees home from wherever the straight way ends; not so from near.
    await visitor.reads('[data-testid=recommended]', /^Straight: the shortest, and sure enough/);
    await visitor.fill('#sight', '25');
    await visitor.reads(
      '[data-testid=recommended]',
      /Aim off: \d+ m more, and home comes in sight (4 in 5|9 in 10|19 in 20); straight, 1 in/,
    );
    await visitor.fill('#line', '233');
    await visitor.reads('main', /Below 20° you may walk along it without noticing/);
    await visitor.fill('#line', '095G');
    await visitor.reads('main', /no declination is set/);
    await visitor.fill('#speed', '5');
    await visitor.fill('#climb', '600');
    await visitor.reads('[data-way=straight]', /66 min/);
    await visitor.reads('[data-testid=light]', /set the position of the start/);
  });

  it('simulates a million walks in workers, as the formula says, and is cancelled', async () => {
    const visitor = await at('way-home', OUT);
    await visitor.reads('[data-testid=inside]', /^9[2-7]\d of them lie inside the 95 % ellipse/);
    await visitor.choose('Simulate 1,000,000 walks');
    await visitor.reads(
      '[data-testid=simulated]',
      /Straight: of 1,000,000 walks \d+\.\d % came within sight; the formula says \d+\.\d %/,
    );
    const [walked, formula, found, foundBySearch] = (await visitor.text('[data-testid=simulated]'))
      .match(/\d+\.\d(?= %)/g)!
      .map(Number);
    expect(Math.abs(walked! - formula!)).toBeLessThan(1);
    expect(Math.abs(found! - foundBySearch!)).toBeLessThan(2);
    expect(found!).toBeGreaterThan(90);
    // With a line, walks that follow it are counted beside the straight ones, and do better.
    await visitor.fill('#line', '180');
    await visitor.reads('[data-testid=simulated]', /^$/);
    await visitor.choose('Simulate 1,000,000 walks');
    await visitor.reads(
      '[data-testid=simulated]',
      /Straight: of.*Aim off: of 1,000,000 walks 9\d\.\d % came within sight; .* 9\d\.\d %/,
    );
    await visitor.reads(
      '[data-way=aim-off]',
      /Chance of seeing it \(25 m\): (4 in 5|9 in 10|19 in 20)/,
    );
    await visitor.reads('[data-way=straight]', /Chance of seeing it \(25 m\): 1 in/);
    await visitor.fill('#sight', '26');
    await visitor.reads('[data-testid=simulated]', /^$/);
    await visitor.choose('Simulate 1,000,000 walks');
    await visitor.choose('Cancel');
    await visitor.page.waitForSelector('::-p-text(Simulate 1,000,000 walks)', { visible: true });
    expect(await visitor.text('[data-testid=simulated]')).toBe('');
    await visitor.reads(
      '[data-testid=message]',
      /At B\. Going to Dock: 233 magnetic, 500 m, within 1[12]\d m \(95%\)/,
    );
  });

  it('walks home: what is passed, a stretch, a box, arrival with its misclosure', async () => {
    const visitor = await at('walk', [
      'pace 65 per 100 m',
      'start Dock',
      '000 200m',
      'at 60 left 10 water ; spring',
    ]);
    await visitor.reads('[data-testid=follow]', /^180°$/);
    await visitor.reads('[data-testid=left]', /200 m to Dock: 130 paces/);
    await visitor.reads('[data-testid=passes]', /spring, 10 m to your right, in about 91 paces/);
    await visitor.choose('Log this stretch');
    await visitor.reads('main', /Type a number above zero/);
    await visitor.fill('#walked', '65');
    await visitor.choose('Log this stretch');
    await visitor.reads('[data-testid=left]', /100 m to Dock: 65 paces/);
    await visitor.choose('Box an obstacle');
    await visitor.page.waitForSelector('#line-out', { visible: true });
    await visitor.page.evaluate(() => {
      const labels = [...document.querySelectorAll<HTMLElement>('.ant-modal label')];
      labels.find(({ textContent }) => textContent === 'right')!.click();
    });
    await visitor.fill('#line-out', '10m');
    await visitor.fill('#line-along', '20m');
    await visitor.page.keyboard.press('Enter');
    await visitor.reads('[data-testid=left]', /80 m to Dock: 52 paces/);
    await visitor.page.waitForSelector('.ant-modal', { hidden: true });
    await visitor.choose('Count paces');
    await visitor.page.waitForSelector('#follow');
    expect(await visitor.page.$eval('#follow', (field) => (field as HTMLInputElement).value)).toBe(
      '180M',
    );
    await visitor.page.goBack();
    await visitor.reads('[data-testid=left]', /80 m to Dock/);
    await visitor.fill('#walked', '60');
    await visitor.choose('I am there');
    await visitor.reads('main', /You are at Dock/);
    await visitor.reads('[data-testid=closed]', /Misclosure 12 m, \d\.\d % of the distance walked/);
  });

  it('takes how one walks home from the log, and one tap changes it', async () => {
    const visitor = await at('way-home', [...OUT, 'pace rough 1.4 m']);
    await visitor.reads('[data-testid=means]', /Same as the last leg in the log/);
    const stated = async () => /Within (\d+) m/.exec(await visitor.text('[data-testid=sure]'))?.[1];
    const before = await stated();
    await visitor.pick('landmark');
    await visitor.reads('[data-testid=means]', /As chosen for this outing/);
    // The needle was followed out, marks home: what the compass adds no longer cancels.
    await visitor.reads('[data-testid=shares]', /the compass itself/);
    expect(await stated()).not.toBe(before);
    await visitor.pick('paces on rough');
    await visitor.reads('[data-way=straight]', /357 paces/);
    await visitor.pick('minutes');
    await visitor.fill('#speed-home', '3');
    // Leaving a page ends what it is still writing: the speed has to be on the disk first.
    await visitor.page.waitForFunction(async () => {
      const open = indexedDB.open('cairn-back');
      await new Promise((resolve) => (open.onsuccess = resolve));
      const all = open.result.transaction('changes').objectStore('changes').getAll();
      await new Promise((resolve) => (all.onsuccess = resolve));
      open.result.close();
      return JSON.stringify(all.result).includes('"kilometresPerHour":3');
    });
    await visitor.goto('outing', await outingId(visitor));
    await visitor.reads('main', /by the clock at 3 km\/h/);
  });

  it('walks the way that was chosen: to the line, the turn, and along it', async () => {
    const visitor = await at('way-home', [...OUT, 'pace 1 m']);
    await visitor.fill('#line', '180');
    await visitor.reads('[data-way=aim-off][data-chosen=true]', /Aim off/);
    await visitor.choose('Walk this way: aim off');
    await visitor.reads('[data-testid=left]', /m to the line: \d+ paces\. Go on until you meet it/);
    await visitor.fill('#walked', '500');
    await visitor.choose('I am at the line');
    await visitor.reads('main', /At the line turn (left|right).*(000|180)°.*Not there after \d+ m/);
    // What the walk has come to survives a reload.
    await visitor.page.reload();
    await visitor.reads('main', /At the line turn (left|right)/);
    await visitor.fill('#walked', '150');
    await visitor.choose('I am there');
    await visitor.reads('main', /You are at Dock/);
  });

  it('says so where a line can’t be aimed at any more, and goes straight', async () => {
    const { visitor } = shared;
    const id = await visitor.store([...OUT, 'pace 1 m']);
    await visitor.goto('walk', id, { line: '233', side: 'left' });
    await visitor.reads('main', /the angle is too small or home is too close\. Go straight/);
    await visitor.reads('[data-testid=follow]', /^233°$/);
  });

  it('retraces station by station', async () => {
    const visitor = await at('way-home', OUT);
    await visitor.choose('Retrace the legs');
    await visitor.choose('Walk this way: retrace the legs');
    await visitor.reads('[data-testid=follow]', /^270°$/);
    await visitor.reads('[data-testid=left]', /400 m to A: 260 paces/);
    await visitor.fill('#walked', '255');
    await visitor.choose('I am there');
    await visitor.reads('[data-testid=left]', /300 m to Dock: 195 paces/);
    await visitor.reads('[data-testid=follow]', /^180°$/);
  });

  it('searches when the walk is done, leg by leg, and logs each', async () => {
    const visitor = await at('walk', ['pace 1 m', '000 200m']);
    await visitor.choose('I can’t see it');
    // Nothing was counted: nothing is logged that nobody walked, unless it is said to be assumed.
    await visitor.reads('[data-testid=asks-count]', /How many paces did you walk\?/);
    await visitor.choose('I did not count: assume 200 paces');
    await visitor.reads('[role=status]', /Logged: 180 200p ; assumed as planned, not counted/);
    await visitor.reads('[data-testid=search]', /180°, 40 m: 40 paces · found by then: \d+ %270°/);
    await visitor.choose('Sector search');
    await visitor.page.waitForFunction(
      () => document.querySelectorAll('[data-testid=search] li').length === 9,
    );
    await visitor.choose('Expanding square');
    await visitor.choose('Leg 1 is walked: log it');
    await visitor.reads('[role=status]', /Logged: 180 40p/);
    await visitor.page.reload();
    await visitor.page.waitForSelector('::-p-text(Leg 2 is walked: log it)', { visible: true });
    await visitor.choose('Back to the walk');
    await visitor.reads('[data-testid=left]', /40 m to Start/);
  });

  it('says “I am there” with one tap, and makes up no count for it', async () => {
    const visitor = await at('walk', ['pace 1 m', 'start Dock', '000 200m']);
    await visitor.choose('I am there');
    await visitor.reads('main', /You are at Dock/);
    expect(await visitor.page.$('[data-testid=closed]')).toBeNull();
    await visitor.goto('outing', await outingId(visitor));
    await visitor.reads('#line-2', /At Dock, not counted/);
  });

  it('pegs and string: the table, the string, and how far off one’s own layout was', async () => {
    const visitor = await at('pegs', ['220 100m', '350 200m', '140 50m', '080 200m']);
    await visitor.reads('[data-testid=pegs]', /Start220°100 m51.*1350°200 m102/);
    await visitor.reads(
      '[data-testid=closing]',
      /the string gives 22\d° and 8\.\d units: 17\d m\. Straight from the log it is 228° and 175 m/,
    );
    // Common practice, no source: a careful layout gave 239° and 225 m, here at 20 m a unit.
    await visitor.fill('#own-bearing', '239');
    await visitor.fill('#own-units', '11.25');
    await visitor.reads(
      '[data-testid=own]',
      /11° too far right, 50 m too long: you would have ended 63 m from home/,
    );
  });
});

describe('print and guide', () => {
  const shared = sharedVisitor(PHONE);

  it('prints one page, black on white, with the log, the way home and empty lines', async () => {
    const { visitor } = shared;
    await visitor.open([...OUT, 'at 40 left 12 water ; spring', 'aim sighted'], 'print');
    await visitor.reads('main', /Home: 233° magnetic, 500 m, 325 paces, south-west, to Dock/);
    expect(await visitor.page.$$eval('tbody tr', (rows) => rows.length)).toBe(11);
    const pages = async () => {
      const pdf = Buffer.from(await visitor.page.pdf({ preferCSSPageSize: true })).toString(
        'latin1',
      );
      return {
        count: pdf.match(/\/Type\s*\/Page\b/g)!.length,
        box: /MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(pdf)!,
      };
    };
    // The whole log is on it, with its features.
    await visitor.reads(
      'main',
      /2A090°270°400 m400B; 40 m along the last leg, 12 m to the left: spring.*a sighting compass/,
    );
    const a4 = await pages();
    expect(a4.count).toBe(1);
    expect(Number(a4.box[1])).toBeCloseTo(595, 0);
    await visitor.choose('A5');
    const a5 = await pages();
    expect(Number(a5.box[1])).toBeCloseTo(420, 0);
    expect(a5.count).toBe(1);
    await visitor.page.emulateMediaType('print');
    expect(await visitor.page.$eval('header', (header) => header.checkVisibility())).toBe(false);
    const colour = await visitor.page.$eval('main', (sheet) => getComputedStyle(sheet).color);
    expect(colour).toBe('rgb(0, 0, 0)');
  });

  it('the guide counts the checks left, and has the method and cautions', async () => {
    const { visitor } = shared;
    await visitor.goto('guide');
    await visitor.reads(
      'main',
      /9 checks left.*Aim off.*Local rules and the local rescue service come first/,
    );
    await visitor.alive('main input[type=checkbox]');
    await visitor.choose('The needle swings freely.');
    await visitor.reads('main', /8 checks left/);
    await visitor.page.reload();
    await visitor.reads('main', /8 checks left/);
  });
});
