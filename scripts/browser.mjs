import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import puppeteer from 'puppeteer-core';

/** The Chromium to drive: CHROMIUM_PATH, or the one on the PATH. */
export function chromiumPath() {
  if (process.env.CHROMIUM_PATH) return process.env.CHROMIUM_PATH;
  for (const name of ['chromium', 'chromium-browser', 'google-chrome']) {
    for (const folder of (process.env.PATH ?? '').split(':')) {
      if (existsSync(`${folder}/${name}`)) return `${folder}/${name}`;
    }
  }
  return undefined;
}

/** Installs Chromium from the system's packages if it is missing (Debian, as root or by sudo). */
export function ensureChromium() {
  if (chromiumPath()) return;
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  for (const step of [
    ['apt-get', 'update', '-qq'],
    ['apt-get', 'install', '-y', '-qq', '--no-install-recommends', 'chromium'],
  ]) {
    const [command, ...rest] = [...asRoot, ...step];
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
