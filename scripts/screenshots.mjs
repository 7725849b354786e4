// npm run screenshots: one current picture of each main view, from the demo data, into docs/screenshots/.
import { existsSync, mkdirSync } from 'node:fs';
import { build, ensurePackages } from './set-up.mjs';

ensurePackages();
if (!existsSync('.next/script-hashes.json')) build();
const { ensureChromium, launch } = await import('./browser.mjs');
const { freePort, startServer } = await import('./server.mjs');
ensureChromium();

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844, isMobile: true, hasTouch: true };
const FOLDER = 'docs/screenshots';
const LINE = 'input[aria-label="Next line of the log"]';

/** A line or two of another day on the plateau, as someone would paste them. */
const DAY_TWO = 'outing Rain gauges, second day\npace 65 per 100 m\nstart Dock\n112 130p > Gauge 1';

const onSpread = async (page, url) => {
  await page.goto(`${url}/outing?id=demo-rain-gauges`);
  await page.waitForSelector('[data-testid=home-sentence]');
};
/** Another view of the demo outing, once its last part stands. */
const onView = async (page, url, path) => {
  await page.goto(`${url}${path}?id=demo-rain-gauges`);
  await page.waitForSelector('main h2', { visible: true });
};
const PICTURES = [
  { name: 'shelf', viewport: DESK, light: 'day' },
  {
    name: 'spread-desk',
    viewport: DESK,
    light: 'day',
    act: async (page, url) => {
      await onSpread(page, url);
      await page.type(LINE, '230 85 > Camp ; birch stump');
    },
  },
  {
    name: 'spread-fault',
    viewport: DESK,
    light: 'dark',
    act: async (page, url) => {
      await onSpread(page, url);
      await page.type(LINE, '8 S 65');
    },
  },
  { name: 'spread-phone', viewport: PHONE, light: 'day', act: onSpread },
  {
    name: 'sketch-phone-night',
    viewport: PHONE,
    light: 'night',
    act: async (page, url) => {
      await onSpread(page, url);
      await page.click('#tab-sketch');
    },
  },
  {
    name: 'leg-form-phone',
    viewport: PHONE,
    light: 'day',
    act: async (page, url) => {
      await onSpread(page, url);
      await page.click('[aria-label="Fields"]');
      await page.waitForSelector('.ant-modal', { visible: true });
    },
  },
  {
    name: 'set-up',
    viewport: DESK,
    light: 'day',
    act: async (page, url) => {
      await onSpread(page, url);
      await page.click('[aria-label="Set up"]');
      await page.waitForSelector('#set-pace', { visible: true });
    },
  },
  {
    name: 'norths',
    viewport: DESK,
    light: 'day',
    act: (page, url) => onView(page, url, '/norths'),
  },
  {
    name: 'norths-phone',
    viewport: PHONE,
    light: 'dark',
    act: (page, url) => onView(page, url, '/norths'),
  },
  {
    name: 'counter-phone',
    viewport: PHONE,
    light: 'day',
    act: async (page, url) => {
      await page.goto(`${url}/count?id=demo-rain-gauges`);
      await page.waitForSelector('[data-tap]');
      await page.type('#hold', '231');
      for (let paces = 0; paces < 47; paces++) await page.click('[data-tap]');
    },
  },
  {
    name: 'paces',
    viewport: DESK,
    light: 'day',
    act: async (page, url) => {
      await onView(page, url, '/paces');
      const walk = async (ground, counts) => {
        await page.evaluate((name) => {
          const chips = [...document.querySelectorAll('[aria-label=Ground] button')];
          const chip = chips.find(({ textContent }) => textContent === name);
          if (chip?.getAttribute('aria-pressed') === 'false') chip.click();
        }, ground);
        await page.click('#course', { count: 3 });
        await page.type('#course', '50');
        for (const [index, count] of counts.entries()) await page.type(`#walk-${index + 1}`, count);
      };
      await walk('', ['32', '33', '33']);
      await page.click('button[type=submit]');
      await page.waitForSelector('tbody th');
      await walk('rough', ['37', '39', '38']);
      await page.waitForSelector('canvas');
    },
  },
  {
    name: 'step-off-phone',
    viewport: PHONE,
    light: 'day',
    act: async (page, url) => {
      await page.goto(`${url}/step-off`);
      await page.waitForSelector('[role=slider]');
      await page.focus('[role=slider]');
      for (let turns = 0; turns < 33; turns++) await page.keyboard.press('PageUp');
      await page.type('#place', 'Cairn on the left of the path, dead birch');
      await page.click('button.ant-btn-primary');
      await page.waitForSelector('[data-testid=way-back]');
    },
  },
  {
    name: 'pad-phone',
    viewport: PHONE,
    light: 'day',
    act: async (page, url) => {
      await onSpread(page, url);
      await page.click('[aria-label="Dial and number pad"]');
      await page.waitForSelector('[role=slider]', { visible: true });
      await page.focus('[role=slider]');
      for (let turns = 0; turns < 23; turns++) await page.keyboard.press('PageUp');
    },
  },
  {
    name: 'margin-notes',
    viewport: DESK,
    light: 'day',
    act: async (page, url) => {
      await onSpread(page, url);
      await page.$eval('[role=listbox]', (list) => list.scrollTo(0, 0));
      await page.waitForSelector('#line-7');
      await page.click('#line-7');
    },
  },
  {
    name: 'way-home',
    viewport: { width: 1280, height: 1300 },
    light: 'day',
    act: async (page, url) => {
      await onView(page, url, '/way');
      await page.type('#line', '095');
    },
  },
  {
    name: 'walk-phone',
    viewport: PHONE,
    light: 'night',
    act: (page, url) => onView(page, url, '/walk'),
  },
  {
    name: 'guide-phone',
    viewport: PHONE,
    light: 'day',
    act: async (page, url) => {
      await page.goto(`${url}/guide`);
      await page.waitForSelector('main h2', { visible: true });
    },
  },
  {
    name: 'files',
    viewport: { width: 1280, height: 1000 },
    light: 'day',
    act: async (page, url) => {
      await onView(page, url, '/files');
      await page.type('#pasted', DAY_TWO);
      const read = await page.waitForSelector('::-p-text(Read it)');
      await read.click();
      await page.waitForSelector('[data-testid=preview]');
    },
  },
  {
    name: 'codes-phone',
    viewport: PHONE,
    light: 'night',
    act: async (page, url) => {
      await onView(page, url, '/files');
      const show = await page.waitForSelector('::-p-text(Show codes)');
      await show.evaluate((button) => button.closest('button').click());
      const code = await page.waitForSelector('[data-testid=code] svg');
      await code.evaluate((svg) => svg.scrollIntoView({ block: 'center' }));
    },
  },
];

mkdirSync(FOLDER, { recursive: true });
const server = await startServer({ port: await freePort(), demo: true });
const browser = await launch();
try {
  for (const { name, viewport, light, act } of PICTURES) {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport(viewport);
    await page.evaluateOnNewDocument(
      (chosen) => localStorage.setItem('cairn-light', chosen),
      light,
    );
    await page.goto(server.url);
    await page.waitForSelector('a[href^="/outing"]');
    await act?.(page, server.url);
    // Dialogs slide in; the picture is of where they come to rest.
    await new Promise((resolve) => setTimeout(resolve, 900));
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
    await context.close();
  }
} finally {
  await browser.close();
  await server.stop();
}
console.log(`${PICTURES.length} pictures in ${FOLDER}`);
