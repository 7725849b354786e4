import { describe, expect, it } from 'vitest';
import { LINE, PHONE, sharedVisitor } from '../../support/browser/visitor';

/** A thumb that touches the screen, and counts how often. */
class Thumb {
  taps = 0;
  private readonly began = performance.now();

  constructor(private readonly page: ReturnType<typeof sharedVisitor>['visitor']['page']) {}

  /** Touches the middle of what is at a selector. */
  async touch(selector: string) {
    const found = (await this.page.waitForSelector(selector, { visible: true }))!;
    const box = (await found.boundingBox())!;
    await this.page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
    this.taps++;
  }

  async key(name: string) {
    await this.touch(`[data-keypad] ::-p-aria([name="${name}"][role="button"])`);
  }

  report(way: string): number {
    const seconds = ((performance.now() - this.began) / 1000).toFixed(1);
    console.log(`  a leg by ${way}: ${this.taps} taps, ${seconds} s of a machine's thumb`);
    return this.taps;
  }
}

describe('taps of a thumb for a leg of 65 paces on 220', () => {
  const shared = sharedVisitor(PHONE);
  const opened = async (view: 'outing' | 'counter') => {
    const { visitor } = shared;
    await visitor.open(['pace 65 per 100 m'], view);
    return { visitor, thumb: new Thumb(visitor.page) };
  };

  it('by the keypad: its five digits and one more', async () => {
    const { visitor, thumb } = await opened('outing');
    await visitor.press('Keypad: dial and number keys');
    await visitor.page.waitForSelector('[data-keypad]');
    for (const key of ['2', '2', '0', '6', '5', 'Log it']) await thumb.key(key);
    await visitor.reads('#line-1', /220°.*65 paces/);
    expect(thumb.report('the keypad')).toBe(6);
  });

  it('by the counter: the paces and one more, the bearing kept', async () => {
    const { visitor, thumb } = await opened('counter');
    await visitor.fill('#follow', '220');
    for (let pace = 0; pace < 65; pace++) await thumb.touch('[data-tap]');
    await thumb.touch('::-p-aria([name="Arrived: log it"][role="button"])');
    await visitor.reads('[role=status]', /Logged: 220 65p/);
    expect(thumb.report('the counter')).toBe(66);
  });

  it('by the entry line: one to begin, the letters, and Enter', async () => {
    const { visitor, thumb } = await opened('outing');
    await thumb.touch(LINE);
    await visitor.page.keyboard.type('220 65');
    await visitor.page.keyboard.press('Enter');
    thumb.taps += '220 65'.length + 1;
    await visitor.reads('#line-1', /220°.*65 paces/);
    expect(thumb.report('the entry line')).toBe(8);
  });

  it('by the counter with the bearing set by the walk home: three, beside the paces', async () => {
    const { visitor } = shared;
    await visitor.open(['pace 65 per 100 m', 'start Dock', '000 10m']);
    const thumb = new Thumb(visitor.page);
    await thumb.touch('::-p-aria([name="Home now"][role="link"])');
    await thumb.touch('::-p-aria([name="Walk"][role="link"])');
    await thumb.touch('::-p-text(Count paces)');
    await visitor.page.waitForSelector('[data-testid=target]');
    expect(thumb.report('the walk home, until it is counted')).toBe(3);
    expect(await visitor.value('#follow')).toBe('180M');
  });
});
