import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import geodesic from 'geographiclib-geodesic';
import { describe, expect, it } from 'vitest';
import { chooseFrom } from '../../support/browser/choose-from';
import { folder } from '../../support/browser/offer';
import { stillBox } from '../../support/browser/still-box';
import { tabToField } from '../../support/browser/tab-to';
import { PHONE, sharedVisitor, Visitor } from '../../support/browser/visitor';

const { WGS84 } = geodesic.Geodesic;
const HERE = { latitude: 54.2032, longitude: -63.5003 };
const PLACES = {
  'Bald summit': [54.2126, -63.5209],
  'The Notch': [54.2148, -63.4993],
  'Trapper’s hut': [54.2053, -63.4905],
} as const;

/** The bearing from true north to one of the demo's places, in whole degrees. */
function trueTo(name: keyof typeof PLACES, turn = 0): string {
  const [latitude, longitude] = PLACES[name];
  const line = WGS84.Inverse(HERE.latitude, HERE.longitude, latitude, longitude);
  return `${String(Math.round(line.azi1! + 360 + turn) % 360).padStart(3, '0')}T`;
}

async function sight(visitor: Visitor, name: keyof typeof PLACES, bearing: string) {
  await chooseFrom(visitor, '#fix-place', name);
  await visitor.fill('#fix-bearing', bearing);
  await visitor.pick('Add bearing');
  await visitor.reads('[aria-label="Bearings"]', new RegExp(`${name}${bearing}`));
}

const SENTENCE = '[data-testid=fix-sentence]';

describe('a fix', () => {
  const shared = sharedVisitor(PHONE);

  it('is had by bearings alone, sharpens with each, and says what disagrees', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.goto('fix');
    await visitor.reads('main', /First enter the places you can see/);
    await visitor.pick('Add the places of the demo');
    await sight(visitor, 'Bald summit', trueTo('Bald summit'));
    await visitor.reads('main', /One line is not a place yet/);
    await sight(visitor, 'The Notch', trueTo('The Notch'));
    await visitor.reads(SENTENCE, /You are within 2\d\d m \(95 %\) of 673 06\d in 20U MF\./);
    await visitor.reads(
      '[data-testid=next-mark]',
      /Best next: Trapper’s hut, about 0?8\d° magnetic/,
    );
    await sight(visitor, 'Trapper’s hut', trueTo('Trapper’s hut'));
    await visitor.reads(SENTENCE, /You are within 1?\d\d m \(95 %\) of 673 06\d/);

    // The answer says which declination it went by, and another one can be typed there.
    await visitor.reads('[data-testid=fix-declination]', /^Declination 1[89]\.\d° W \(WMM2025\)/);
    await visitor.press('Change the declination');
    await visitor.fill('[aria-label="Declination, with its letter"]', '12 E');
    await visitor.pick('Use');
    await visitor.reads('[data-testid=fix-declination]', /^Declination 12\.0° E \(typed\)/);
    await visitor.reads('main', /set to 12\.0° E, but WMM2025 gives 1[89]\.\d° W here/);

    // What is typed survives a reload.
    await page.reload();
    await visitor.reads(SENTENCE, /within 1?\d\d m/);
    await visitor.reads('[data-testid=fix-declination]', /12\.0° E/);
    await visitor.press('Change the declination');
    await visitor.choose('Use WMM2025');
    await visitor.reads('[data-testid=fix-declination]', /WMM2025/);
    // A bearing read from the wrong end of the needle is reported, and taken out again.
    await visitor.press('Change the bearing to Trapper’s hut');
    await visitor.fill('#fix-bearing', trueTo('Trapper’s hut', 180));
    await visitor.pick('Save change');
    await visitor.reads('main', /Trapper’s hut: the bearing is 180° off\? Then all agree/);
    await visitor.press('Remove the bearing to Trapper’s hut');
    await visitor.reads(SENTENCE, /within 2\d\d m/);

    // One bearing and the brook: all crossings.
    await visitor.press('Remove the bearing to Bald summit');
    await chooseFrom(visitor, 'input[aria-label="I am on"]', 'Outlet brook');
    await visitor.reads(SENTENCE, /You are within \d+ m \(95 %\) of 67\d+ 0[56]\d+/);
  });

  it('finds what is sighted, the path underfoot, and turns the map', async () => {
    const { visitor } = shared;
    await visitor.pick('Clear');
    await sight(visitor, 'Bald summit', trueTo('Bald summit'));
    await sight(visitor, 'The Notch', trueTo('The Notch'));
    await visitor.press('What is that?');
    await visitor.fill('#identify-bearing', trueTo('Trapper’s hut', 2));
    await visitor.reads('main', /Trapper’s hut: 2° left of it, 6\d\d m/);
    await visitor.press('On which path?');
    await visitor.fill('#path-bearing', '320T');
    await visitor.reads('main', /Outlet brook: 2\d\d m off, runs/);
    await visitor.press('Orient the map');
    await visitor.reads(
      'main',
      /Set the dial to 0?\d\d°: grid north as your compass reads it here/,
    );
  });

  it('keeps places by short references and lines, and takes them from files', async () => {
    const { visitor } = shared;
    const { page } = visitor;
    await visitor.press('Known places');
    await visitor.fill('#known-name', 'Fire tower');
    await visitor.fill('#known-where', '674 05');
    await visitor.reads('main', /Can’t read|expected|a place/);
    await visitor.fill('#known-where', '690 070');
    await visitor.pick('Save place');
    await visitor.reads('main', /Fire tower54\.\d+ -63\.\d+/);
    await visitor.press('Remove Fire tower');
    await visitor.reads('main', /Fire tower removed/);
    await visitor.pick('Undo');
    await visitor.reads('main', /Fire tower54/);
    const geojson = {
      type: 'FeatureCollection',
      features: [
        {
          type: 'Feature',
          geometry: { type: 'Point', coordinates: [-63.51, 54.205] },
          properties: { name: 'Cairn on the ridge' },
        },
      ],
    };
    const file = join(folder, 'places.geojson');
    writeFileSync(file, JSON.stringify(geojson));
    const input = await page.$('input[type=file]');
    await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(file);
    await visitor.reads('main', /1 place imported/);
    await visitor.reads('main', /Cairn on the ridge54\.20500 -63\.51000/);
    visitor.expectNoProblems();
  });

  it('is logged in an outing, compared with dead reckoning, and leads to the start', async () => {
    const { visitor } = shared;
    const id = await visitor.store([
      'start Dock at 54.2 -63.5',
      'date 2026-08-14',
      'declination 19 W',
      'pace 65 per 100 m',
      '019 350m',
    ]);
    await visitor.goto('fix', id);
    await sight(visitor, 'Bald summit', trueTo('Bald summit'));
    await sight(visitor, 'The Notch', trueTo('The Notch'));
    await visitor.reads('main', /Dead reckoning and fix are \d+ m apart: as expected/);
    await chooseFrom(visitor, 'input[aria-label="Way to"]', 'Dock');
    await visitor.reads(
      '[data-testid=way-words]',
      /Set 19\d° magnetic.*Walk 3\d\d m \(2\d\d paces\)/,
    );
    await visitor.pick('Log this fix');
    await visitor.reads('main', /Logged\./);
    await visitor.goto('outing', id);
    await visitor.reads('main', /Bald summit is known on the map/);
    await visitor.log('known Fire tower at 20U 469000 6007000');
    await visitor.reads('main', /Fire tower is known on the map, at 54\./);
    visitor.expectNoProblems();
  });

  it('says what an outing without a declination lacks', async () => {
    const { visitor } = shared;
    const id = await visitor.store(['000 100m']);
    await visitor.goto('fix', id);
    await visitor.reads('main', /Places on a map need the declination/);
  });
});

