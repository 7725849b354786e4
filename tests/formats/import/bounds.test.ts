import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import * as z from 'zod/mini';
import { beyondBounds } from '@/formats/import/json-bounds';
import { IN_ENGLISH } from '@/core/readings/in-english';
import { boundedParse } from '@/formats/import/bounded-parse';
import { logbookSchema } from '@/core/model/logbook';
import { contents, contentsOfFile, demo, refused, refusedFile, written } from '../../support/files';

const book = (more: object = {}) => ({
  format: 'cairn-back/logbook',
  version: 1,
  exportedAt: '2026-08-14T09:40:00Z',
  outings: [],
  paceProfiles: [],
  ...more,
});
const outing = (entries: unknown[]) => ({ ...demo.outing, entries });

describe('JSON', () => {
  it('is refused where it is nested too deep, before it is built', () => {
    expect(refused('['.repeat(4000) + ']'.repeat(4000))).toMatch(/nested more than 24 deep/);
    const inNote = JSON.stringify(book({ more: '[{'.repeat(4000) }));
    expect(contents(inNote).outings).toEqual([]);
  });

  it('is refused where an object has too many fields', () => {
    const fields = Object.fromEntries(Array.from({ length: 201 }, (_, i) => [`f${i}`, 0]));
    expect(refused(JSON.stringify(book({ more: fields })))).toMatch(/more than 200 fields/);
    delete fields.f0;
    expect(contents(JSON.stringify(book({ more: fields }))).outings).toEqual([]);
  });

  it('is bounded by its brackets, whatever is in its strings (1,000 texts)', () => {
    fc.assert(
      fc.property(fc.json({ maxDepth: 8 }), (text) => {
        expect(beyondBounds(text)).toBeNull();
      }),
      { numRuns: 1000, seed: 5 },
    );
    expect(beyondBounds('"\\\\"')).toBeNull();
    expect(beyondBounds(`{"a\\"[[":[${'['.repeat(30)}`)).not.toBeNull();
  });

  it('with 100,000 entries that are none gives the first twenty faults', () => {
    const text = JSON.stringify(book({ outings: [outing(Array(100_000).fill(0))] }));
    expect(refused(text).match(/Invalid/g)).toHaveLength(20);
  });

  it('with more outings or entries than are read is refused by their number', () => {
    const many = JSON.stringify(book({ outings: Array(20_001).fill(0) }));
    expect(refused(many)).toBe('20,001, and at most 20,000 are read.');
    const long = JSON.stringify(book({ outings: [outing(Array(100_001).fill(0))] }));
    expect(refused(long)).toBe('100,001, and at most 100,000 are read.');
  });

  it('of a newer version is refused in one plain sentence', () => {
    expect(refused(JSON.stringify(book({ version: 7, outings: 'other' })))).toBe(
      'This file was written by a newer version of Cairn Back (file version 7; this one reads ' +
        '1 to 3). Update the app, or export from there as a text log.',
    );
  });
});

describe('a schema read in bounds', () => {
  it('gives what the schema gives, and the same faults', () => {
    const text = JSON.parse(written('json', [demo.outing])) as unknown;
    expect(boundedParse(logbookSchema, text, 20)).toEqual(logbookSchema.safeParse(text));
    const schema = z.object({ list: z.array(z.object({ n: z.number() })), more: z.string() });
    const wrong = { list: [{ n: 1 }, { n: 'x' }], more: 3 };
    const issues = (found: z.core.util.SafeParseResult<unknown>) =>
      found.error!.issues.map(({ path, message }) => `${path.join('.')}: ${message}`).sort();
    expect(issues(boundedParse(schema, wrong, 20))).toEqual(
      issues(schema.safeParse(wrong, IN_ENGLISH)),
    );
    expect(issues(boundedParse(schema, wrong, 20))[0]).toMatch(/expected number, received string/);
    expect(boundedParse(schema, wrong, 1).error!.issues).toHaveLength(1);
    expect(boundedParse(z.array(z.number()).check(z.maxLength(1)), [1, 2], 5).success).toBe(false);
  });
});

describe('a table', () => {
  it('with more columns than a table has is refused', () => {
    const wide = `bearing,distance${','.repeat(20_000)}\n220,65m\n`;
    expect(refused(wide, 'x.csv')).toBe('A row has 20,002 columns; at most 100 are read.');
  });

  const legOf = (head: string, row: string) =>
    contents(`${head}\n${row}\n`, {}, 'x.csv').outings[0]!.entries[0];

  it('takes the unit that a head names', () => {
    for (const head of ['Distance (m)', 'distance [m]', 'dist/m', 'distance, m', 'Length_m']) {
      expect(legOf(`Bearing;${head}`, '220;65'), head).toMatchObject({
        distance: { unit: 'metres', value: 65 },
      });
    }
    expect(legOf('bearing,distance [km]', '220,0.5')).toMatchObject({
      distance: { unit: 'kilometres', value: 0.5 },
    });
    expect(legOf('bearing (mils),distance (ft)', '3911,65')).toMatchObject({
      bearing: { unit: 'mils', value: 3911 },
      distance: { unit: 'feet' },
    });
    expect(legOf('azimuth gon,distance m', '244,65')).toMatchObject({
      bearing: { unit: 'gon', value: 244 },
    });
    expect(legOf('Bearing (deg),Distance (m)', '220,65')).toMatchObject({
      bearing: { unit: 'degrees', value: 220, north: 'magnetic' },
    });
  });

  it('takes the north that a head names', () => {
    const table = 'bearing (true),distance (m)\n220,65\n';
    expect(refused(table, 'x.csv')).toMatch(/declination/);
    const grid = 'bearing (G),back (G),distance (m),line\n,,,declination 19 W\n220,40,65,\n';
    expect(contents(grid, {}, 'x.csv').outings[0]!.entries[0]).toMatchObject({
      bearing: { value: 220, north: 'grid' },
      back: { value: 40, north: 'grid' },
    });
  });

  it('asks for a unit where none is named, and takes none for granted', () => {
    const table = 'bearing,distance\n220,65\n350,130m\n';
    expect(refused(table, 'x.csv')).toBe('The distances have no unit. Choose what they are in.');
    const chosen = contents(table, { distanceUnit: 'yd' }, 'x.csv');
    expect(chosen.table!.asksUnit).toBe(true);
    expect(chosen.outings[0]!.entries).toMatchObject([
      { distance: { unit: 'yards', value: 65 } },
      { distance: { unit: 'metres', value: 130 } },
    ]);
    expect(refused('bearing,distance (rods)\n220,65\n', 'x.csv')).toMatch(/Choose which they are/);
  });
});

