import type { Visitor } from './visitor';

/** Opens the settings of the device; the rail is there before what answers it. */
export async function openSettings({ page }: Visitor) {
  while (!(await page.$('[aria-label="Units of figures"]'))) {
    await page.$eval('[data-settings]', (button) => (button as HTMLElement).click());
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
}
