import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import puppeteer from 'puppeteer-core';

const NAMES = ['chromium', 'chromium-browser', 'google-chrome'];
const WITHOUT_WINDOWS = 'chromium-headless-shell';

function onPath(names) {
  for (const name of names) {
    for (const folder of (process.env.PATH ?? '').split(':')) {
      if (existsSync(`${folder}/${name}`)) return `${folder}/${name}`;
    }
  }
  return undefined;
}

/** The Chromium to drive: CHROMIUM_PATH, or the one on the PATH. */
export const chromiumPath = () => process.env.CHROMIUM_PATH ?? onPath(NAMES);

/** The same engine without a browser's windows: a profile of its own costs a third less. */
const withoutWindowsPath = () =>
  process.env.CHROMIUM_PATH ?? onPath([WITHOUT_WINDOWS]) ?? chromiumPath();

/** Installs Chromium from the system's packages if it is missing (Debian, as root or by sudo). */
export function ensureChromium() {
  const isRoot = process.getuid?.() === 0;
  const hasBoth = onPath([WITHOUT_WINDOWS]) !== undefined || !isRoot;
  if (chromiumPath() && (process.env.CHROMIUM_PATH || hasBoth)) return;
  const packages = ['chromium', WITHOUT_WINDOWS];
  for (const step of [
    ['apt-get', 'update', '-qq'],
    ['apt-get', 'install', '-y', '-qq', '--no-install-recommends', ...packages],
  ]) {
    const [command, ...rest] = [...(isRoot ? [] : ['sudo']), ...step];
    execFileSync(command, rest, { stdio: 'inherit' });
  }
}

export const launch = (options = {}) =>
  puppeteer.launch({
    executablePath: chromiumPath(),
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
    ...options,
  });

/** For many profiles at once, none of them looked at by a person. */
export const launchWithoutWindows = (options = {}) =>
  launch({ executablePath: withoutWindowsPath(), ...options });