describe('a map file', () => {
  it('has its numeric references decoded', () => {
    const read = contents(
      '<gpx><trk><name>Sk&#229;l &#x2192; &amp;c</name><trkseg>' +
        '<trkpt lat="54.2" lon="-63.5"/><trkpt lat="54.21" lon="-63.5"/></trkseg></trk></gpx>',
    );
    expect(read.outings[0]!.name).toBe('Skål → &c');
  });

  it('with too many positions is refused by their number, not as a wrong latitude', () => {
    const points = '<trkpt lat="1" lon="1"/>'.repeat(100_001);
    expect(refused(`<gpx><trk><trkseg>${points}</trkseg></trk></gpx>`)).toBe(
      'More than 100,000 positions are not read.',
    );
  });

  it('of many lines that coil is refused, not waited for', () => {
    const coil = (line: number) =>
      `<trk><name>${line}</name><trkseg>${Array.from(
        { length: 3000 },
        (_, i) => `<trkpt lat="${54 + 1e-8 * i * i}" lon="${-63 - (i % 2) * i * 1e-4}"/>`,
      ).join('')}</trkseg></trk>`;
    const lines = Array.from({ length: 12 }, (_, line) => coil(line)).join('');
    expect(refused(`<gpx>${lines}</gpx>`)).toMatch(/too tangled for this tolerance/);
  });
});

/** The offset of the nth record with this signature in an archive. */
function recordAt(bytes: Uint8Array, signature: number, nth = 0): number {
  const view = new DataView(bytes.buffer, bytes.byteOffset);
  for (let i = 0, seen = 0; i + 4 <= bytes.length; i++) {
    if (view.getUint32(i) === signature && seen++ === nth) return i;
  }
  throw new Error('no such record');
}
const LOCAL = 0x504b0304;
const CENTRAL = 0x504b0102;

describe('an archive', () => {
  const log = strToU8('220 65m\n');

  it('whose files share bytes is refused', async () => {
    const two = zipSync({ 'a.log.txt': log, 'b.log.txt': log }, { level: 0 });
    const view = new DataView(two.buffer);
    view.setUint32(recordAt(two, CENTRAL, 1) + 42, recordAt(two, LOCAL, 0), true);
    expect(await refusedFile(two)).toMatch(/shares bytes|damaged/);
  });

  it('with a wrong checksum or size is refused', async () => {
    const flipped = zipSync({ 'a.log.txt': log }, { level: 0 });
    flipped[recordAt(flipped, LOCAL) + 30 + 'a.log.txt'.length] = 0x31;
    expect(await refusedFile(flipped)).toBe(
      '“a.log.txt” is damaged: its checksum or its size is wrong.',
    );
    const longer = zipSync({ 'a.log.txt': new Uint8Array(100_000).fill(35) });
    new DataView(longer.buffer).setUint32(recordAt(longer, CENTRAL) + 24, 50, true);
    expect(await refusedFile(longer)).toMatch(/checksum or its size is wrong/);
  });

  it('that is encrypted, or has a name twice, is refused', async () => {
    const encrypted = zipSync({ 'a.log.txt': log }, { level: 0 });
    const view = new DataView(encrypted.buffer);
    view.setUint16(recordAt(encrypted, CENTRAL) + 8, 1, true);
    view.setUint16(recordAt(encrypted, LOCAL) + 6, 1, true);
    expect(await refusedFile(encrypted)).toMatch(/is encrypted\. Unpack it/);
    const twice = zipSync({ 'a.log.txt': log, 'b.log.txt': log }, { level: 0 });
    for (const signature of [LOCAL, CENTRAL]) {
      const at = recordAt(twice, signature, 1) + (signature === LOCAL ? 30 : 46);
      twice[at] = 'a'.charCodeAt(0);
    }
    expect(await refusedFile(twice)).toBe('This archive has two files “a.log.txt”.');
  });

  it('passes over what systems put beside the files, and says so', async () => {
    const read = await contentsOfFile(
      zipSync({
        'walk/a.log.txt': log,
        'walk/readme.txt': strToU8('Not a log, dear reader.'),
        '__MACOSX/walk/._a.log.txt': strToU8('x'),
        '.DS_Store': strToU8('x'),
        'photo.jpg': strToU8('x'),
      }),
    );
    expect(read.outings).toHaveLength(1);
    expect(read.messages.join(' ')).toBe(
      'Passed over in the archive: walk/readme.txt, __MACOSX/walk/._a.log.txt, .DS_Store, ' +
        'photo.jpg.',
    );
  });
});
