// npm run engines: the main job in Firefox and in WebKit, from Debian's packages; its first steps
// STARTS times (10) in fresh profiles, soon after the first page, when its work is still open.
// ENGINE: one of them alone, firefox or webkit.
import { ensureEngines, firefox, webkit } from './engines/engines.mjs';
import { freePort, startServer } from './server.mjs';

const PATIENCE_MS = 25_000;
const LINE = 'input[aria-label="Next line of the log"]';

/** Runs in the page: waits until a text at a selector matches; gives the text. */
const reads = `async (selector, source, patience) => {
  const until = Date.now() + patience;
  for (;;) {
    const text = document.querySelector(selector)?.textContent ?? null;
    if (text !== null && new RegExp(source).test(text)) return text;
    if (Date.now() > until) throw new Error(selector + ' reads ' + text + ', not ' + source);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}`;

/** Runs in the page: writes into a field as typing would. */
const fill = `async (selector, text) => {
  const field = document.querySelector(selector);
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  set.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
  await new Promise((resolve) => setTimeout(resolve, 600));
}`;

/** Runs in the page: presses the button or link with this text or label. */
const press = `async (name) => {
  for (let tries = 0; tries < 400; tries++) {
    const found = [...document.querySelectorAll('button, a, label, summary')].find(
      (each) => !each.disabled &&
        (each.getAttribute('aria-label') ?? each.textContent).trim() === name);
    if (found) return void found.click();
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error('no button ' + name);
}`;

/** Runs in the page: what this engine can't do that the app has words for. */
const lacks = `() => [
  ['wakeLock' in navigator, 'keeping the screen on'],
  ['vibrate' in navigator, 'buzzing'],
  ['share' in navigator, 'sharing'],
  ['locks' in navigator, 'locks between tabs'],
  ['serviceWorker' in navigator, 'working without a network'],
  ['DeviceMotionEvent' in window, 'counting by motion'],
  ['BarcodeDetector' in window || !!navigator.mediaDevices, 'a camera'],
].filter(([has]) => !has).map(([, what]) => what)`;

/** What a run has at hand: waits for a text, logs a line, goes to another view of the outing. */
function handsOf(engine) {
  const see = async (selector, source) => {
    // A page that was just being left gives no answer: the next one does.
    for (let tries = 0; tries < 5; tries++) {
      const text = await engine.run(reads, selector, source, PATIENCE_MS);
      if (text !== null) return text;
    }
    throw new Error(`${selector} was never there`);
  };
  const log = async (line) => {
    await engine.run(fill, LINE, line);
    await engine.run(press, 'Log it');
    await see('#interpretation', '^Saved');
  };
  const goTo = async (view) => {
    const here = await engine.run('() => location.search');
    const origin = await engine.run('() => location.origin');
    await engine.goto(`${origin}/${view}${here}`);
  };
  return { engine, see, log, goTo };
}

/** Logging: the steps of the outing view. */
const logSteps = ({ engine, see, log, goTo }, { url }) => [
  [
    'first visit',
    async () => {
      await engine.goto(url);
      await engine.run(press, 'Start an outing');
      return see('[data-testid=home-sentence]', 'You are at');
    },
  ],
  [
    'four legs and the way home',
    async () => {
      for (const line of ['pace 65 per 100 m', '000 130', '090 130', '000 65', '270 65']) {
        await log(line);
      }
      return see('[data-testid=home-sentence]', 'Walk 315 m: 206 paces, south');
    },
  ],
  [
    'a reload',
    async () => {
      await goTo('outing');
      return see('[data-testid=home-bearing]', '^198°$');
    },
  ],
  [
    'the keypad',
    async () => {
      await engine.run(press, 'Keypad: dial and number keys');
      for (const key of ['1', '9', '8', '6', '5', 'Log it']) await engine.run(press, key);
      return see('[data-testid=home-sentence]', '^Set 199° on the compass. Walk 215 m');
    },
  ],
];

/** The views of the hand, and the printed page. */
const viewSteps = ({ engine, see, goTo }) => [
  [
    'Home now',
    async () => {
      await goTo('home-now');
      return see('[data-testid=answer-walk]', '215 m');
    },
  ],
  [
    'the counter',
    async () => {
      await goTo('counter');
      await see('[data-testid=counted]', '^0$');
      await engine.run(fill, '#follow', '198');
      for (let tap = 0; tap < 5; tap++) {
        await engine.run(`() => document.querySelector('[data-tap]').click()`);
      }
      await see('[data-testid=counted]', '^5$');
      await engine.run(press, 'Arrived: log it');
      return see('[role=status]', 'Logged: 198 5p');
    },
  ],
  [
    'print',
    async () => {
      await goTo('print');
      return see('main', 'Home: 199°');
    },
  ],
];

/** A page that is being left answers nothing, and some engines never say so: it is waited for. */
const left = () => new Promise((resolve) => setTimeout(resolve, 4000));

