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
import { earthModels } from '@/core/earth-models-loaded';
import { readLog } from '@/core/log-text/read-log';
import type { Outing } from '@/core/logbook';
import { positionOf } from '@/core/positions';
import { stationName, stationPoints } from '@/core/solve';
import { FORMATS } from '@/formats';
import { logbookOf } from '@/formats/json';
import { writeZip } from '@/formats/zip';
import { anyOuting } from '../support/outings';

const at = '2026-08-14T09:40:00.000Z';
const demoText = readFileSync('demo/rain-gauges.log.txt', 'utf8');
const demo = (() => {
  const found = readLog(demoText, 'demo', earthModels);
  return found.ok ? found.value : expect.fail('the demo can be read');
})();
const written = (format: string, outings: Outing[]) => {
  const found = FORMATS.get(format)!.write(logbookOf(outings, at), earthModels);
  return found.ok ? found.value : expect.fail(JSON.stringify(found.fault));
};
const xml = (text: string) =>
  new DOMParser({
    onError: (level, message) => {
      // A replacement character is what we put there ourselves.
      if (level !== 'warning') throw new Error(`${level}: ${message}`);
    },
  }).parseFromString(text, 'text/xml');

/** Where the app itself has each station. */
const stations = stationPoints(demo.solution).map((point) => ({
  name: stationName(demo.solution, point),
  ...positionOf(demo.solution, point)!,
}));
const close = (found: readonly number[], { latitude, longitude }: (typeof stations)[number]) => {
  expect(Math.abs(found[0]! - longitude)).toBeLessThan(1e-7);
  expect(Math.abs(found[1]! - latitude)).toBeLessThan(1e-7);
};

interface Feature {
  readonly geometry: { readonly type: string; readonly coordinates: unknown };
  readonly properties: Record<string, unknown>;
}
const featuresOf = (collection: unknown) => (collection as { features: Feature[] }).features;

/** Names with everything that a page, a table or XML might take for its own. */
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

describe('what independent readers find in our files', () => {
  it('GPX: every station at its place, the legs, the way home (package @tmcw/togeojson)', () => {
    const found = featuresOf(gpxToGeoJson(xml(written('gpx', [demo.outing])) as never));
    const points = found.filter(({ properties }) => properties.type === 'station');
    expect(points.map(({ properties }) => properties.name)).toEqual(
      stations.map(({ name }) => name),
    );
    points.forEach((point, k) => close(point.geometry.coordinates as number[], stations[k]!));
    const things = found.filter(({ properties }) => properties.type === 'thing');
    expect(things.map(({ properties }) => properties.name)).toEqual([
      'spring',
      'cairn, three stones',
      'pond',
    ]);
    const track = found.find(({ geometry }) => geometry.type === 'MultiLineString')!;
    const ends = (track.geometry.coordinates as number[][][]).flat();
    expect(ends.length).toBe(
      demo.solution.traverse.legs + (track.geometry.coordinates as unknown[]).length,
    );
    const home = found.find(({ properties }) => properties.type === 'way home')!;
    const [from, to] = home.geometry.coordinates as number[][];
    close(from!, stations.at(-1)!);
    close(to!, stations[0]!);
  });

  it('GPX: as its schema 1.1 has it (package xmllint-wasm; the schema from memory)', async () => {
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
    expect(legs).toHaveLength(demo.solution.traverse.legs);
    expect(found.filter(({ properties }) => properties.name === 'Way home')).toHaveLength(1);
  });

  it('GeoJSON: valid by RFC 7946 (package geojson-validation), every station at its place', async () => {
    const collection: unknown = JSON.parse(written('geojson', [demo.outing]));
    const { valid } = await import('geojson-validation');
    expect(valid(collection, true)).toEqual([]);
    // The validator can fail: longitude and latitude of a point cut to one number.
    expect(valid({ type: 'Point', coordinates: [1] }, true)).not.toEqual([]);
    const points = featuresOf(collection).filter(({ properties }) => properties.kind === 'station');
    points.forEach((point, k) => close(point.geometry.coordinates as number[], stations[k]!));
    expect(points).toHaveLength(stations.length);
  });

  it('CSV: a row a line, as RFC 4180 has it (package csv-parse)', () => {
    const text = written('csv', [demo.outing]);
    expect(text).toMatch(/^outing,number,kind/);
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    const rows: Record<string, string>[] = parseCsv(text, { columns: true });
    expect(rows.filter(({ kind }) => kind !== 'header')).toHaveLength(demo.outing.entries.length);
    const legs = rows.filter(({ kind }) => kind === 'leg');
    expect(legs).toHaveLength(demo.solution.traverse.legs);
    legs.forEach((row, k) => {
      expect(Number(row.x)).toBeCloseTo(demo.solution.traverse.east[k + 1]!, 3);
      expect(Number(row.y)).toBeCloseTo(demo.solution.traverse.north[k + 1]!, 3);
    });
    expect(legs[0]).toMatchObject({
      from: 'Dock',
      to: 'Gauge 1',
      bearing: '112',
      distance: '130p',
    });
  });

  it('JSON: as its published schema has it (package ajv, JSON Schema 2020-12)', () => {
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

describe('what names and notes hold stays text', () => {
  it.each(['gpx', 'kml', 'svg'])('in %s', (format) => {
    const text = written(format, [hostile]);
    expect(text).not.toContain('<script>');
    expect(text).not.toContain('\u0000');
    const names = [...xml(text).getElementsByTagName('*')].map(({ tagName }) => tagName);
    expect(names).not.toContain('script');
    expect(names).not.toContain('b');
    // The text is all there, but for what XML can't hold.
    expect(xml(text).documentElement!.textContent).toContain(HOSTILE.replace('\u0000', '\uFFFD'));
  });

  it('in CSV no cell begins as a formula', () => {
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
          const found = FORMATS.get(format)!.write(logbookOf([outing], at), earthModels);
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

describe('what can’t be put on a map', () => {
  const bare: Outing = { ...demo.outing, start: { name: 'Dock' }, declination: { source: 'none' } };
  const noNorth: Outing = { ...demo.outing, declination: { source: 'none' } };

  it.each(['gpx', 'kml', 'geojson'])('says so and why, in %s', (format) => {
    const found = FORMATS.get(format)!.write(logbookOf([bare, noNorth], at), earthModels);
    expect(found.ok).toBe(false);
    if (found.ok) return;
    expect(found.fault.map(({ path }) => path)).toEqual(['outings[0]', 'outings[1]']);
    expect(JSON.stringify(found.fault[0])).toContain('its start has no position');
    expect(JSON.stringify(found.fault[1])).toContain('true north is not known');
    // With one that can, that one is written.
    expect(FORMATS.get(format)!.write(logbookOf([bare, demo.outing], at), earthModels).ok).toBe(
      true,
    );
  });

  it('leaves the rest of the archive as it is, and lists what was left out', () => {
    const files = unzipSync(writeZip(logbookOf([bare, demo.outing, demo.outing], at), earthModels));
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
