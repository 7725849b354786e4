import { visibleText } from '@/core/units/visible';
import { gpx as gpxToGeoJson, kml as kmlToGeoJson } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import Ajv from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { parse as parseCsv } from 'csv-parse/sync';
import fc from 'fast-check';
import { unzipSync, strFromU8 } from 'fflate';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { validateXML } from 'xmllint-wasm';
import { earthModels } from '@/core/north/loaded-earth-models';
import { readLog } from '@/core/log-text/read-log';
import type { Outing } from '@/core/model/outing';
import { FORMATS } from '@/formats';
import { logbookOf } from '@/core/model/logbook';
import { writeZip } from '@/formats/zip';
import { anyOuting, solvedLog } from '../support/outings';
import { demo, EXPORTED_AT, stationsOf, written } from '../support/files';

const xml = (text: string) =>
  new DOMParser({
    onError: (level, message) => {
      // The writer puts replacement characters there itself.
      if (level !== 'warning') throw new Error(`${level}: ${message}`);
    },
  }).parseFromString(text, 'text/xml');

/** Where the app has each station. */
const stations = stationsOf(demo.solution);
const close = (found: readonly number[], { latitude, longitude }: (typeof stations)[number]) => {
  expect(Math.abs(found[0]! - longitude)).toBeLessThan(1e-7);
  expect(Math.abs(found[1]! - latitude)).toBeLessThan(1e-7);
};

interface Feature {
  readonly geometry: { readonly type: string; readonly coordinates: unknown };
  readonly properties: Record<string, unknown>;
}
const featuresOf = (collection: unknown) => (collection as { features: Feature[] }).features;

/** Names with everything that a page, a table or XML could take for markup. */
const HOSTILE = '<script>alert("x")</script> & =1+1 \u0000 ]]> \'';
const hostile: Outing = {
  ...demo.outing,
  name: HOSTILE,
  entries: demo.outing.entries.map((entry) =>
    entry.kind === 'leg' && entry.to === 'Gauge 1'
      ? { ...entry, to: `=cmd|' /C calc'!A0 <b>`, note: HOSTILE }
      : entry,
  ),
};

