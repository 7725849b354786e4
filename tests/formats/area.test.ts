import { readFileSync } from 'node:fs';
import { gpx as readGpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { parse } from 'csv-parse/sync';
import { valid } from 'geojson-validation';
import { describe, expect, it } from 'vitest';
import { FORMATS } from '@/formats';
import { USUAL_UNITS } from '@/core/units/figures';
import { showIn } from '@/ui/units/shown';
import { AREA_FORMATS } from '@/formats/area';
import { jsonFormat } from '@/formats/json';
import { logbookOf } from '@/core/model/logbook';
import { blankArea } from '@/core/model/area';
import { planePointOf } from '@/core/place/geodesic';
import { nodeNamed, surveyOf } from '../support/survey/surveys';
import { solvedLog } from '../support/outings';

const LOGS = ['rain-gauges', 'east-shore', 'north-ridge'].map((name) =>
  readFileSync(`demo/${name}.log.txt`, 'utf8').replace('271 208p', '091 208p'),
);
const survey = surveyOf(LOGS);
const written = (name: string, of = survey) => {
  const format = AREA_FORMATS.find((each) => each.name === name)!;
  return format.write({ name: 'Ormsay', writtenAt: '2026-08-14T12:00:00.000Z', survey: of });
};
const text = (name: string) => {
  const made = written(name);
  if (!made.ok) throw new Error(made.fault);
  return made.value;
};
const origin = { latitude: 54.2, longitude: -63.5 };
const lookout = survey.places.at(nodeNamed(survey, 'Lookout'));

/** Metres between a position of a file and where the survey has the lookout. */
function off(latitude: number, longitude: number): number {
  const { east, north } = planePointOf(origin, { latitude, longitude });
  return Math.hypot(east - lookout.east, north - lookout.north);
}

describe('the map of an area', () => {
  it('is drawn in metres, whatever the page shows, and so is an outing', () => {
    const [log] = LOGS;
    const drawings = () => [
      text('svg'),
      FORMATS.get('svg')!.write(
        logbookOf([solvedLog(log!).outing], '2026-08-14T12:00:00.000Z'),
        null,
      ),
    ];
    const inMetres = drawings();
    showIn({ ...USUAL_UNITS, lengths: 'feet', bearings: 'mils' });
    const inFeet = drawings();
    showIn(USUAL_UNITS);
    expect(inFeet).toEqual(inMetres);
    expect(inMetres[0]).toMatch(/>\d+ m</);
  });

  it('as a table: every point, where it is and how sure', () => {
    const rows = parse(text('csv'), { columns: true }) as Record<string, string>[];
    expect(rows).toHaveLength(survey.party.nodes.all.length);
    expect(rows[0]).toMatchObject({ name: 'Dock', x: '0', y: '0', method: 'least-squares' });
    const row = rows.find(({ name }) => name === 'Lookout')!;
    expect(Number(row.x)).toBeCloseTo(lookout.east, 2);
    expect(Number(row.y)).toBeCloseTo(lookout.north, 2);
    expect(row).toMatchObject({ north: 'true', outings: 'Lichen plots' });
    expect(Number(row['semi-major'])).toBeGreaterThan(10);
    expect(off(Number(row.latitude), Number(row.longitude))).toBeLessThan(0.01);
    const shared = rows.find(({ name }) => name === 'Esker top')!;
    expect(shared.outings).toBe('Rain gauges, first day; Shore and fens; Lichen plots');
  });

  it('as GeoJSON that another reader finds valid', () => {
    const collection = JSON.parse(text('geojson')) as {
      features: {
        geometry: { type: string; coordinates: number[] };
        properties: Record<string, unknown>;
      }[];
    };
    expect(valid(collection, true)).toEqual([]);
    const points = collection.features.filter(({ geometry }) => geometry.type === 'Point');
    const legs = collection.features.filter(({ properties }) => properties.kind === 'leg');
    expect(points).toHaveLength(survey.party.nodes.all.length);
    expect(legs).toHaveLength(14 + 6 + 7);
    const point = points.find(({ properties }) => properties.name === 'Lookout')!;
    const [longitude, latitude] = point.geometry.coordinates;
    expect(off(latitude!, longitude!)).toBeLessThan(0.01);
  });

  it('as GPX that another reader reads: a track for each outing', () => {
    const document = new DOMParser().parseFromString(text('gpx'), 'text/xml');
    const { features } = readGpx(document as never);
    const tracks = features.filter(({ geometry }) => geometry?.type !== 'Point');
    expect(tracks.map(({ properties }) => properties?.name as string)).toEqual([
      'Rain gauges, first day',
      'Shore and fens',
      'Lichen plots',
    ]);
    const point = features.find(({ properties }) => properties?.name === 'Lookout')!;
    if (point.geometry?.type !== 'Point') throw new Error('the lookout is a point');
    const [longitude, latitude] = point.geometry.coordinates;
    expect(off(latitude!, longitude!)).toBeLessThan(0.01);
  });

  it('as KML: points, and a folder of legs for each outing', () => {
    const document = new DOMParser().parseFromString(text('kml'), 'text/xml');
    expect(document.getElementsByTagName('Folder')).toHaveLength(3);
    const marks = document.getElementsByTagName('Placemark');
    expect(marks).toHaveLength(survey.party.nodes.all.length + 27);
  });

  it('as a drawing: a line for each outing, every name as text', () => {
    const document = new DOMParser().parseFromString(text('svg'), 'text/xml');
    const texts = Array.from(
      document.getElementsByTagName('text'),
      (each) => (each as unknown as { textContent: string }).textContent,
    );
    expect(texts).toEqual(expect.arrayContaining(['Dock', 'Lookout', 'Lichen plots', '200 m']));
    const dashes = Array.from(document.getElementsByTagName('path'), (each) =>
      (each as unknown as Element).getAttribute('stroke-dasharray'),
    );
    expect(dashes).toEqual(expect.arrayContaining(['none', '14 6', '3 6']));
    expect(document.getElementsByTagName('ellipse')).toHaveLength(survey.party.nodes.all.length);
  });

  it('needs a position where the format does, and says so', () => {
    const magnetic = surveyOf(['start A\n000 100m > B\n090 100m > C\n225 141m > A']);
    expect(written('csv', magnetic).ok).toBe(true);
    for (const name of ['geojson', 'gpx', 'kml']) {
      expect(written(name, magnetic)).toMatchObject({
        ok: false,
        fault: expect.stringContaining('latitude and longitude of its start'),
      });
    }
  });
});

describe('the JSON file with areas', () => {
  const outing = { ...solvedLog('start A\n000 100m > B').outing, id: 'one' };
  const area = {
    ...blankArea('a', 'Area', ['one']),
    known: [{ outing: 'one', station: 'B', position: { latitude: 54.2, longitude: -63.5 } }],
  };

  it('is version 2, and reads back as it was; without areas it stays version 1', () => {
    const book = logbookOf([outing], '2026-08-14T12:00:00.000Z', [], { areas: [area] });
    expect(book.version).toBe(2);
    const made = jsonFormat.write(book, null);
    const read = made.ok && jsonFormat.read(made.value, null);
    expect(read).toEqual({ ok: true, value: book });
    expect(logbookOf([outing], '2026-08-14T12:00:00.000Z')).toMatchObject({ version: 1 });
    expect(logbookOf([outing], '2026-08-14T12:00:00.000Z')).not.toHaveProperty('areas');
  });

  it('names the field of an area that can’t be read', () => {
    const book = logbookOf([outing], '2026-08-14T12:00:00.000Z', [], { areas: [area] });
    const wrong = JSON.stringify({ ...book, areas: [{ ...area, method: 'magic' }] });
    expect(jsonFormat.read(wrong, null)).toMatchObject({
      ok: false,
      fault: [{ path: 'areas[0].method' }],
    });
  });
});
