import { describe, expect, it } from 'vitest';
import { DESK, PHONE, Visitor } from './visitor';

const sizes = [
  ['desk', DESK],
  ['phone', PHONE],
] as const;

/** An outing with two legs out, on one of its views. */
async function at(path: string, viewport: typeof DESK, lines: readonly string[]) {
  const visitor = await Visitor.arrive(viewport);
  await visitor.startOuting();
  const id = new URL(visitor.page.url()).searchParams.get('id')!;
  for (const line of lines) await visitor.log(line);
  await visitor.page.goto(`${visitor.url}${path}?id=${id}`);
  return visitor;
}

const OUT = ['pace 65 per 100 m', 'start Dock', 'aim needle', '000 300m > A', '090 400m > B'];
const pressed = async (visitor: Visitor, words: string) => {
  const control = await visitor.page.waitForSelector(`::-p-text(${words})`, { visible: true });
  await control!.evaluate((element) => (element as HTMLElement).click());
};

describe.each(sizes)('the way home, on a %s', (_name, viewport) => {
  it('says how sure in words, compares the ways, and recommends one', async () => {
    const visitor = await at('/way', viewport, OUT);
    await visitor.reads(
      '[data-testid=sure]',
      /Nineteen times in twenty within 115 m of Dock\. You would see it from 25 m: one chance in (five|ten)/,
    );
    await visitor.fill('#sight', '200');
    await visitor.reads('[data-testid=sure]', /from 200 m: almost certainly/);
    await visitor.fill('#sight', 'far');
    await visitor.reads('main', /A number from 1 to 5000/);
    await visitor.reads('[data-testid=shares]', /the walk home itself.*%.*leg 2, to B/);
    await visitor.reads('[data-way=straight]', /233°, 500 m: 325 paces, south-west, to Dock/);
    await visitor.reads(
      '[data-way=back-over-legs]',
      /270°, 400 m: 260 paces, west, to A.*180°, 300 m.*700 m/,
    );
    await visitor.fill('#line', '180');
    await visitor.reads(
      '[data-way=aimed-off]',
      /Then turn (left|right) along it, about \d+ m, at most \d+ m, to Dock/,
    );
    await visitor.reads(
      '[data-testid=recommended]',
      /Aimed off: \d+ m more, and the line can’t be missed.*You decide/,
    );
    await visitor.fill('#line', '233');
    await visitor.reads('main', /less than 20° one may walk along it without noticing/);
    await visitor.fill('#line', '095G');
    await visitor.reads('main', /no declination is set/);
    await visitor.fill('#speed', '5');
    await visitor.fill('#climb', '600');
    await visitor.reads('[data-way=straight]', /66 min/);
    await visitor.reads('[data-testid=light]', /needs? a position|has a position/);
    await visitor.leave();
  });

  it('walks a million times in workers, agrees with the formula, and can be stopped', async () => {
    const visitor = await at('/way', viewport, OUT);
    await visitor.reads('[data-testid=inside]', /^9[2-7]\d of them lie inside the ellipse/);
    await pressed(visitor, 'Walk it a million times');
    await visitor.reads(
      '[data-testid=simulated]',
      /Of 1,000,000 walks \d+\.\d % ended within sight; the formula says \d+\.\d %/,
    );
    const [walked, formula] = (await visitor.text('[data-testid=simulated]'))
      .match(/\d+\.\d(?= %)/g)!
      .map(Number);
    expect(Math.abs(walked! - formula!)).toBeLessThan(1);
    // With a line, the walks that follow it are counted beside the straight ones, and do better.
    await visitor.fill('#line', '180');
    await visitor.reads('[data-testid=simulated]', /^$/);
    await pressed(visitor, 'Walk it a million times');
    await visitor.reads(
      '[data-testid=simulated]',
      /ended within sight.*Aimed off, of 1,000,000 walks 9\d\.\d % came within sight along the line; the formula says 9\d\.\d %/,
    );
    await visitor.reads('[data-way=aimed-off]', /Within sight \(25 m\): nine(teen)? chances in/);
    await visitor.reads('[data-way=straight]', /Within sight \(25 m\): one chance in/);
    await visitor.fill('#sight', '26');
    await visitor.reads('[data-testid=simulated]', /^$/);
    await pressed(visitor, 'Walk it a million times');
    await pressed(visitor, 'Stop');
    await visitor.page.waitForSelector('::-p-text(Walk it a million times)', { visible: true });
    expect(await visitor.text('[data-testid=simulated]')).toBe('');
    await visitor.reads(
      '[data-testid=message]',
      /At B\. Going to Dock: 233 magnetic, 500 m\. 95% within 115 m/,
    );
    await visitor.leave();
  });

  it('walks it: what is passed, a stretch, a box, arrival with its misclosure', async () => {
    const visitor = await at('/walk', viewport, [
      'pace 65 per 100 m',
      'start Dock',
      '000 200m',
      'at 60 left 10 water ; spring',
    ]);
    await visitor.reads('[data-testid=hold]', /^180°$/);
    await visitor.reads('[data-testid=left]', /200 m to Dock: 130 paces/);
    await visitor.reads('[data-testid=passes]', /spring, 10 m to your right, in about 91 paces/);
    await pressed(visitor, 'Log this stretch');
    await visitor.reads('main', /A number above zero/);
    await visitor.fill('#walked', '65');
    await pressed(visitor, 'Log this stretch');
    await visitor.reads('[data-testid=left]', /100 m to Dock: 65 paces/);
    await pressed(visitor, 'Box an obstacle');
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
    await pressed(visitor, 'Count it');
    await visitor.page.waitForSelector('#hold');
    expect(await visitor.page.$eval('#hold', (field) => (field as HTMLInputElement).value)).toBe(
      '180M',
    );
    await visitor.page.goBack();
    await visitor.reads('[data-testid=left]', /80 m to Dock/);
    await visitor.fill('#walked', '60');
    await pressed(visitor, 'I am there');
    await visitor.reads('main', /You are at Dock/);
    await visitor.reads(
      '[data-testid=closed]',
      /The log closes 12 m off, \d\.\d % of what was walked/,
    );
    await visitor.leave();
  });

  it('not in sight: a search leg by leg, with the chance covered', async () => {
    const visitor = await at('/walk', viewport, ['000 200m']);
    await pressed(visitor, 'It is not in sight');
    await visitor.reads('[data-testid=search]', /180°, 40 m · \d+ % covered270°, 40 m/);
    await pressed(visitor, 'Three sectors');
    await visitor.page.waitForFunction(
      () => document.querySelectorAll('[data-testid=search] li').length === 9,
    );
    await pressed(visitor, 'Back to walking');
    await visitor.reads('[data-testid=hold]', /^180°$/);
    await visitor.leave();
  });

  it('pegs and string: the table, its string, and how far off one’s own was', async () => {
    const visitor = await at('/pegs', viewport, ['220 100m', '350 200m', '140 50m', '080 200m']);
    await visitor.reads('[data-testid=pegs]', /Start220°51.*1350°102/);
    await visitor.reads(
      '[data-testid=closing]',
      /The string should give 22\d° and 8\.\d units: 17\d m\. Worked out in full it is 228° and 175 m/,
    );
    // Common practice, no source: a careful layout gave 239° and 225 m, here at 20 m a unit.
    await visitor.fill('#own-bearing', '239');
    await visitor.fill('#own-units', '11.25');
    await visitor.reads(
      '[data-testid=own]',
      /11° right and 50 m long: you would have ended 63 m from home/,
    );
    await visitor.leave();
  });
});

