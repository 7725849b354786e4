import { execFileSync, spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import puppeteer from 'puppeteer-core';
import { freePort } from '../server.mjs';

/** How long one call to a browser may take: an engine that hangs must not hang the run. */
const CALL_MS = 60_000;

const onPath = (name) =>
  (process.env.PATH ?? '')
    .split(':')
    .map((folder) => `${folder}/${name}`)
    .find((path) => existsSync(path));

/** Debian's place for WebKit's small browser. */
const MINI_BROWSERS = ['x86_64', 'aarch64'].map(
  (machine) => `/usr/lib/${machine}-linux-gnu/webkit2gtk-4.1/MiniBrowser`,
);
const miniBrowser = () => MINI_BROWSERS.find((path) => existsSync(path));

/** Installs the engines from Debian's packages where they are missing (as root or by sudo). */
export function ensureEngines() {
  if (onPath('firefox-esr') && onPath('WebKitWebDriver') && onPath('Xvfb') && miniBrowser()) return;
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  const packages = ['firefox-esr', 'webkit2gtk-driver', 'xvfb'];
  for (const step of [
    ['apt-get', 'update', '-qq'],
    ['apt-get', 'install', '-y', '-qq', '--no-install-recommends', ...packages],
  ]) {
    const [command, ...rest] = [...asRoot, ...step];
    execFileSync(command, rest, { stdio: 'inherit' });
  }
}

/** Firefox, through the protocol that puppeteer speaks. */
export async function firefox() {
  const browser = await puppeteer.launch({
    browser: 'firefox',
    executablePath: onPath('firefox-esr'),
    headless: true,
    protocolTimeout: CALL_MS,
  });
  const page = await browser.newPage();
  await page.setViewport({ width: 390, height: 844 });
  return {
    name: `Firefox (${await browser.version()})`,
    goto: async (url) => void (await page.goto(url)),
    run: (body, ...given) =>
      page.evaluate(
        // The page gets its functions as text: one shape for both protocols.
        (text, values) => new Function('given', `return (${text})(...given)`)(values),
        body,
        given,
      ),
    close: () => browser.close(),
  };
}

/** One call of the WebDriver protocol (W3C, WebDriver): plain JSON over HTTP. */
async function call(base, method, path, body) {
  const response = await fetch(base + path, {
    method,
    body: body && JSON.stringify(body),
    signal: AbortSignal.timeout(CALL_MS),
  });
  const { value } = await response.json();
  if (!response.ok) throw new Error(`${value.error}: ${value.message}`);
  return value;
}

/** Each session has a display of its own: the one before may not be given back yet. */
let displays = 0;

/** WebKit, through its WebDriver, on a display that nobody sees. */
export async function webkit() {
  const display = `:${90 + ((process.pid + displays++) % 100)}`;
  const screen = spawn(onPath('Xvfb'), [display, '-screen', '0', '800x1000x24'], {
    stdio: 'ignore',
  });
  const port = await freePort();
  const driver = spawn(onPath('WebKitWebDriver'), [`--port=${port}`], {
    stdio: 'ignore',
    env: { ...process.env, DISPLAY: display, WEBKIT_DISABLE_COMPOSITING_MODE: '1' },
  });
  const base = `http://127.0.0.1:${port}`;
  const stop = () => {
    driver.kill();
    screen.kill();
  };
  process.once('exit', stop);
  await new Promise((resolve) => setTimeout(resolve, 1500));
  const options = { binary: miniBrowser(), args: ['--automation'] };
  const made = await call(base, 'POST', '/session', {
    capabilities: { alwaysMatch: { 'webkitgtk:browserOptions': options } },
  });
  const session = `/session/${made.sessionId}`;
  const { browserName, browserVersion } = made.capabilities;
  return {
    name: `WebKit (${browserName} ${browserVersion})`,
    goto: (url) => call(base, 'POST', `${session}/url`, { url }),
    run: async (body, ...given) => {
      const script = `const done = arguments[arguments.length - 1];
        Promise.resolve((${body})(...arguments[0])).then(
          (value) => done({ value: value ?? null }), (error) => done({ error: String(error) }));`;
      const path = `${session}/execute/async`;
      try {
        const { value, error } = await call(base, 'POST', path, { script, args: [given] });
        if (error) throw new Error(error);
        return value;
      } catch (error) {
        // A press that leads to another page is answered by the end of this one.
        if (/before the unload event/.test(error.message)) return null;
        throw error;
      }
    },
    close: async () => {
      await call(base, 'DELETE', session).catch(() => undefined);
      stop();
    },
  };
}