/** Places on the map: a picture of one, a fix, and areas and practice as far as they open. */
const placeSteps = ({ engine, see }) => [
  [
    'a picture of a map',
    async () => {
      const origin = await engine.run('() => location.origin');
      await engine.goto(`${origin}/map`);
      await engine.run(press, 'Add the demo map');
      await left();
      return see('main', 'Protractor');
    },
  ],
  [
    'known places',
    async () => {
      const origin = await engine.run('() => location.origin');
      await engine.goto(`${origin}/fix`);
      await engine.run(press, 'Add the places of the demo');
      return see('main', 'Trapper’s hut');
    },
  ],
  [
    'the demo route',
    async () => {
      const origin = await engine.run('() => location.origin');
      await engine.goto(`${origin}/route`);
      await engine.run(press, 'Open the demo route');
      await left();
      return see('main', 'Gauge 2');
    },
  ],
  [
    'practice',
    async () => {
      const origin = await engine.run('() => location.origin');
      await engine.goto(`${origin}/practice`);
      return see('main', 'Blind walk|walk in fog|Walk in fog');
    },
  ],
];

/** Files in, and the app without a network: the server ends. */
const fileSteps = ({ engine, see, goTo }, server) => [
  [
    'export and import',
    async () => {
      await goTo('files');
      await see('main', 'Back up everything');
      await engine.run(importLog, 'outing Brought\n000 100m\n090 100m\n');
      return see('[data-testid=preview]', 'Brought');
    },
  ],
  [
    'without a network',
    async () => {
      await engine.run(workerReady);
      await server.stop();
      await engine.goto(server.url);
      return see('main', '6 legs');
    },
  ],
];

/** One engine's run of the main job, step by step; each step says what it saw. */
async function mainJob(engine, server) {
  const hands = handsOf(engine);
  const files = fileSteps(hands, server);
  // The places leave the outing's address; the last step ends the server.
  const steps = [
    ...logSteps(hands, server),
    ...viewSteps(hands),
    ...files.slice(0, -1),
    ...placeSteps(hands),
    ...files.slice(-1),
  ];
  let failed = 0;
  for (const [name, step] of steps) {
    const began = performance.now();
    try {
      const saw = await step();
      const seconds = ((performance.now() - began) / 1000).toFixed(1);
      console.log(`  ${name}: ${saw.replace(/\s+/g, ' ').slice(0, 70)} (${seconds} s)`);
    } catch (error) {
      failed++;
      console.log(`  ${name}: FAILED: ${String(error.message).slice(0, 200)}`);
    }
  }
  return failed;
}

/** Runs in the page: offers a log as a file, as choosing one would. */
const importLog = `async (text) => {
  const input = document.querySelector('.ant-upload-drag input[type=file]');
  const files = new DataTransfer();
  files.items.add(new File([text], 'brought.log.txt', { type: 'text/plain' }));
  input.files = files.files;
  input.dispatchEvent(new Event('change', { bubbles: true }));
}`;

/** Runs in the page: waits for the worker that answers without a network. */
const workerReady = `async () => {
  if (!('serviceWorker' in navigator)) throw new Error('this engine has no service worker here');
  await navigator.serviceWorker.ready;
  while (navigator.serviceWorker.controller?.state !== 'activated') {
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}`;

/** A session of its own that starts an outing so soon after the first page, and logs a line. */
async function startsSoon(start, server, wait) {
  const engine = await start();
  try {
    const { see, log } = handsOf(engine);
    await engine.goto(server.url);
    await new Promise((resolve) => setTimeout(resolve, wait));
    await engine.run(press, 'Start an outing');
    await see('[data-testid=home-sentence]', 'You are at');
    await log('pace 65 per 100 m');
    return true;
  } catch (error) {
    console.log(`  after ${wait} ms: FAILED: ${String(error.message).slice(0, 160)}`);
    return false;
  } finally {
    await engine.close();
  }
}

ensureEngines();
const starts = Number(process.env.STARTS ?? 10);
let failures = 0;
const wanted = process.env.ENGINE?.split(',') ?? ['firefox', 'webkit'];
for (const [name, start] of Object.entries({ firefox, webkit })) {
  if (!wanted.includes(name)) continue;
  const server = await startServer({ port: await freePort() });
  let good = 0;
  for (let n = 0; n < starts; n++) {
    // From a second to two and a half: the work of the first page is still open then.
    if (await startsSoon(start, server, 1000 + 150 * n)) good++;
  }
  failures += starts - good;
  const engine = await start();
  console.log(engine.name);
  console.log(`  ${good} of ${starts} outings started soon after the first page and saved`);
  await engine.goto(server.url);
  const missing = await engine.run(lacks);
  console.log(`  has not: ${missing.length > 0 ? missing.join(', ') : 'nothing'}`);
  failures += await mainJob(engine, server);
  await engine.close();
  await server.stop();
}
process.exit(failures > 0 ? 1 : 0);