describe('what independent readers find in the files', () => {
  it('GPX: every station, the legs, the way home (package @tmcw/togeojson)', () => {
    const found = featuresOf(gpxToGeoJson(xml(written('gpx', [demo.outing])) as never));
    const points = found.filter(({ properties }) => properties.type === 'station');
    expect(points.map(({ properties }) => properties.name)).toEqual(
      stations.map(({ name }) => name),
    );
    points.forEach((point, k) => close(point.geometry.coordinates as number[], stations[k]!));
    const features = found.filter(({ properties }) => properties.type === 'thing');
    expect(features.map(({ properties }) => properties.name)).toEqual([
      'spring',
      'cairn, three stones',
      'pond',
    ]);
    const track = found.find(({ geometry }) => geometry.type === 'MultiLineString')!;
    const ends = (track.geometry.coordinates as number[][][]).flat();
    expect(ends.length).toBe(
      demo.solution.legs.count + (track.geometry.coordinates as unknown[]).length,
    );
    const home = found.find(({ properties }) => properties.type === 'way home')!;
    const [from, to] = home.geometry.coordinates as number[][];
    close(from!, stations.at(-1)!);
    close(to!, stations[0]!);
  });

  it('GPX: valid by schema 1.1 (package xmllint-wasm; the schema from memory)', async () => {
    const schema = readFileSync('tests/support/gpx-1.1-from-memory.xsd', 'utf8');
    const check = (contents: string) =>
      validateXML({ xml: [{ fileName: 'out.gpx', contents }], schema: [schema] });
    for (const outings of [[demo.outing], [hostile, demo.outing]]) {
      expect((await check(written('gpx', outings))).errors).toEqual([]);
    }
    const wrong = written('gpx', [demo.outing]).replace('<metadata>', '<rte/><metadata>');
    expect((await check(wrong)).valid).toBe(false);
  });

  it('KML: the same places (package @tmcw/togeojson)', () => {
    const found = featuresOf(kmlToGeoJson(xml(written('kml', [demo.outing])) as never));
    const named = (name: string) =>
      found.find(
        ({ properties, geometry }) => properties.name === name && geometry.type === 'Point',
      )!;
    for (const station of stations)
      close(named(station.name).geometry.coordinates as number[], station);
    const legs = found.filter(({ properties }) => /^Leg \d+$/.test(String(properties.name)));
    expect(legs).toHaveLength(demo.solution.legs.count);
    expect(found.filter(({ properties }) => properties.name === 'Way home')).toHaveLength(1);
  });

  it('GeoJSON: valid by RFC 7946 (package geojson-validation), every station', async () => {
    const collection: unknown = JSON.parse(written('geojson', [demo.outing]));
    const { valid } = await import('geojson-validation');
    expect(valid(collection, true)).toEqual([]);
    // The validator can fail: longitude and latitude of a point cut to one number.
    expect(valid({ type: 'Point', coordinates: [1] }, true)).not.toEqual([]);
    const points = featuresOf(collection).filter(({ properties }) => properties.kind === 'station');
    points.forEach((point, k) => close(point.geometry.coordinates as number[], stations[k]!));
    expect(points).toHaveLength(stations.length);
  });

  it('CSV: a row for each line, by RFC 4180 (package csv-parse)', () => {
    const text = written('csv', [demo.outing]);
    expect(text).toMatch(/^outing,number,kind/);
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    const rows: Record<string, string>[] = parseCsv(text, { columns: true });
    expect(rows.filter(({ kind }) => kind !== 'header')).toHaveLength(demo.outing.entries.length);
    const legs = rows.filter(({ kind }) => kind === 'leg');
    expect(legs).toHaveLength(demo.solution.legs.count);
    legs.forEach((row, k) => {
      expect(Number(row.x)).toBeCloseTo(demo.solution.legs.leg(k + 1).end.east, 3);
      expect(Number(row.y)).toBeCloseTo(demo.solution.legs.leg(k + 1).end.north, 3);
    });
    expect(legs[0]).toMatchObject({
      from: 'Dock',
      to: 'Gauge 1',
      bearing: '112',
      distance: '130p',
    });
  });

  it('JSON: valid by its schema (package ajv, JSON Schema 2020-12)', () => {
    const schema = JSON.parse(readFileSync('docs/logbook.schema.json', 'utf8')) as object;
    const ajv = new Ajv({ strict: false });
    addFormats(ajv);
    const check = ajv.compile(schema);
    const book: unknown = JSON.parse(written('json', [demo.outing, hostile]));
    expect(check(book), JSON.stringify(check.errors)).toBe(true);
    expect(check({ ...(book as object), version: 9 })).toBe(false);
    fc.assert(
      fc.property(anyOuting, (outing) => check(JSON.parse(written('json', [outing])))),
      { numRuns: 60, seed: 5 },
    );
  });
});

describe('the norths on the printed sketch', () => {
  const words = (text: string) => {
    const { outing } = solvedLog(text);
    return [...written('svg', [outing]).matchAll(/<text[^>]*>([^<]*north[^<]*)</g)].map(
      ([, found]) => found,
    );
  };

  it('are those that the bearings use, each with its angle', () => {
    expect(words('000 100m')).toEqual(['magnetic north']);
    expect(words('declination 19.1 W\n000 100m')).toEqual(['magnetic north 19.1° W', 'true north']);
    expect(words('declination 19.1 W\nconvergence 2 E\n000 100m\n090G 50m')).toEqual([
      'magnetic north 19.1° W',
      'true north',
      'grid north 2.0° E',
    ]);
    expect(words('declination 0.2 W\n000 100m')).toEqual(['magnetic, true north']);
  });
});