describe('a fix without sight, mouse or network', () => {
  it('is taken by keys alone, and says where one is and what each button is for', async () => {
    const visitor = await Visitor.arrive(PHONE);
    const { page } = visitor;
    await visitor.goto('fix');
    await visitor.pick('Add the places of the demo');
    await page.waitForSelector('#fix-place');
    for (const name of ['Bald summit', 'The Notch'] as const) {
      await tabToField(visitor, '#fix-place');
      await chooseFrom(visitor, '#fix-place', name);
      await tabToField(visitor, '#fix-bearing');
      await page.keyboard.type(trueTo(name));
      await page.keyboard.press('Enter');
      await visitor.reads('[aria-label="Bearings"]', new RegExp(`${name}${trueTo(name)}`));
    }
    await visitor.reads(`${SENTENCE}[role=status]`, /You are within 2\d\d m/);
    const names = await page.$$eval('[aria-label="Bearings"] li button', (buttons) =>
      buttons.map((button) => button.getAttribute('aria-label')),
    );
    expect(names).toHaveLength(4);
    expect(new Set(names).size).toBe(4);

    // By a thumb on the dial: a bearing and its place, and no keyboard.
    await visitor.pick('Dial');
    const dial = (await page.waitForSelector('[aria-label="Bearings"] [role=slider]'))!;
    await dial.scrollIntoView();
    const box = await stillBox(dial);
    await page.touchscreen.tap(box.x + box.width * 0.95, box.y + box.height / 2);
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('#fix-bearing')?.value === '090',
    );

    // The page and its computation are there without a network, with what was typed.
    await visitor.workerInstalled();
    await page.setOfflineMode(true);
    await page.reload();
    await visitor.reads(SENTENCE, /You are within 2\d\d m/);
    await page.setOfflineMode(false);
    await visitor.leave();
  });
});
