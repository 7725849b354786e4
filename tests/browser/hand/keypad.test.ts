import { describe, expect, it } from 'vitest';
import { PHONE, sharedVisitor, type Visitor } from '../../support/browser/visitor';

const line = (index: number) => `#line-${index}`;

/** Touches keys of the keypad by their names. */
async function keys({ page }: Visitor, ...names: string[]) {
  for (const name of names) {
    const key = await page.waitForSelector(
      `[data-keypad] ::-p-aria([name="${name}"][role="button"])`,
    );
    const box = (await key!.boundingBox())!;
    await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
  }
}

describe('the keypad with one gloved thumb', () => {
  const shared = sharedVisitor(PHONE);
  const opened = async (lines: readonly string[]) => {
    const { visitor } = shared;
    const id = await visitor.open(lines);
    await visitor.press('Keypad: dial and number keys');
    await visitor.page.waitForSelector('[data-keypad]');
    return { visitor, id };
  };

  it('takes digits that come while the leg before is being written', async () => {
    const { visitor } = await opened(['pace 65 per 100 m']);
    await keys(visitor, '2', '2', '0', '6', '5');
    await visitor.reads('[data-testid=keypad-reading]', /220° magnetic, south-west · 65 paces/);
    // All in one go: no store answers within it.
    await visitor.page.$eval('[data-keypad]', (keypad) => {
      const key = (name: string) =>
        [...keypad.querySelectorAll('button')].find(
          (each) => (each.ariaLabel ?? each.textContent) === name,
        )!;
      for (const name of ['Log it', '1', '3', '0', '4', '0']) key(name).click();
    });
    await visitor.reads(line(1), /220°.*65 paces/);
    await visitor.reads('[data-testid=keypad-reading]', /130° magnetic, south-east · 40 paces/);
    await keys(visitor, 'Log it');
    await visitor.reads(line(2), /130°.*40 paces/);
  });

  it('logs a leg with three digits, the count, and Log; unit and ground stay', async () => {
    const { visitor } = await opened(['pace 65 per 100 m']);
    const { page } = visitor;
    await keys(visitor, '2', '2', '0', '6', '5');
    // What it will say is seen before it is logged, and so is the way home after it.
    await visitor.reads('[data-testid=keypad-reading]', /220° magnetic, south-west · 65 paces/);
    await visitor.home('040°', /After this leg:.*Walk 100 m/);
    await keys(visitor, 'Log it');
    await visitor.reads(line(1), /220°.*65 paces/);
    await visitor.reads('[data-testid=keypad-bearing]', /^–$/);
    await keys(visitor, '1', '3', '0');
    await visitor.pick('rough', '[data-keypad]');
    await keys(visitor, '4', '0', 'Log it');
    await visitor.reads(line(2), /130°.*40 paces.*rough/);
    await keys(visitor, '0', '4', '0', '6', '5', 'Log it');
    await visitor.reads(line(3), /040°.*65 paces.*rough/);
    await visitor.reads('[data-testid=announced]', /Way home Set \d+° on the compass/);
    // Every key is large enough for a glove.
    const small = await page.$$eval('[data-keypad] [aria-label="Number pad"] button', (all) =>
      all.filter((key) => key.getBoundingClientRect().height < 64).map((key) => key.textContent),
    );
    expect(small).toEqual([]);
    await page.goBack();
    await visitor.gone('[data-keypad]');
    await visitor.reads(line(3), /040°/);
  });

  it('counts paces as soon as there is a pace, in metres before', async () => {
    const { visitor } = await opened(['000 10m']);
    await visitor.reads('[data-keypad]', /metres.*Unit of the count: metres/);
    await visitor.page.goBack();
    await visitor.gone('[data-keypad]');
    await visitor.log('pace 65 per 100 m');
    await visitor.press('Keypad: dial and number keys');
    await keys(visitor, '2', '2', '0', '6', '5', 'Log it');
    await visitor.reads('[data-testid=keypad-reading]', /Saved: 220 65p/);
  });

  it('keeps its draft through touches outside, Back, a reload and another tab', async () => {
    const { visitor, id } = await opened(['pace 65 per 100 m']);
    const { page } = visitor;
    await keys(visitor, '2', '2', '0', '6');
    await page.touchscreen.tap(195, 20);
    await visitor.reads('[data-testid=keypad-count]', /^6$/);
    await page.reload();
    await visitor.reads('[data-testid=keypad-bearing]', /^220$/);
    await visitor.reads('[data-testid=keypad-count]', /^6$/);
    await page.goBack();
    await visitor.gone('[data-keypad]');
    await visitor.press('Keypad: dial and number keys');
    await visitor.reads('[data-testid=keypad-count]', /^6$/);
    const other = await visitor.tab(`/outing?id=${id}#keypad`);
    await other.reads('[data-testid=keypad-bearing]', /^220$/);
    await other.page.close();
    await page.bringToFront();
    await keys(visitor, 'Erase', 'Erase');
    await visitor.reads('[data-testid=keypad-bearing]', /^22$/);
    await keys(visitor, '5', '7', 'Log it');
    await visitor.reads(line(1), /225°.*7 paces/);
  });

  it('refuses what is no bearing in words; takes the phone’s compass once confirmed', async () => {
    const { visitor } = await opened(['pace 65 per 100 m']);
    const { page } = visitor;
    await keys(visitor, '4', '2', '0', '6');
    await visitor.reads('[data-testid=keypad-reading]', /360/);
    await page.evaluate(() => localStorage.setItem('cairn-devices', 'simulated'));
    await page.reload();
    await keys(visitor, 'Erase', 'Erase', 'Erase', 'Erase');
    await visitor.reads('[data-testid=keypad-bearing]', /^–$/);
    await keys(visitor, 'Compass');
    await visitor.choose('Use 23');
    await visitor.reads('[data-testid=keypad-bearing]', /^23\d$/);
    await keys(visitor, '9', 'Log it');
    await visitor.reads(line(1), /23\d°.*9 paces/);
    await page.evaluate(() => localStorage.removeItem('cairn-devices'));
  });
});
