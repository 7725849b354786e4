import type { Visitor } from './visitor';

/**
 * Chooses from a list by the keyboard, as someone who types the name would. The list is made a
 * moment after the keys: Enter before it is there chooses nothing. It is gone when this resolves,
 * unless more can be chosen from it.
 */
export async function chooseFrom({ page }: Visitor, field: string, name: string) {
  await page.waitForSelector(field);
  await page.focus(field);
  await page.keyboard.type(name);
  await page.waitForFunction(
    (wanted: string) =>
      [...document.querySelectorAll('.ant-select-item-option-active')].some((option) =>
        option.textContent?.includes(wanted),
      ),
    {},
    name,
  );
  await page.keyboard.press('Enter');
  await page.waitForFunction(
    (at: string) =>
      document.querySelector(at)?.closest('.ant-select-multiple') ||
      !document.querySelector('.ant-select-dropdown:not(.ant-select-dropdown-hidden)'),
    {},
    field,
  );
}
