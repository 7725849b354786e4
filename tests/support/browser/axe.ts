import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { AxeResults } from 'axe-core';
import { THEMES } from '@/ui/theme/theme-script';
import type { Visitor } from './visitor';

const axeSource = readFileSync(
  createRequire(import.meta.url).resolve('axe-core/axe.min.js'),
  'utf8',
);

/** Rules that depend on the theme; all others are the same in each. */
const CONTRAST = ['color-contrast', 'link-in-text-block'];

/** What axe finds on the page as it is, a line for each finding. */
export async function findings({ page }: Visitor, rules?: readonly string[]): Promise<string[]> {
  // Through the debugger: the page's own policy would not let a script in. Once a page is enough.
  if (!(await page.evaluate('typeof axe === "object"'))) await page.evaluate(axeSource);
  const only = rules ? { runOnly: { type: 'rule', values: rules } } : {};
  const results = (await page.evaluate(`axe.run(${JSON.stringify(only)})`)) as AxeResults;
  return results.violations.flatMap(({ id, nodes }) =>
    nodes.map((node) => `${id}: ${node.html.slice(0, 120)} ${node.failureSummary?.slice(0, 160)}`),
  );
}

/** Ends what moves: half-faded text has no fair contrast. */
const still = ({ page }: Visitor) =>
  page.waitForFunction(() => {
    const moving = document.getAnimations().filter((each) => each.playState === 'running');
    for (const each of moving) each.finish();
    return moving.length === 0;
  });

/** What axe finds in each theme: all rules by day, those about colours in the others. */
export async function findingsInThemes(visitor: Visitor): Promise<string[]> {
  const found: string[] = [];
  for (const theme of THEMES) {
    await visitor.page.evaluate(chooseTheme, theme);
    await still(visitor);
    found.push(...(await findings(visitor, theme === 'day' ? undefined : CONTRAST)));
  }
  return found;
}

/** Chooses a theme as another tab would. */
const chooseTheme = (theme: string) => {
  localStorage.setItem('cairn-light', theme);
  window.dispatchEvent(new StorageEvent('storage', { key: 'cairn-light' }));
};
