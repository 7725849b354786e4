import type { Answer, Question } from '@/core/practice/question';
import { signedDifference } from '@/core/units/angle';
import type { PlanePoint } from '@/core/units/plane';
import { makeCountry } from '@/core/practice/country/make-country';
import { stillBox } from './still-box';
import type { Visitor } from './visitor';

/** Presses a button of this name so many times, as a thumb does. */
async function press({ page }: Visitor, name: string, times: number) {
  const button = (await page.waitForSelector(`aria/${name}`, { visible: true }))!;
  for (let i = 0; i < times; i++) await button.evaluate((it) => (it as HTMLElement).click());
}

/** Turns something by the buttons beside it, by tens and by ones. */
async function turnBy(visitor: Visitor, name: string, degrees: number) {
  const [tens, ones] = [Math.trunc(degrees / 10), Math.round(degrees) % 10];
  await press(visitor, `${name} ${tens < 0 ? '−' : '+'}10°`, Math.abs(tens));
  await press(visitor, `${name} ${ones < 0 ? '−' : '+'}1°`, Math.abs(ones));
}

/** Slides to a value: a tap on the rail near it, and the rest by keys. */
export async function slideTo({ page }: Visitor, name: string, degrees: number) {
  const handle = (await page.waitForSelector(`[role=slider][aria-labelledby="turn-${name}"]`))!;
  const rail = (await handle.evaluateHandle((it) => it.closest('.ant-slider')!)).asElement()!;
  await rail.evaluate((it) => (it as Element).scrollIntoView({ block: 'center' }));
  const box = await stillBox(rail as typeof handle);
  await page.touchscreen.tap(box.x + (box.width * degrees) / 359, box.y + box.height / 2);
  const value = () => handle.evaluate((it) => Number(it.getAttribute('aria-valuenow')));
  await handle.focus();
  for (let at = await value(); at !== Math.round(degrees); at = await value()) {
    await page.keyboard.press(at < degrees ? 'ArrowRight' : 'ArrowLeft');
    // The slider shows a press a frame later.
    await page.evaluate('new Promise((resolve) => requestAnimationFrame(() => resolve()))');
  }
}

/** Taps a place of the country's map, where its frame says that it is. */
async function tapPlace({ page }: Visitor, country: number, { east, north }: PlanePoint) {
  const { bounds } = makeCountry(country);
  const map = (await page.waitForSelector('[data-testid=country-map]'))!;
  await map.scrollIntoView();
  const frame = (await page.$('[data-testid=country-map] rect:last-of-type'))!;
  const box = await stillBox(frame);
  const x = box.x + (box.width * (east - bounds.west)) / (bounds.east - bounds.west);
  const y = box.y + (box.height * (bounds.north - north)) / (bounds.north - bounds.south);
  await page.touchscreen.tap(x, y);
  await page.waitForSelector('[data-testid=chosen-place]');
}

const digits = (value: number) => String(Math.round(10 * value) / 10);

/** Sets a compass by its buttons, or lays a plate on the map by its sliders. */
async function handle(visitor: Visitor, { scene }: Question, answer: Answer) {
  if (answer.kind !== 'compass') return;
  const [dial, body] = [Math.round(answer.dialDegrees), Math.round(answer.bodyDegrees)];
  if (scene.kind === 'map') {
    await slideTo(visitor, 'Turn-the-plate', body % 360);
    return slideTo(visitor, 'Turn-the-dial', dial % 360);
  }
  if (scene.kind !== 'compass') return;
  const { start } = scene.setting;
  await turnBy(visitor, 'Turn yourself', signedDifference(Math.round(start.bodyDegrees), body));
  await turnBy(visitor, 'Dial', signedDifference(Math.round(start.dialDegrees), dial));
}

/** Gives an answer by touch, up to the button that hands it in. */
export async function give(visitor: Visitor, question: Question, answer: Answer) {
  const { page } = visitor;
  const { scene, wanted } = question;
  switch (answer.kind) {
    case 'choice': {
      const text = wanted.kind === 'choice' && wanted.options.find(({ id }) => id === answer.id);
      return visitor.pick(text ? text.text : '');
    }
    case 'number':
      return visitor.fill('#answer-text', digits(answer.value));
    case 'bearing':
      if (wanted.kind === 'turn') return slideTo(visitor, 'Turn-the-map', answer.degrees);
      return visitor.fill('#answer-text', digits(answer.degrees));
    case 'way':
      await visitor.fill('#answer-text', digits(answer.degrees));
      return visitor.fill('#answer-metres', digits(answer.metres));
    case 'compass':
      return handle(visitor, question, answer);
    case 'place':
      await page.waitForSelector('[data-testid=country-map]');
      return tapPlace(visitor, scene.kind === 'map' ? scene.country : 0, answer.point);
  }
}

/** Slides to a value by keys, from the nearer end, a frame for each press. */
async function arrowsTo({ page }: Visitor, slider: string, degrees: number) {
  const handle = (await page.waitForSelector(`[role=slider][aria-labelledby="turn-${slider}"]`))!;
  await handle.focus();
  await page.keyboard.press(degrees > 180 ? 'End' : 'Home');
  const value = () => handle.evaluate((it) => Number(it.getAttribute('aria-valuenow')));
  for (let at = await value(); at !== degrees; at = await value()) {
    const key = at < degrees ? 'ArrowRight' : 'ArrowLeft';
    const left = Math.abs(degrees - at);
    // By tens with Shift, and the rest by ones.
    if (left >= 10) await page.keyboard.down('Shift');
    for (let press = left >= 10 ? Math.floor(left / 10) : left; press > 0; press--) {
      await page.keyboard.press(key);
      await page.evaluate(A_FRAME);
    }
    if (left >= 10) await page.keyboard.up('Shift');
  }
}

