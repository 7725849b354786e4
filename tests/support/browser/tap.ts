import { stillBox } from './still-box';
import type { Visitor } from './visitor';

/** Taps the middle of the area, each tap as soon as the one before is over. */
export async function tap(visitor: Visitor, times: number) {
  const area = (await visitor.page.waitForSelector('[data-tap]'))!;
  await area.scrollIntoView();
  const box = await stillBox(area);
  for (let i = 0; i < times; i++) {
    await visitor.page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
  }
}
