// npm run screenshots: a picture of each main view, from the demo data, in docs/screenshots/.
import { existsSync, mkdirSync, rmSync } from 'node:fs';
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
const OUTING = '/outing?id=demo-rain-gauges';

/** A line or two of another day on the plateau, as someone would paste them. */
const DAY_TWO = 'outing Rain gauges, second day\npace 65 per 100 m\nstart Dock\n112 130p > Gauge 1';

const ofDemo = (path) => `${path}?id=demo-rain-gauges`;
const press = async (page, text) => {
  const found = await page.waitForSelector(`::-p-text(${text})`, { visible: true });
  await found.evaluate((element) => element.closest('button').click());
};
const label = (text) => `[aria-label="${text}"]`;

async function countPaces(page) {
  await page.type('#follow', '231');
  for (let paces = 0; paces < 47; paces++) await page.click('[data-tap]');
}

/** Round by thirties until the summit that is asked for is in view. */
async function turnToSummit(page) {
  const asked = await page.$eval('main', (main) => main.textContent);
  const summit = /Turn until (.+?) is in the middle/.exec(asked)[1];
  for (let turns = 0; turns < 12; turns++) {
    const isSeen = await page.$eval(
      '[data-testid=panorama]',
      (view, name) => view.getAttribute('aria-label').includes(name),
      summit,
    );
    if (isSeen) return;
    await page.click(label('Turn yourself +30°'));
  }
}

/** Once round by tens, until the needle is nearly in its arrow. */
async function turnCompass(page) {
  await page.focus('[data-testid=compass]');
  await page.keyboard.down('Shift');
  for (let turns = 0; turns < 9; turns++) await page.keyboard.press('ArrowUp');
  for (let turns = 0; turns < 14; turns++) await page.keyboard.press('ArrowLeft');
  await page.keyboard.up('Shift');
}

/** Presses Enter until it is taken: a page that is still waking takes none. */
async function enterUntil(page, isTaken, about) {
  for (let isDone = false; !isDone;) {
    await page.keyboard.press('Enter');
    isDone = await page.waitForFunction(isTaken, { timeout: 3000 }, about).then(
      () => true,
      () => false,
    );
  }
}

/** A walk in fog on the same country each time, logged as it was set, and its truth. */
async function walkInFog(page) {
  await page.evaluate(() => {
    crypto.getRandomValues = (numbers) => numbers.fill(17);
  });
  await press(page, 'Start a blind walk');
  await page.waitForSelector('#walk-paces');
  const walk = page.url();
  const legs = [
    [9, '150'],
    [8, '120'],
    [10, '130'],
  ];
  for (const [index, [turns, paces]] of legs.entries()) {
    for (let turn = 0; turn < turns; turn++) await page.click(label('Dial +10°'));
    await press(page, 'Turn until the needle is in its arrow');
    await page.type('#walk-paces', paces);
    await enterUntil(
      page,
      (number) => document.body.textContent.includes(`Leg ${number}:`),
      index + 1,
    );
  }
  const said = await page.$eval('[data-testid=walked-legs]', (list) => list.textContent);
  const counts = said.match(/(?<=: )\d+(?= pace)/g);
  await page.goto(walk.replace('practice?walk', 'outing?id'));
  await page.waitForSelector(LINE);
  for (const [index, bearing] of ['090', '170', '270'].entries()) {
    await page.type(LINE, `${bearing} ${counts[index]}p`);
    await page.keyboard.press('Enter');
    await page.waitForFunction((at) => document.querySelector(at).value === '', {}, LINE);
  }
  await page.goto(walk);
  await press(page, 'I am back');
  await page.waitForSelector('[data-testid=tracks] path');
}

/** The one map with the ground below it. */
async function showContours(page) {
  const contours = await page.waitForSelector('aria/Contours[role="switch"]');
  await contours.click();
  await page.waitForSelector('[data-testid=ground] path[d^=M]');
}

/** The demo's map with the demo's route over it. */
async function addDemoMap(page) {
  await press(page, 'Add the demo map');
  await page.waitForSelector('[data-layer=route] [data-kind=route]');
}

async function previewDayTwo(page) {
  await page.type('#pasted', DAY_TWO);
  await press(page, 'Preview import');
  await page.waitForSelector('[data-testid=preview]');
}

/** Bearings to three places of the demo, as if they had been typed before. */
async function takeFix(page) {
  await press(page, 'Add the places of the demo');
  await page.waitForSelector('#fix-place');
  await page.evaluate(() => {
    const sight = (place, bearing) => ({ place: `demo-${place}`, bearing });
    const sights = [sight('bald-summit', '331'), sight('notch', '023'), sight('hut', '087')];
    const id = new URLSearchParams(location.search).get('id');
    localStorage.setItem(`cairn-fix ${id}`, JSON.stringify({ sights }));
  });
  await page.reload();
  await page.waitForSelector('[data-testid=fix-sentence]');
}