describe('paper and guide', () => {
  it('prints one page of A4, black on white, with the log, the way home and empty lines', async () => {
    const visitor = await at('/paper', DESK, [
      ...OUT,
      'at 40 left 12 water ; spring',
      'aim sighted',
    ]);
    await visitor.reads(
      'main',
      /Home: 233° as the needle reads, 500 m, 325 paces, south-west, to Dock/,
    );
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
    // The whole log is on it, things passed too.
    await visitor.reads(
      'main',
      /2A090°270°400 m400B; 40 m along the last leg, 12 m to the left: spring.*with a sighting compass/,
    );
    const a4 = await pages();
    expect(a4.count).toBe(1);
    expect(Number(a4.box[1])).toBeCloseTo(595, 0);
    await pressed(visitor, 'A5');
    const a5 = await pages();
    expect(Number(a5.box[1])).toBeCloseTo(420, 0);
    expect(a5.count).toBe(1);
    await visitor.page.emulateMediaType('print');
    expect(await visitor.page.$eval('header', (header) => header.checkVisibility())).toBe(false);
    const ink = await visitor.page.$eval('main', (sheet) => getComputedStyle(sheet).color);
    expect(ink).toBe('rgb(0, 0, 0)');
    await visitor.leave();
  });

  it('the guide counts its open checks, keeps them for the walk, and tells the method and the cautions', async () => {
    const visitor = await Visitor.arrive(PHONE);
    await visitor.page.goto(visitor.url);
    await pressed(visitor, 'Guide');
    await visitor.reads(
      'main',
      /9 checks are open.*Aim off.*Local rules and the local rescue service come first/,
    );
    await pressed(visitor, 'The needle is free.');
    await visitor.reads('main', /8 checks are open/);
    await visitor.page.reload();
    await visitor.reads('main', /8 checks are open/);
    await visitor.leave();
  });
});
