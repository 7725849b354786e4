import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { AxeResults } from 'axe-core';
import type { SerializedAXNode } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { THEMES } from '@/ui/theme/theme-script';
import { tabTo } from '../../support/browser/tab-to';
import { PHONE, sharedVisitor, type Visitor } from '../../support/browser/visitor';

const axeSource = readFileSync(
  createRequire(import.meta.url).resolve('axe-core/axe.min.js'),
  'utf8',
);
/** Where a bearing and a distance to walk are said. */
const WAYS = '[aria-label="Way home"], [aria-label="Bearing to follow"]';
const OUT = [
  'date 2026-08-14 09:40',
  'pace 65 per 100 m',
  'start Dock at 54.2 -63.5',
  'landmark tree ; two birches',
  '048 200m',
];

/** What a screen reader says of a page, from the top down: role and name of each part. */
async function spoken({ page }: Visitor): Promise<string[]> {
  const said: string[] = [];
  const walk = ({ role, name, children = [] }: SerializedAXNode) => {
    if (name) said.push(`${role}: ${name}`);
    children.forEach(walk);
  };
  walk((await page.accessibility.snapshot({ interestingOnly: false }))!);
  return said;
}

describe('the main job by keyboard alone', () => {
  const shared = sharedVisitor(PHONE);

  it('from the log to Home now, another way, the walk, and there', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open([...OUT, '000 300m > B']);
    await tabTo(visitor, /Home now/);
    await page.keyboard.press('Enter');
    await visitor.reads('[data-testid=answer-walk]', /^460 m/);
    await tabTo(visitor, /Straight/);
    await page.keyboard.press('ArrowDown');
    await visitor.reads('[data-testid=answer-bearing]', /^180°$/);
    await page.keyboard.press('ArrowUp');
    await page.keyboard.down('Shift');
    await tabTo(visitor, /Walk/);
    await page.keyboard.up('Shift');
    await page.keyboard.press('Enter');
    await visitor.reads('[data-testid=left]', /460 m to Dock/);
    await tabTo(visitor, /I am there/);
    await page.keyboard.press('Enter');
    await visitor.reads('main', /You are at Dock/);
  });

  it('on the keypad, by the digits of a keyboard', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(OUT);
    await tabTo(visitor, /Keypad/);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-keypad]');
    await page.keyboard.type('22065');
    await visitor.reads('[data-testid=keypad-reading]', /220° magnetic.*65 paces/);
    // From no key in particular: Enter logs.
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('Enter');
    await visitor.reads('[data-testid=keypad-reading]', /Saved: 220 65p/);
    await page.keyboard.press('Escape');
    await visitor.gone('[data-keypad]');
  });

  it('on the counter: counts, and logs', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.open(OUT, 'counter');
    await tabTo(visitor, /Follow/);
    await page.keyboard.type('090');
    await tabTo(visitor, /Count paces/);
    for (let pace = 0; pace < 3; pace++) await page.keyboard.press('Enter');
    await visitor.reads('[data-testid=counted]', /^3$/);
    await tabTo(visitor, /Arrived: log it/);
    await page.keyboard.press('Enter');
    await visitor.reads('[role=status]', /Logged: 090 3p/);
  });
});

describe('the main job by ear', () => {
  const shared = sharedVisitor(PHONE);

  it('the answer is read in the order in which it is needed', async () => {
    const { visitor } = shared;
    await visitor.open(OUT, 'home-now');
    await visitor.reads('[data-testid=answer-bearing]', /^228°$/);
    const said = (await spoken(visitor)).join('\n');
    expect(said).toMatch(
      /228°[^]*magnetic[^]*200 m: 130 paces[^]*South-west, to Dock[^]*Within \d+ m of Dock/,
    );
    expect(said).toMatch(/look before you step[^]*two birches[^]*light left[^]*: Walk/);
  });

  it('a logged leg is reported with the new way home, a fault where it is', async () => {
    const { visitor } = shared;
    await visitor.open(OUT);
    await visitor.log('048 100m');
    await visitor.reads(
      '[data-testid=announced]',
      /^Way home Set 228° on the compass\. Walk 300 m/,
    );
    const live = await visitor.page.$eval(
      '[data-testid=announced]',
      (it) => it.role ?? it.getAttribute('role'),
    );
    expect(live).toBe('status');
    await visitor.type('220 SE 65');
    const described = await visitor.page.$eval(
      'input[aria-label="Next line of the log"]',
      (field) => ({
        invalid: field.getAttribute('aria-invalid'),
        words: document.getElementById(field.getAttribute('aria-describedby') ?? '')?.textContent,
      }),
    );
    expect(described.invalid).toBe('true');
    expect(described.words).toMatch(/contradict/);
  });

  it('every control has a name, and the sketch is described', async () => {
    const { visitor } = shared;
    await visitor.open(OUT);
    const nameless = await visitor.page.$$eval(
      'button, a[href], input, select, summary, [role=slider], [role=application]',
      (controls) =>
        controls
          .filter((each) => each.checkVisibility())
          .filter((each) => {
            const { labels } = each as HTMLInputElement;
            const words = [each.ariaLabel, each.getAttribute('title'), each.textContent];
            return ![...words, labels?.[0]?.textContent].some((text) => text?.trim());
          })
          .map((each) => each.outerHTML.slice(0, 100)),
    );
    expect(nameless).toEqual([]);
  });
});

describe('the way home in every light', () => {
  const shared = sharedVisitor(PHONE);

  // WCAG 2.2, 1.4.6: 7 to 1, and 4.5 to 1 for large text; by axe’s own computation.
  it('has the contrast of level AAA: in the strip, on Home now, and while walking', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    const id = await visitor.open(OUT);
    for (const [view, shown] of [
      ['outing', 'home-sentence'],
      ['home-now', 'answer-walk'],
      ['walk', 'left'],
    ] as const) {
      await visitor.goto(view, id);
      await visitor.reads(`[data-testid=${shown}]`, /\d m/);
      for (const theme of THEMES) {
        await page.evaluate((chosen) => {
          localStorage.setItem('cairn-light', chosen);
          window.dispatchEvent(new StorageEvent('storage', { key: 'cairn-light' }));
        }, theme);
        await page.waitForFunction(
          (wanted) => document.documentElement.dataset.theme === wanted,
          {},
          theme,
        );
        await page.evaluate(axeSource);
        const results = (await page.evaluate(
          `axe.run(${JSON.stringify(WAYS)}, { runOnly: ['color-contrast-enhanced'] })`,
        )) as AxeResults;
        const homeOnly = results.violations.flatMap(({ nodes }) => nodes.map(({ html }) => html));
        expect(homeOnly, `${view}, ${theme}`).toEqual([]);
        expect(results.passes.flatMap(({ nodes }) => nodes).length).toBeGreaterThan(2);
      }
    }
  });
});
