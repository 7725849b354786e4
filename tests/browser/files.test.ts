import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import type { ElementHandle } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { DESK, PHONE, Visitor } from './visitor';

const sizes = [
  ['desk', DESK],
  ['phone', PHONE],
] as const;
const folder = mkdtempSync(join(tmpdir(), 'files-'));

const press = async (visitor: Visitor, words: string) => {
  const found = await visitor.page.waitForFunction(
    (wanted: string) =>
      [...document.querySelectorAll<HTMLElement>('button, label.ant-radio-button-wrapper')].find(
        (each) => each.textContent === wanted && !(each as HTMLButtonElement).disabled,
      ),
    {},
    words,
  );
  await (found as ElementHandle<HTMLElement>).evaluate((button) => button.click());
};

/** Catches what the page hands to the browser to save. */
async function catchFiles(visitor: Visitor) {
  await visitor.page.evaluateOnNewDocument(() => {
    const store = { blobs: [] as Blob[], names: [] as string[] };
    Object.assign(globalThis, { caught: store });
    const create = URL.createObjectURL.bind(URL);
    URL.createObjectURL = (blob: Blob) => {
      store.blobs.push(blob);
      return create(blob);
    };
    HTMLAnchorElement.prototype.click = function click(this: HTMLAnchorElement) {
      if (this.download) store.names.push(this.download);
    };
  });
}
interface Caught {
  readonly name: string;
  readonly bytes: Uint8Array;
}
const lastCaught = async (visitor: Visitor): Promise<Caught> => {
  const { name, bytes } = await visitor.page.evaluate(async () => {
    const { blobs, names } = (
      globalThis as unknown as { caught: { blobs: Blob[]; names: string[] } }
    ).caught;
    return { name: names.at(-1)!, bytes: [...new Uint8Array(await blobs.at(-1)!.arrayBuffer())] };
  });
  return { name, bytes: Uint8Array.from(bytes) };
};

/** An outing with a position, on the Files view. */
async function onFiles(viewport: typeof DESK, lines: readonly string[]) {
  const visitor = await Visitor.arrive(viewport);
  await catchFiles(visitor);
  await visitor.startOuting();
  const id = new URL(visitor.page.url()).searchParams.get('id')!;
  for (const line of lines) await visitor.log(line);
  await visitor.page.goto(`${visitor.url}/files?id=${id}`);
  await visitor.page.waitForSelector('#safe');
  return visitor;
}
const paste = async (visitor: Visitor, text: string) => {
  await visitor.page.waitForSelector('#pasted');
  await visitor.page.$eval(
    '#pasted',
    (area, value) => {
      const set = Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')!.set!;
      set.call(area, value);
      area.dispatchEvent(new Event('input', { bubbles: true }));
    },
    text,
  );
  await press(visitor, 'Read it');
};
const choose = async (visitor: Visitor, name: string, content: string | Uint8Array) => {
  const path = join(folder, name);
  writeFileSync(path, content);
  const input = await visitor.page.waitForSelector('.ant-upload-drag input[type=file]');
  await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(path);
};
const PLACED = [
  'start Dock at 54.2 -63.5',
  'declination 19.1 W',
  '000 100m > A ; by the <b>pond</b>',
  '090 100m',
];

