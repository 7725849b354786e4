import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { folder, offer } from '../../support/browser/offer';
import { leg } from '../../support/outings';
import { DESK, putRecord, sharedVisitor, SIZES, Visitor } from '../../support/browser/visitor';

/** Catches what the page gives to the browser to save. */
const catchFiles = (visitor: Visitor) =>
  visitor.page.evaluateOnNewDocument(() => {
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

/** A new visitor with one outing, in the Files view. */
async function arriveWith(viewport: typeof DESK, lines: readonly string[]) {
  const visitor = await Visitor.arrive(viewport);
  await catchFiles(visitor);
  await visitor.open(lines, 'files');
  await visitor.page.waitForSelector('#backup');
  return visitor;
}
const paste = async (visitor: Visitor, text: string) => {
  await visitor.fill('#pasted', text);
  await visitor.pick('Preview import');
};
const PLACED = [
  'start Dock at 54.2 -63.5',
  'declination 19.1 W',
  '000 100m > A ; by the <b>pond</b>',
  '090 100m',
];

describe.each(SIZES)('files, on a %s', (_name, viewport) => {
  const shared = sharedVisitor(viewport);
  const onFiles = async (lines: readonly string[]) => {
    const { visitor } = shared;
    await catchFiles(visitor);
    await visitor.open(lines, 'files');
    await visitor.page.waitForSelector('#backup');
    return visitor;
  };

  it('exports an outing in every format', async () => {
    const visitor = await onFiles(PLACED);
    const expected: readonly [string, string, RegExp][] = [
      ['Log', '.log.txt', /^cairn-back log 1[^]*000 100m > A ; by the <b>pond<\/b>/],
      ['Full data (JSON)', '.cairn.json', /"format": "cairn-back\/logbook"/],
      ['GPX', '.gpx', /<wpt lat="54\.2[^]*<desc>by the &lt;b&gt;pond/],
      ['GeoJSON', '.geojson', /"type": "FeatureCollection"/],
      ['KML', '.kml', /<kml [^]*<Placemark>/],
      ['Table (CSV)', '.csv', /^outing,number,kind/],
      ['Sketch (SVG)', '.svg', /^<svg [^]*<title>/],
      ['Image (PNG)', '.png', /^\u{FFFD}PNG/u],
    ];
    for (const [button, ending, pattern] of expected) {
      await visitor.pick(button);
      await visitor.reads('[data-testid=exported]', new RegExp(`\\${ending} in your downloads`));
      const { bytes } = await lastCaught(visitor);
      expect(new TextDecoder().decode(bytes)).toMatch(pattern);
    }
    await visitor.pick('Everything (ZIP)');
    await visitor.reads('[data-testid=exported]', /\.zip in your downloads/);
    const names = Object.keys(unzipSync((await lastCaught(visitor)).bytes));
    expect(names.filter((name) => /\.(gpx|kml|geojson|csv|svg|log\.txt)$/.test(name))).toHaveLength(
      6,
    );
  });

  it('says what a map needs, and exports what it can', async () => {
    const visitor = await onFiles(['000 100m', '090 100m']);
    await visitor.pick('GPX');
    await visitor.reads(
      '[data-testid=exported]',
      /can’t be put on a map: its start has no position\. A log, a table or a sketch needs none/,
    );
    await visitor.pick('Everything (ZIP)');
    await visitor.reads('[data-testid=exported]', /\.zip in your downloads/);
    const files = unzipSync((await lastCaught(visitor)).bytes);
    expect(strFromU8(files['left-out.txt']!)).toMatch(/its start has no position/);
    expect(Object.keys(files)).toContain('all.csv');
  });

  it('shows what would be imported, and imports it only then', async () => {
    const visitor = await onFiles(['000 100m']);
    await paste(visitor, 'outing Pasted <i>one</i>\ndate 2026-08-14\n220 65m > Camp\n350 130m');
    await visitor.reads(
      '[data-testid=preview]',
      /The pasted text contains:Pasted <i>one<\/i> 14 August 2026 · 2 legs · new/,
    );
    expect(await visitor.page.$('[data-testid=preview] i')).toBeNull();
    await visitor.pick('Cancel');
    await visitor.gone('[data-testid=preview]');
    await offer(visitor, 'walk.log.txt', 'outing From a file\n220 65m\n22O 65m\n');
    await visitor.reads(
      '[data-testid=preview]',
      /walk\.log\.txt can’t be read\. Nothing of it was taken\..*line 3/,
    );
    await offer(visitor, 'walk.log.txt', 'outing From a file\n220 65m\n');
    await visitor.reads('[data-testid=preview]', /From a file.*1 leg · new/);
    await visitor.pick('Import 1 outing');
    await visitor.reads('[data-testid=imported]', /^1 imported\.$/);
    await visitor.goto('outings');
    await visitor.reads('main', /From a file/);
    expect(await visitor.text('main')).not.toMatch(/Pasted/);
  });

  it('a backup can be restored to an empty store, and to one that has the outing', async () => {
    const visitor = await arriveWith(viewport, PLACED);
    await visitor.reads('[data-testid=backup-state]', /No backup yet/);
    await visitor.pick('Back up everything');
    await visitor.reads('[data-testid=backed-up]', /cairn-back .*\.cairn\.json/);
    await visitor.reads('[data-testid=backup-state]', /Last backup .*no changes since/);
    const { bytes } = await lastCaught(visitor);
    await offer(visitor, 'backup.cairn.json', bytes);
    await visitor.reads('[data-testid=preview]', /you already have it.*nothing new to import/);
    // The same outing with different contents: the person decides.
    const other = new TextDecoder().decode(bytes).replace('"value": 100', '"value": 120');
    await offer(visitor, 'other.cairn.json', other);
    await visitor.reads(
      '[data-testid=preview]',
      /already have this outing, with different contents/,
    );
    await visitor.pick('replace');
    await visitor.pick('Import 1 outing');
    await visitor.reads('[data-testid=imported]', /^1 replaced\.$/);
    await visitor.reads('[data-testid=backup-state]', /1 change since/);
    const fresh = await Visitor.arrive(viewport);
    await fresh.goto('files');
    await offer(fresh, 'backup.cairn.json', bytes);
    await fresh.reads('[data-testid=preview]', /2 legs · new/);
    await fresh.pick('Import 1 outing');
    await fresh.reads('[data-testid=imported]', /^1 imported\.$/);
    await fresh.leave();
    await visitor.leave();
  });

  it('an outing goes to another screen by pictures of its QR codes, in any order', async () => {
    const sender = await onFiles(PLACED);
    await sender.pick('Show QR codes');
    await sender.page.waitForSelector('[data-testid=code] svg');
    await sender.pick('Pause');
    const count = Number(
      await sender.page.$eval('[data-testid=code]', (code) => (code as HTMLElement).dataset.count),
    );
    expect(count).toBeGreaterThan(1);
    const pictures: string[] = [];
    for (let i = 0; i < count; i++) {
      const code = (await sender.page.waitForSelector('[data-testid=code]'))!;
      const number = await code.evaluate((each) => (each as HTMLElement).dataset.number!);
      await sender.page.waitForSelector('[data-testid=code][data-drawn=true]');
      const path = join(folder, `code-${number}.png`);
      await code.screenshot({ path: path as `${string}.png` });
      pictures.push(path);
      await sender.pick('Next');
      await sender.page.waitForFunction(
        (before: string) =>
          document.querySelector<HTMLElement>('[data-testid=code]')!.dataset.number !== before,
        {},
        number,
      );
    }

    const receiver = await Visitor.arrive(viewport);
    await receiver.goto('files');
    await receiver.pick('Read QR codes');
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
      new RegExp(`${count - 1} of ${count} codes read\\.Still missing: \\d+\\.`),
    );
    await look(shuffled.slice(0, 1));
    await receiver.reads(
      '[data-testid=preview]',
      /The outing from the other phone contains:.*2 legs · new/,
    );
    await receiver.pick('Import 1 outing');
    await receiver.reads('[data-testid=imported]', /^1 imported\.$/);
    await receiver.leave();
  });
});

describe('backups', () => {
  it('a damaged outing can be restored from the copy that the browser made', async () => {
    const visitor = await arriveWith(DESK, ['000 100m > A', '090 100m']);
    await visitor.reads('main', /From the second day on/);
    // The copy is made when the page is idle.
    await visitor.page.waitForSelector('::-p-text(1 outing)');
    const id = new URL(visitor.page.url()).searchParams.get('id')!;
    await putRecord(visitor, { outing: id, number: 1, at: 'half' });
    await visitor.goto('outing', id);
    await visitor.reads('main', /Part of this log is damaged[^]*Look for a copy of it in Files/);
    await visitor.goto('files');
    const preview = await visitor.page.waitForSelector('[aria-label^="Preview:"]');
    await preview!.evaluate((button) => (button as HTMLElement).click());
    await visitor.reads(
      '[data-testid=preview]',
      /2 legs · yours is damaged: this one is added beside it/,
    );
    await visitor.pick('Import 1 outing');
    await visitor.reads('[data-testid=imported]', /^1 imported\.$/);
    await visitor.leave();
  });

  it('the start page reminds of a backup after some changes', async () => {
    const visitor = await Visitor.arrive();
    const id = await visitor.store(['000 100m']);
    await visitor.goto('outings');
    await visitor.page.waitForSelector('main li');
    expect(await visitor.text('main')).not.toMatch(/no backup yet/);
    for (let number = 1; number < 20; number++) {
      const operations = [{ op: 'insert', index: number, entries: [leg(10 * number, 10)] }];
      const at = new Date().toISOString();
      await putRecord(visitor, { outing: id, number, at, change: { kind: 'edit', operations } });
    }
    await visitor.goto('outings');
    await visitor.reads('main', /20 changes and no backup yet: only on this device/);
    await visitor.leave();
  });
});
