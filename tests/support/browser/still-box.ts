import type { BoundingBox, ElementHandle } from 'puppeteer-core';

const afterTwoFrames = () =>
  new Promise<void>((resolve) =>
    requestAnimationFrame(() => requestAnimationFrame(() => resolve())),
  );

/** Where an element is on the screen, once it has come to rest there. */
export async function stillBox(element: ElementHandle): Promise<BoundingBox> {
  let box = (await element.boundingBox())!;
  for (;;) {
    await element.evaluate(afterTwoFrames);
    const next = (await element.boundingBox())!;
    if (JSON.stringify(next) === JSON.stringify(box)) return box;
    box = next;
  }
}
