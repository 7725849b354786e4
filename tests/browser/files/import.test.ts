import { describe, expect, it } from 'vitest';
import { offer } from '../../support/browser/offer';
import { sharedVisitor, type Visitor } from '../../support/browser/visitor';

/** Also where the system asks for no movement, a list is there to see once it is open. */
const listIsSeen = ({ page }: Visitor) =>
  page.waitForFunction(() =>
    [...document.querySelectorAll('.ant-select-dropdown:not(.ant-select-dropdown-hidden)')].some(
      (list) => getComputedStyle(list).opacity === '1' && list.getBoundingClientRect().top > 0,
    ),
  );

describe('files of other programs', () => {
  const shared = sharedVisitor();
  const onFiles = async () => {
    await shared.visitor.goto('files');
    await shared.visitor.page.waitForSelector('#backup');
    return shared.visitor;
  };

  it('a recorded line is thinned to a tolerance that can be changed', async () => {
    const visitor = await onFiles();
    const points = Array.from(
      { length: 200 },
      (_, i) => `<trkpt lat="${54.2 + i * 1e-5}" lon="${-63.5 + (i % 2) * 4e-5}"/>`,
    );
    await offer(
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
    await visitor.pick('Import 1 outing');
    await visitor.reads('[data-testid=imported]', /^1 imported\.$/);
  });

  it('a table shows what its columns mean, and that can be changed', async () => {
    const visitor = await onFiles();
    await offer(visitor, 'walk.csv', 'Richtung,Laenge\n220,65m\n350,130m\n');
    await visitor.reads(
      '[data-testid=preview]',
      /A column of bearings and one of distances are needed/,
    );
    // By keyboard: the third meaning, then the fifth.
    for (const [column, down] of [
      [0, 3],
      [1, 5],
    ] as const) {
      await visitor.page.waitForSelector(`#table-0-column-${column}`);
      await visitor.page.focus(`#table-0-column-${column}`);
      await visitor.page.keyboard.press('Enter');
      await visitor.page.waitForSelector(`#table-0-column-${column}[aria-expanded=true]`);
      await listIsSeen(visitor);
      for (let i = 0; i < down; i++) await visitor.page.keyboard.press('ArrowDown');
      await visitor.page.keyboard.press('Enter');
    }
    await visitor.reads('[data-testid=preview]', /2 legs · new/);
  });

  it('a table without a unit asks for it, and is imported with the one chosen', async () => {
    const visitor = await onFiles();
    await offer(visitor, 'walk.csv', 'bearing,distance\n220,65\n350,130\n');
    await visitor.reads('[data-testid=preview]', /The distances have no unit\. Choose/);
    await visitor.page.focus('#table-0-unit');
    await visitor.page.keyboard.press('Enter');
    await listIsSeen(visitor);
    await visitor.choose('yards');
    await visitor.gone('.ant-select-dropdown');
    await visitor.reads('[data-testid=preview]', /2 legs · new/);
    await visitor.pick('Import 1 outing');
    await visitor.reads('[data-testid=imported]', /^1 imported\.$/);
  });

  it('a long file is read beside the page, and can be cancelled', async () => {
    const visitor = await onFiles();
    const rows = Array.from({ length: 90_000 }, (_, i) => `${i % 360},65.5,note ${i}`);
    const counted = () =>
      visitor.page.evaluate(() => (globalThis as unknown as { turns: number }).turns);
    await visitor.page.evaluate(() => {
      const page = globalThis as unknown as { turns: number };
      page.turns = 0;
      setInterval(() => page.turns++, 5);
    });
    await offer(visitor, 'long.csv', `bearing,distance (m),note\n${rows.join('\n')}\n`);
    await visitor.reads('main', /Reading the file/);
    const before = await counted();
    await visitor.page.waitForFunction(
      (turns: number) => (globalThis as unknown as { turns: number }).turns > turns + 20,
      {},
      before,
    );
    await visitor.pick('Cancel');
    await visitor.gone('.ant-progress');
    await visitor.gone('[data-testid=preview]');
    // The next file is read as if nothing had been.
    await offer(visitor, 'walk.log.txt', 'outing After\n220 65m\n');
    await visitor.reads('[data-testid=preview]', /After.*1 leg · new/);
    await visitor.pick('Cancel');
  });

  it('many outings that clash get one choice, and pace profiles alone say what came', async () => {
    const visitor = await onFiles();
    const outing = (n: number, metres: number) => ({
      id: `many-${n}`,
      name: `Many ${n}`,
      start: { name: 'Start' },
      declination: { source: 'none' },
      show: { north: 'magnetic' },
      entries: [
        {
          kind: 'leg',
          bearing: { unit: 'degrees', value: 10, north: 'magnetic' },
          distance: { unit: 'metres', value: metres },
        },
      ],
    });
    const book = (metres: number, count: number, paceProfiles: object[] = []) =>
      JSON.stringify({
        format: 'cairn-back/logbook',
        version: 1,
        exportedAt: '2026-08-14T09:40:00Z',
        outings: Array.from({ length: count }, (_, n) => outing(n, metres)),
        paceProfiles,
      });
    await offer(visitor, 'many.cairn.json', book(10, 150));
    await visitor.reads('[data-testid=preview]', /Many 99.*and 50 outings more/);
    await visitor.pick('Import 150 outings');
    await visitor.reads('[data-testid=imported]', /^150 imported\.$/);
    await offer(visitor, 'many.cairn.json', book(20, 150));
    await visitor.reads('[data-testid=preview]', /You already have 150 of these/);
    await visitor.pick('skip');
    await visitor.reads('[data-testid=preview]', /nothing new to import/);
    await visitor.pick('Cancel');
    await offer(
      visitor,
      'paces.cairn.json',
      book(1, 0, [{ id: 'p', name: 'Mine', calibrations: [] }]),
    );
    await visitor.pick('Import 1 pace profile');
    await visitor.reads('[data-testid=imported]', /^1 pace profile merged with yours\.$/);
  });

  it('a hostile file is refused, and nothing is written', async () => {
    const visitor = await onFiles();
    await offer(
      visitor,
      'bomb.gpx',
      '<?xml version="1.0"?><!DOCTYPE gpx [<!ENTITY a "x">]><gpx>&a;</gpx>',
    );
    await visitor.reads('[data-testid=preview]', /document type or entities, which are not read/);
    await offer(visitor, 'cut.cairn.json', '{"format": "cairn-back/logbook", "version": 1');
    await visitor.reads('[data-testid=preview]', /cut off or damaged/);
    await visitor.goto('outings');
    await visitor.reads('main', /Outings/);
    expect(await visitor.text('main')).not.toMatch(/bomb|cut/);
  });
});
