import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { launch } from '../../scripts/browser.mjs';
import { dice } from './mutated-files';
import { allRecords } from './stored';

/** Something beside legs and paces that the screen shows as kept, and where it has to be then. */
interface Kind {
  readonly name: string;
  readonly path: string;
  /** What is done for the n-th time, in the page: it returns once the screen shows it. */
  readonly act: (n: number) => Promise<void>;
  /** What the store has to hold of it then. */
  readonly isThere: (page: Page, n: number) => Promise<boolean>;
}

/** The result of killing the browser right after something was shown. */
export interface KindTally {
  readonly name: string;
  readonly kills: number;
  readonly lost: number;
}

/** What is kept under a key; null for nothing. */
async function kept(page: Page, key: string): Promise<string | null> {
  type Kept = { key: string; value: string | null };
  const all = await allRecords<Kept>(page, 'kept');
  return all.find((each) => each.key === key)?.value ?? null;
}

/* The functions `act` are sent into the page: they know nothing but what is in them. */

const THEMES = ['day', 'dark', 'night'];

const theme: Kind = {
  name: 'theme',
  path: '/',
  act: async (n) => {
    const label = ['Day', 'Dark', 'Night: red, keeps night vision'][n % 3]!;
    const field = () => document.querySelector<HTMLInputElement>(`[aria-label="${label}"]`);
    while (!field()) {
      // The rail is there before what answers it.
      document.querySelector<HTMLElement>('[data-settings]')?.click();
      await new Promise((go) => setTimeout(go, 50));
    }
    field()!.click();
    // It is marked as chosen once it is kept.
    do await new Promise((go) => setTimeout(go));
    while (!field()?.checked);
  },
  isThere: async (page, n) => (await kept(page, 'cairn-light')) === THEMES[n % 3],
};

const LENGTHS = ['metric', 'feet', 'chains'];

const units: Kind = {
  name: 'units',
  path: '/',
  act: async (n) => {
    const wanted = ['metric', 'feet', 'chains'][n % 3]!;
    const field = () =>
      document.querySelector<HTMLSelectElement>('[aria-label="Units of figures"] select');
    while (!field()) {
      // The rail is there before what answers it.
      document.querySelector<HTMLElement>('[data-settings]')?.click();
      await new Promise((go) => setTimeout(go, 50));
    }
    const set = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')!.set!;
    set.call(field(), wanted);
    field()!.dispatchEvent(new Event('change', { bubbles: true }));
    // The view begins again in other units; until then the field goes back to what is kept.
    await new Promise((go) => setTimeout(go));
    while (field()?.value !== wanted) await new Promise((go) => setTimeout(go));
  },
  isThere: async (page, n) =>
    ((await kept(page, 'cairn-units')) ?? '').includes(`"lengths":"${LENGTHS[n % 3]}"`),
};

const figureOf = (n: number) => (2 + (n % 50) / 10).toFixed(1);

const ownErrors: Kind = {
  name: 'own errors',
  path: '/uncertainty',
  act: async (n) => {
    const figure = String(Number((2 + (n % 50) / 10).toFixed(1)));
    const row = () => document.querySelector('[data-sigma=landmark]');
    const isAwake = () =>
      Object.keys(row()?.querySelector('input') ?? {}).some((key) => key.startsWith('__react'));
    while (!isAwake()) await new Promise((go) => setTimeout(go));
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
    const isShown = () => row()?.lastElementChild?.textContent?.startsWith(`${figure}°`) ?? false;
    // After a kill the units come back from the database, and the view begins again with them.
    while (!isShown()) {
      const field = row()!.querySelector('input')!;
      set.call(field, figure);
      field.dispatchEvent(new Event('input', { bubbles: true }));
      await new Promise((go) => setTimeout(go, 20));
      field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
      for (let i = 0; i < 100 && !isShown(); i++) await new Promise((go) => setTimeout(go));
    }
  },
  isThere: async (page, n) =>
    ((await kept(page, 'cairn-errors')) ?? '').includes(`"value":${Number(figureOf(n))}`),
};