/** Moves the map below its cross by arrows, and closer by plus, until the place is there. */
async function crossTo(visitor: Visitor, question: Question, { east, north }: PlanePoint) {
  const { page } = visitor;
  const map = (await page.waitForSelector('[data-testid=country-map]'))!;
  await visitor.alive('[data-testid=country-map]');
  await map.evaluate((it) => (it as SVGElement).focus());
  const { bounds } = makeCountry(question.scene.kind === 'map' ? question.scene.country : 0);
  // Looks again after each step: on a busy machine the map may still be where it was.
  for (let step = 0; step < 24; step++) {
    await page.evaluate(A_FRAME);
    await page.evaluate(A_FRAME);
    const [sheet, frame] = [
      (await map.boundingBox())!,
      (await (await page.$('[data-testid=country-map] rect:last-of-type'))!.boundingBox())!,
    ];
    const k = frame.width / (bounds.east - bounds.west);
    const x = frame.x + k * (east - bounds.west) - sheet.x - sheet.width / 2;
    const y = frame.y + k * (bounds.north - north) - sheet.y - sheet.height / 2;
    const press = async (key: 'ArrowLeft' | 'ArrowRight' | 'ArrowUp' | 'ArrowDown', by: number) => {
      for (let i = 0; i < Math.round(Math.abs(by) / PAN_PIXELS); i++)
        await page.keyboard.press(key);
    };
    if (Math.max(Math.abs(x), Math.abs(y)) > PAN_PIXELS / 2) {
      await press(x > 0 ? 'ArrowRight' : 'ArrowLeft', x);
      await press(y > 0 ? 'ArrowDown' : 'ArrowUp', y);
    } else if (PAN_PIXELS / k < question.tolerance) break;
    else await page.keyboard.press('+');
  }
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-testid=chosen-place]');
}
const A_FRAME = 'new Promise((done) => requestAnimationFrame(() => done()))';
/** How far an arrow moves a map. */
const PAN_PIXELS = 60;

/** Sets a compass by its keys: ones, and tens with Shift. */
async function keysTo({ page }: Visitor, question: Question, dial: number, body: number) {
  if (question.scene.kind !== 'compass') return;
  const { start } = question.scene.setting;
  const turn = async (
    keys: readonly ['ArrowUp' | 'ArrowRight', 'ArrowDown' | 'ArrowLeft'],
    by: number,
  ) => {
    const key = keys[by < 0 ? 1 : 0];
    await page.keyboard.down('Shift');
    for (let i = 0; i < Math.floor(Math.abs(by) / 10); i++) await page.keyboard.press(key);
    await page.keyboard.up('Shift');
    for (let i = 0; i < Math.round(Math.abs(by)) % 10; i++) await page.keyboard.press(key);
  };
  await page.focus('[data-testid=compass]');
  await turn(['ArrowUp', 'ArrowDown'], signedDifference(start.dialDegrees, dial));
  await turn(['ArrowRight', 'ArrowLeft'], signedDifference(start.bodyDegrees, body));
}

/** Types into a field that has the focus, as a person without a mouse does. */
async function typeInto(visitor: Visitor, field: string, text: string) {
  await visitor.page.waitForSelector(field);
  await visitor.alive(field);
  await visitor.page.focus(field);
  await visitor.page.keyboard.type(text);
}

/** Goes through a choice by the arrow keys until this one is chosen. */
async function arrowToChoice({ page }: Visitor, id: string) {
  await page.waitForSelector('input[type=radio]');
  await page.focus('input[type=radio]');
  await page.keyboard.press('Space');
  const chosen = () =>
    page.$eval('input[type=radio]:checked', (radio) => (radio as HTMLInputElement).value);
  for (let tries = 0; tries < 8 && (await chosen()) !== id; tries++) {
    await page.keyboard.press('ArrowDown');
  }
}

/** Gives an answer by keys alone, and hands it in by Enter. */
export async function giveByKeys(visitor: Visitor, question: Question, answer: Answer) {
  const { page } = visitor;
  switch (answer.kind) {
    case 'choice':
      await arrowToChoice(visitor, answer.id);
      break;
    case 'number':
      await typeInto(visitor, '#answer-text', digits(answer.value));
      break;
    case 'bearing':
      if (question.wanted.kind === 'turn') {
        await arrowsTo(visitor, 'Turn-the-map', Math.round(answer.degrees) % 360);
      } else await typeInto(visitor, '#answer-text', digits(answer.degrees));
      break;
    case 'way':
      await typeInto(visitor, '#answer-text', digits(answer.degrees));
      await typeInto(visitor, '#answer-metres', digits(answer.metres));
      break;
    case 'compass':
      if (question.scene.kind === 'map') {
        await arrowsTo(visitor, 'Turn-the-plate', Math.round(answer.bodyDegrees) % 360);
        await arrowsTo(visitor, 'Turn-the-dial', Math.round(answer.dialDegrees) % 360);
      } else {
        await page.waitForSelector('[data-testid=compass]');
        await visitor.alive('[data-testid=compass]');
        await keysTo(visitor, question, answer.dialDegrees, answer.bodyDegrees);
      }
      break;
    case 'place':
      await crossTo(visitor, question, answer.point);
  }
  const button = (await page.waitForSelector('::-p-aria([name="Answer"][role="button"])'))!;
  await button.focus();
  await page.keyboard.press('Enter');
}
