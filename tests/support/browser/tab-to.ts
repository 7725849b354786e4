import type { Visitor } from './visitor';

/** What the focus can go to. */
const STOPS = 'a[href], button, input, select, textarea, summary, [tabindex="0"], [role=combobox]';
/** More presses than any page has stops. */
const MOST_PRESSES = 60;

/** What an element answers to: its label, its field's label, its text. Runs in the page. */
const NAME_OF = `((at) => !at || at === document.body ? '' :
  [at.ariaLabel, at.labels?.[0]?.textContent, at.textContent].filter(Boolean).join(' '))`;

/**
 * Tabs until what has the focus answers to a name; fails when it never comes. Waits first until
 * the page has it: a page that is still on its way has few stops, and Tab goes round them.
 */
export async function tabTo({ page }: Visitor, name: RegExp) {
  const pattern = `new RegExp(${JSON.stringify(name.source)}, ${JSON.stringify(name.flags)})`;
  await page.waitForFunction(
    `[...document.querySelectorAll(${JSON.stringify(STOPS)})]
      .some((at) => ${pattern}.test(${NAME_OF}(at)))`,
  );
  for (let presses = 0; presses < MOST_PRESSES; presses++) {
    await page.keyboard.press('Tab');
    if (await page.evaluate(`${pattern}.test(${NAME_OF}(document.activeElement))`)) return;
  }
  throw new Error(`Tab never reached ${name}`);
}

/** Tabs until a field has the focus, unless it has it; waits first until the page has it. */
export async function tabToField({ page }: Visitor, selector: string) {
  await page.waitForSelector(selector);
  for (let presses = 0; presses < MOST_PRESSES; presses++) {
    if (await page.evaluate((at: string) => document.activeElement?.matches(at), selector)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`no Tab leads to ${selector}`);
}