describe('names and notes stay text', () => {
  it.each(['gpx', 'kml', 'svg'])('in %s', (format) => {
    const text = written(format, [hostile]);
    expect(text).not.toContain('<script>');
    expect(text).not.toContain('\u0000');
    const names = [...xml(text).getElementsByTagName('*')].map(({ tagName }) => tagName);
    expect(names).not.toContain('script');
    expect(names).not.toContain('b');
    // All of the text is there: what XML can't hold by a mark, what can't be seen by its code.
    const shown = visibleText(HOSTILE.replace('\u0000', '\uFFFD'));
    expect(xml(text).documentElement!.textContent).toContain(shown);
  });

  it('in CSV no cell begins a formula', () => {
    const rows: string[][] = parseCsv(written('csv', [hostile]));
    for (const cell of rows.flat()) {
      if (!/^[-+]?\d+(\.\d+)?$/.test(cell)) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
    }
    expect(rows.flat()).toContain(`'=cmd|' /C calc'!A0 <b>`);
  });

  it('in generated outings every format is well formed', () => {
    const placedOuting = anyOuting.map((outing) => ({
      ...outing,
      date: { day: '2026-08-14' },
      start: { ...outing.start, position: { latitude: 54.2, longitude: -63.5 } },
      declination: { source: 'model' as const },
      correction: undefined,
    }));
    let map = 0;
    fc.assert(
      fc.property(placedOuting, (outing) => {
        for (const format of ['gpx', 'kml', 'svg', 'geojson']) {
          const found = FORMATS.get(format)!.write(logbookOf([outing], EXPORTED_AT), earthModels);
          if (!found.ok) continue;
          map++;
          if (format === 'geojson') JSON.parse(found.value);
          else expect(xml(found.value).documentElement!.tagName).toBe(format);
        }
      }),
      { numRuns: 80, seed: 3 },
    );
    expect(map).toBeGreaterThan(100);
  });
});

describe('an outing that can’t be put on a map', () => {
  const bare: Outing = { ...demo.outing, start: { name: 'Dock' }, declination: { source: 'none' } };
  const noNorth: Outing = { ...demo.outing, declination: { source: 'none' } };

  it.each(['gpx', 'kml', 'geojson'])('says so and why, in %s', (format) => {
    const found = FORMATS.get(format)!.write(logbookOf([bare, noNorth], EXPORTED_AT), earthModels);
    expect(found.ok).toBe(false);
    if (found.ok) return;
    expect(found.fault.map(({ path }) => path)).toEqual(['outings[0]', 'outings[1]']);
    expect(JSON.stringify(found.fault[0])).toContain('its start has no position');
    expect(JSON.stringify(found.fault[1])).toContain('true north isn’t known');
    // Beside one that can, the other is written.
    expect(
      FORMATS.get(format)!.write(logbookOf([bare, demo.outing], EXPORTED_AT), earthModels).ok,
    ).toBe(true);
  });

  it('is left out of the archive’s maps, and listed there', () => {
    const files = unzipSync(
      writeZip(logbookOf([bare, demo.outing, demo.outing], EXPORTED_AT), earthModels),
    );
    const names = Object.keys(files);
    for (const name of ['logbook.cairn.json', 'all.gpx', 'all.geojson', 'all.kml', 'all.csv']) {
      expect(names).toContain(name);
    }
    expect(names.filter((name) => name.endsWith('.svg'))).toHaveLength(3);
    expect(names.filter((name) => name.endsWith('.log.txt'))).toHaveLength(3);
    expect(new Set(names.map((name) => name.toLowerCase())).size).toBe(names.length);
    expect(strFromU8(files['left-out.txt']!)).toMatch(
      /^“Rain gauges.*its start has no position.*\n$/,
    );
    const log = strFromU8(files[names.find((name) => name.endsWith('.log.txt'))!]!);
    expect(readLog(log, 'x', earthModels).ok).toBe(true);
  });
});