/** Each picture: the view, what has to be there, and what to do before the picture is taken. */
const PICTURES = [
  { name: 'outings', path: '/', ready: 'a[href^="/outing"]' },
  {
    name: 'outing-desk',
    path: OUTING,
    act: (page) => page.type(LINE, '230 85 > Camp ; birch stump'),
  },
  {
    name: 'fix',
    viewport: { width: 1280, height: 1100 },
    path: ofDemo('/fix'),
    ready: '[aria-label=Fix]',
    act: takeFix,
  },
  {
    name: 'practice-compass',
    path: '/practice?exercise=set-and-face&seed=5&course=demo',
    ready: '[data-testid=compass]',
    act: turnCompass,
  },
  {
    name: 'practice-panorama-phone',
    viewport: PHONE,
    path: '/practice?exercise=sight&seed=2&course=demo',
    ready: '[data-testid=panorama]',
    act: turnToSummit,
  },
  { name: 'practice-walk', path: '/practice', ready: '#blind-walks', act: walkInFog },
  {
    name: 'sketch-phone-night',
    viewport: PHONE,
    theme: 'night',
    path: OUTING,
    act: (page) => page.click('#tab-sketch'),
  },
  {
    name: 'home-now-phone',
    viewport: PHONE,
    path: ofDemo('/home-now'),
    ready: '[data-testid=answer-bearing]',
  },
  {
    name: 'route',
    path: '/route?id=demo-plateau',
    ready: '[data-testid=legs-of-route]',
    act: async (page) => {
      await press(page, '1. To Gauge 2');
      await press(page, 'Contours');
      await page.waitForSelector('[data-testid=ground]');
    },
  },
  {
    name: 'map',
    path: '/map?outing=demo-rain-gauges&leg=6',
    ready: '[data-layer=home]',
    act: showContours,
  },
  {
    name: 'map-picture',
    path: '/map?pictures=&route=demo-plateau',
    ready: '#pictures',
    act: addDemoMap,
  },
  { name: 'declination', path: ofDemo('/declination') },
  {
    name: 'uncertainty',
    theme: 'dark',
    path: ofDemo('/uncertainty'),
    ready: '[data-sigma=landmark]',
  },
  {
    name: 'counter-phone',
    viewport: PHONE,
    path: ofDemo('/counter'),
    ready: '[data-tap]',
    act: countPaces,
  },
  {
    name: 'way-home',
    viewport: { width: 1280, height: 1300 },
    path: ofDemo('/way-home'),
    act: (page) => page.type('#line', '095'),
  },
  { name: 'walk-phone', viewport: PHONE, theme: 'night', path: ofDemo('/walk') },
  { name: 'guide-phone', viewport: PHONE, path: '/guide' },
  {
    name: 'files',
    viewport: { width: 1280, height: 1000 },
    path: ofDemo('/files'),
    act: previewDayTwo,
  },
  {
    name: 'area',
    path: '/area?id=demo-ormsay-lake',
    ready: '[data-testid=suspects]',
    act: (page) => page.click(label('Uncertainty')),
  },
];

async function takePicture(browser, url, picture) {
  const { name, viewport = DESK, theme = 'day', path, act } = picture;
  const ready = path === OUTING ? '[data-testid=home-sentence]' : (picture.ready ?? 'main h2');
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport(viewport);
  await page.evaluateOnNewDocument((chosen) => localStorage.setItem('cairn-light', chosen), theme);
  // The start page puts the demo outings into the database, and last the area that joins them.
  await page.goto(url);
  await page.waitForSelector('a[href^="/area?id="]');
  if (path !== '/') await page.goto(url + path);
  await page.waitForSelector(ready, { visible: true });
  await act?.(page);
  // Dialogs slide in; the picture is of where they come to rest.
  await new Promise((resolve) => setTimeout(resolve, 900));
  await page.waitForFunction(() =>
    document.getAnimations().every(({ playState }) => playState !== 'running'),
  );
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
  await context.close();
}

rmSync(FOLDER, { recursive: true, force: true });
mkdirSync(FOLDER, { recursive: true });
const server = await startServer({ port: await freePort(), demo: true });
const browser = await launch();
try {
  for (const picture of PICTURES) await takePicture(browser, server.url, picture);
} finally {
  await browser.close();
  await server.stop();
}
console.log(`${PICTURES.length} pictures in ${FOLDER}`);