const fixDraft: Kind = {
  name: 'draft of a fix',
  path: '/fix',
  act: async (n) => {
    const wanted = n % 2 === 0;
    const box = () =>
      [...document.querySelectorAll('label')]
        .find((each) => each.textContent?.includes('Solve for the compass'))
        ?.querySelector('input');
    const button = () =>
      [...document.querySelectorAll('button')].find(
        (each) => each.textContent?.trim() === 'Add the places of the demo',
      );
    while (!box()) {
      button()?.click();
      await new Promise((go) => setTimeout(go, 50));
    }
    if (box()!.checked === wanted) box()!.click();
    while (box()!.checked === wanted) await new Promise((go) => setTimeout(go));
    box()!.click();
    while (box()!.checked !== wanted) await new Promise((go) => setTimeout(go));
  },
  isThere: async (page, n) =>
    ((await kept(page, 'cairn-fix ')) ?? '').includes(`"solveCompass":${n % 2 === 0}`),
};

const nameOf = (n: number) => `Cairn ${n}`;

const knownPlace: Kind = {
  name: 'known place',
  path: '/fix',
  act: async (n) => {
    const name = `Cairn ${n}`;
    const later = () => new Promise((go) => setTimeout(go, 5));
    const tab = () =>
      [...document.querySelectorAll<HTMLElement>('[role=tab]')].find((each) =>
        each.textContent?.startsWith('Known places'),
      );
    while (!document.querySelector('#known-name')) {
      tab()?.click();
      await later();
    }
    const fill = (
      id: string,
      text: string,
      kind: typeof HTMLInputElement | typeof HTMLTextAreaElement,
    ) => {
      const field = document.querySelector<HTMLInputElement>(id)!;
      Object.getOwnPropertyDescriptor(kind.prototype, 'value')!.set!.call(field, text);
      field.dispatchEvent(new Event('input', { bubbles: true }));
    };
    fill('#known-name', name, HTMLInputElement);
    fill('#known-where', `54.2${String(n % 100).padStart(2, '0')} -63.5`, HTMLTextAreaElement);
    const save = () =>
      [...document.querySelectorAll('button')].find(
        (each) => each.textContent?.trim() === 'Save place' && !each.disabled,
      );
    while (!save()) await later();
    save()!.click();
    const rows = () => [...document.querySelectorAll('li b')].map((each) => each.textContent);
    while (!rows().includes(name)) await new Promise((go) => setTimeout(go));
  },
  isThere: async (page, n) => {
    type Stored = { change: { place?: { name: string } } };
    const all = await allRecords<Stored>(page, 'places');
    return all.some(({ change }) => change.place?.name === nameOf(n));
  },
};

const KINDS: readonly Kind[] = [theme, units, ownErrors, fixDraft, knownPlace];

/** A kill comes at most so long after the screen shows it. */
const LATEST_KILL_MS = 40;

/** What is not shown by then never will be: the page has changed, or the app fails. */
const LONGEST_ACT_MS = 30_000;

/** Kills the browser right after it shows that something is kept, for every kind in turn. */
export async function killKinds(url: string, kills: number, seed: number): Promise<KindTally[]> {
  const roll = dice(seed);
  const tallies = KINDS.map(({ name }) => ({ name, kills: 0, lost: 0 }));
  const userDataDir = mkdtempSync(join(tmpdir(), 'kill-kinds-'));
  const open = async () => {
    const browser = await launch({ userDataDir, protocolTimeout: LONGEST_ACT_MS });
    const page = await browser.newPage();
    await page.evaluateOnNewDocument('globalThis.__name = (given) => given');
    return { browser, page };
  };
  let { browser, page } = await open();
  // There has to be a database to look into, whatever is killed first.
  await page.goto(url);
  await (await page.waitForSelector('aria/Start an outing'))!.click();
  await page.waitForSelector('[data-testid=home-sentence]');
  for (let n = 0; n < kills; n++) {
    const index = n % KINDS.length;
    const kind = KINDS[index]!;
    await page.goto(url + kind.path);
    // What is pressed before the page has its scripts is pressed in vain, and seen to be undone.
    await page.waitForFunction(() =>
      Object.keys(document.querySelector('main *') ?? {}).some((key) => key.startsWith('__react')),
    );
    await page.evaluate(kind.act, n).catch((error: unknown) => {
      throw new Error(`${kind.name}, for the ${n}th time: ${String(error)}`);
    });
    await new Promise((resolve) => setTimeout(resolve, roll(LATEST_KILL_MS)));
    browser.process()!.kill('SIGKILL');
    ({ browser, page } = await open());
    await page.goto(`${url}/guide`);
    tallies[index]!.kills++;
    if (!(await kind.isThere(page, n))) tallies[index]!.lost++;
  }
  await browser.close();
  rmSync(userDataDir, { recursive: true, force: true, maxRetries: 5 });
  return tallies;
}