describe.each(sizes)('files, on a %s', (_name, viewport) => {
  it('hands an outing out in every format', async () => {
    const visitor = await onFiles(viewport, PLACED);
    const expected: readonly [string, RegExp][] = [
      ['Log', /^cairn-back log 1[^]*000 100m > A ; by the <b>pond<\/b>/],
      ['Logbook', /"format": "cairn-back\/logbook"/],
      ['GPX', /<wpt lat="54\.2[^]*<desc>by the &lt;b&gt;pond/],
      ['GeoJSON', /"type": "FeatureCollection"/],
      ['KML', /<kml [^]*<Placemark>/],
      ['Table', /^outing,number,kind/],
      ['Sketch', /^<svg [^]*<title>/],
      ['Picture', /^\u{FFFD}PNG/u],
    ];
    for (const [button, pattern] of expected) {
      await press(visitor, button);
      await visitor.reads('[data-testid=handed-out]', /was written to your downloads/);
      await visitor.page.waitForFunction(
        (ending: string) =>
          (globalThis as unknown as { caught: { names: string[] } }).caught.names
            .at(-1)
            ?.endsWith(ending),
        {},
        {
          Log: '.log.txt',
          Logbook: '.cairn.json',
          GPX: '.gpx',
          GeoJSON: '.geojson',
          KML: '.kml',
          Table: '.csv',
          Sketch: '.svg',
          Picture: '.png',
        }[button]!,
      );
      const { bytes } = await lastCaught(visitor);
      expect(new TextDecoder().decode(bytes)).toMatch(pattern);
    }
    await press(visitor, 'Archive');
    await visitor.reads('[data-testid=handed-out]', /\.zip was written/);
    const names = Object.keys(unzipSync((await lastCaught(visitor)).bytes));
    expect(names.filter((name) => /\.(gpx|kml|geojson|csv|svg|log\.txt)$/.test(name))).toHaveLength(
      6,
    );
    await visitor.leave();
  });

  it('says what is missing for a map, and hands out what can be had', async () => {
    const visitor = await onFiles(viewport, ['000 100m', '090 100m']);
    await press(visitor, 'GPX');
    await visitor.reads(
      '[data-testid=handed-out]',
      /can’t be put on a map: its start has no position\. A log, a table or a sketch needs neither/,
    );
    await press(visitor, 'Archive');
    await visitor.reads('[data-testid=handed-out]', /\.zip was written/);
    const files = unzipSync((await lastCaught(visitor)).bytes);
    expect(strFromU8(files['left-out.txt']!)).toMatch(/its start has no position/);
    expect(Object.keys(files)).toContain('all.csv');
    await visitor.leave();
  });

  it('shows what would come in, and takes it in only then', async () => {
    const visitor = await onFiles(viewport, ['000 100m']);
    await paste(visitor, 'outing Pasted <i>one</i>\ndate 2026-08-14\n220 65m > Camp\n350 130m');
    await visitor.reads(
      '[data-testid=preview]',
      /What you pasted holds:Pasted <i>one<\/i> 14 August 2026 · 2 legs · new/,
    );
    expect(await visitor.page.$('[data-testid=preview] i')).toBeNull();
    await press(visitor, 'Leave it');
    await visitor.page.waitForSelector('[data-testid=preview]', { hidden: true });
    await choose(visitor, 'walk.log.txt', 'outing From a file\n220 65m\n22O 65m\n');
    await visitor.reads(
      '[data-testid=preview]',
      /walk\.log\.txt can’t be read\. Nothing was changed\..*line 3/,
    );
    await choose(visitor, 'walk.log.txt', 'outing From a file\n220 65m\n');
    await visitor.reads('[data-testid=preview]', /From a file.*1 leg · new/);
    await press(visitor, 'Take in 1 outing');
    await visitor.reads('[data-testid=taken]', /^1 taken in\.$/);
    await visitor.page.goto(visitor.url);
    await visitor.reads('main', /From a file/);
    expect(await visitor.text('main')).not.toMatch(/Pasted/);
    await visitor.leave();
  });

  it('a backup comes back into an empty store, and meets what is there', async () => {
    const visitor = await onFiles(viewport, PLACED);
    await visitor.reads('[data-testid=backup-state]', /Nothing was backed up yet/);
    await press(visitor, 'Back up everything');
    await visitor.reads('[data-testid=backed]', /cairn-back .*\.cairn\.json/);
    await visitor.reads('[data-testid=backup-state]', /Backed up .*nothing has changed since/);
    const { bytes } = await lastCaught(visitor);
    await choose(visitor, 'backup.cairn.json', bytes);
    await visitor.reads(
      '[data-testid=preview]',
      /on your shelf already, the same.*nothing new to take in/,
    );
    // The same outing with another page: the person decides.
    const other = new TextDecoder().decode(bytes).replace('"value": 100', '"value": 120');
    await choose(visitor, 'other.cairn.json', other);
    await visitor.reads('[data-testid=preview]', /on your shelf already, with another page/);
    await press(visitor, 'replace');
    await press(visitor, 'Take in 1 outing');
    await visitor.reads('[data-testid=taken]', /^1 replaced\.$/);
    await visitor.reads('[data-testid=backup-state]', /one change since/);
    const fresh = await Visitor.arrive(viewport);
    await fresh.page.goto(`${fresh.url}/files`);
    await choose(fresh, 'backup.cairn.json', bytes);
    await fresh.reads('[data-testid=preview]', /2 legs · new/);
    await press(fresh, 'Take in 1 outing');
    await fresh.reads('[data-testid=taken]', /^1 taken in\.$/);
    await fresh.leave();
    await visitor.leave();
  });

  it('an outing goes from one screen to another by pictures of its codes, in any order', async () => {
    const sender = await onFiles(viewport, PLACED);
    await press(sender, 'Show codes');
    await sender.page.waitForSelector('[data-testid=code] svg');
    await press(sender, 'Hold still');
    const count = Number(
      await sender.page.$eval('[data-testid=code]', (code) => (code as HTMLElement).dataset.count),
    );
    expect(count).toBeGreaterThan(1);
    const pictures: string[] = [];
    for (let i = 0; i < count; i++) {
      const code = (await sender.page.waitForSelector('[data-testid=code]'))!;
      const number = await code.evaluate((each) => (each as HTMLElement).dataset.number!);
      await new Promise((resolve) => setTimeout(resolve, 150));
      const path = join(folder, `code-${number}.png`);
      await code.screenshot({ path: path as `${string}.png` });
      pictures.push(path);
      await press(sender, 'One on');
      await sender.page.waitForFunction(
        (before: string) =>
          document.querySelector<HTMLElement>('[data-testid=code]')!.dataset.number !== before,
        {},
        number,
      );
    }
    await sender.leave();

    const receiver = await Visitor.arrive(viewport);
    await receiver.page.goto(`${receiver.url}/files`);
    await press(receiver, 'Read codes');
    await receiver.reads('[data-testid=codes-seen]', /no camera|not allowed|Point the camera/);
    const look = async (paths: string[]) => {
      const input = await receiver.page.waitForSelector('input[type=file][accept="image/*"]');
      await (input as unknown as { uploadFile: (...paths: string[]) => Promise<void> }).uploadFile(
        ...paths,
      );
    };
    const shuffled = [...pictures].reverse();
    await look(shuffled.slice(1));
    await receiver.reads(
      '[data-testid=codes-seen]',
      new RegExp(`${count - 1} of ${count} codes seen\\.Still missing: \\d+\\.`),
    );
    await look(shuffled.slice(0, 1));
    await receiver.reads(
      '[data-testid=preview]',
      /The outing from the other phone holds:.*2 legs · new/,
    );
    await press(receiver, 'Take in 1 outing');
    await receiver.reads('[data-testid=taken]', /^1 taken in\.$/);
    await receiver.leave();
  });
});

describe('files of others', () => {
  it('a recorded line is thinned as far as one says, with the count before it is taken', async () => {
    const visitor = await onFiles(DESK, ['000 100m']);
    const points = Array.from(
      { length: 200 },
      (_, i) => `<trkpt lat="${54.2 + i * 1e-5}" lon="${-63.5 + (i % 2) * 4e-5}"/>`,
    );
    await choose(
      visitor,
      'day.gpx',
      `<gpx version="1.1"><trk><name>Day</name><trkseg>${points.join('')}</trkseg></trk></gpx>`,
    );
    await visitor.reads(
      '[data-testid=preview]',
      /“Day”: 200 positions become 1 legs, none farther than 10 m/,
    );
    await visitor.fill('#tolerance', '0.5');
    await visitor.reads(
      '[data-testid=preview]',
      /200 positions become 199 legs, none farther than 0\.5 m/,
    );
    await press(visitor, 'Take in 1 outing');
    await visitor.reads('[data-testid=taken]', /^1 taken in\.$/);
    await visitor.leave();
  });

  it('a table shows what its columns were taken for, and takes another word for it', async () => {
    const visitor = await onFiles(DESK, ['000 100m']);
    await choose(visitor, 'walk.csv', 'Richtung,Laenge\n220,65m\n350,130m\n');
    await visitor.reads(
      '[data-testid=preview]',
      /A column of bearings and one of distances are needed/,
    );
    // By keyboard: the third meaning on, then the fifth.
    for (const [column, down] of [
      [0, 3],
      [1, 5],
    ] as const) {
      await visitor.page.waitForSelector(`#column-${column}`);
      await visitor.page.focus(`#column-${column}`);
      await visitor.page.keyboard.press('Enter');
      await visitor.page.waitForSelector('.ant-select-dropdown:not(.ant-select-dropdown-hidden)');
      for (let i = 0; i < down; i++) await visitor.page.keyboard.press('ArrowDown');
      await visitor.page.keyboard.press('Enter');
    }
    await visitor.reads('[data-testid=preview]', /2 legs · new/);
    await visitor.leave();
  });

  it('what could harm is refused, and nothing is written', async () => {
    const visitor = await onFiles(DESK, ['000 100m']);
    await choose(
      visitor,
      'bomb.gpx',
      '<?xml version="1.0"?><!DOCTYPE gpx [<!ENTITY a "x">]><gpx>&a;</gpx>',
    );
    await visitor.reads('[data-testid=preview]', /document type or entities, which are not read/);
    await choose(visitor, 'cut.cairn.json', '{"format": "cairn-back/logbook", "version": 1');
    await visitor.reads('[data-testid=preview]', /cut off or damaged/);
    await visitor.page.goto(visitor.url);
    await visitor.page.waitForSelector('main li');
    expect(await visitor.page.$$eval('main li', (rows) => rows.length)).toBe(1);
    await visitor.leave();
  });

  it('a damaged outing comes back from the copy that the browser keeps', async () => {
    const visitor = await onFiles(DESK, ['000 100m > A', '090 100m']);
    await visitor.reads('main', /From the second day on/);
    // The copy is made when a page has come to rest.
    await visitor.page.waitForSelector('::-p-text(1 outing)', { timeout: 20_000 });
    const id = new URL(visitor.page.url()).searchParams.get('id')!;
    await visitor.page.evaluate(
      (outing: string) =>
        new Promise<void>((resolve) => {
          const open = indexedDB.open('cairn-back');
          open.onsuccess = () => {
            const transaction = open.result.transaction('changes', 'readwrite');
            transaction.objectStore('changes').put({ outing, number: 1, at: 'half' });
            transaction.oncomplete = () => {
              open.result.close();
              resolve();
            };
          };
        }),
      id,
    );
    await visitor.page.goto(`${visitor.url}/outing?id=${id}`);
    await visitor.reads('main', /Part of this log is damaged[^]*Look for a copy of it in Files/);
    await visitor.page.goto(`${visitor.url}/files`);
    await visitor.page.waitForSelector('[aria-label^="Look into it"]');
    await visitor.page.$eval('[aria-label^="Look into it"]', (button) =>
      (button as HTMLElement).click(),
    );
    await visitor.reads(
      '[data-testid=preview]',
      /2 legs · what you have of it is damaged: it comes in beside it/,
    );
    await press(visitor, 'Take in 1 outing');
    await visitor.reads('[data-testid=taken]', /^1 taken in\.$/);
    await visitor.leave();
  });

  it('the shelf reminds of a backup, gently', async () => {
    const visitor = await onFiles(DESK, ['000 100m']);
    await visitor.page.goto(visitor.url);
    await visitor.page.waitForSelector('main li');
    expect(await visitor.text('main')).not.toMatch(/no backup yet/);
    await visitor.page.click('main li a');
    for (let i = 0; i < 20; i++) await visitor.log(`0${10 + i} 10m`);
    await visitor.page.goto(visitor.url);
    await visitor.reads('main', /2\d changes and no backup yet: they are on this device alone/);
    await visitor.leave();
  });
});
