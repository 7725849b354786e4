import { describe, expect, it } from 'vitest';
import { placeTexts, readPlace } from '@/core/place/place-text';
import type { Outing } from '@/core/model/outing';
import { readGeoJson } from '@/formats/import/read-geojson';
import { contents, solution, stationsOf, written } from '../../support/files';
import { solvedLog } from '../../support/outings';

const gpx = (...waypoints: [name: string, latitude: number, longitude: number][]) =>
  [
    '<?xml version="1.0"?>',
    '<gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1">',
    ...waypoints.map(
      ([name, latitude, longitude]) =>
        `<wpt lat="${latitude}" lon="${longitude}"><name>${name}</name></wpt>`,
    ),
    '<trk><trkseg>',
    ...waypoints.map(([, latitude, longitude]) => `<trkpt lat="${latitude}" lon="${longitude}"/>`),
    '</trkseg></trk></gpx>',
  ].join('');

const outingsIn = (file: string, name: string): readonly Outing[] =>
  contents(file, {}, name).outings;

/** An outing of a name and an id, with its start on the earth. */
const named = (id: string, ...lines: string[]): Outing => ({
  ...solvedLog(['declination 0 E', ...lines].join('\n')).outing,
  id,
  name: 'First day',
});

describe('waypoints of a receiver', () => {
  it('named 001, or by a name that comes again, name their stations', () => {
    const file = gpx(
      ['Start', 54.2, -63.5],
      ['001', 54.21, -63.5],
      ['Camp', 54.22, -63.5],
      ['2', 54.22, -63.48],
      ['camp', 54.21, -63.48],
    );
    const [outing] = outingsIn(file, 'day.gpx');
    const names = outing!.entries.flatMap((entry) => (entry.kind === 'leg' ? [entry.to] : []));
    expect(names).toEqual(['001', 'Camp', 'Point 2', 'camp, 2']);
    expect(solution(outing!).closures).toEqual([]);
  });
});

describe('two outings of one name', () => {
  const start = 'start Dock at 54.2 -63.5';
  const two = [named('a', start, '000 100m > A'), named('b', start, '090 200m > B')];

  it.each(['geojson', 'csv'])('go out and come back as two in %s', (format) => {
    const back = outingsIn(written(format, two), `two.${format}`);
    expect(back.map(({ name }) => name)).toEqual(['First day', 'First day']);
    expect(back.map((outing) => stationsOf(solution(outing)).length)).toEqual([2, 2]);
  });
});

describe('the edges of the map', () => {
  it('a line over the date line is cut in GeoJSON (RFC 7946, 3.1.9) and joined again', () => {
    const outing = named('a', 'start Islet at 10 179.999', '090 500m > Reef', '000 100m');
    const text = written('geojson', [outing]);
    const { features } = JSON.parse(text) as {
      features: { geometry: { type: string; coordinates: number[][][] } }[];
    };
    const [cut] = features.filter(({ geometry }) => geometry.type === 'MultiLineString');
    const [before, after] = cut!.geometry.coordinates;
    expect([before!.at(-1)![0], after![0]![0]]).toEqual([180, -180]);
    expect(before!.at(-1)![1]).toBe(after![0]![1]);
    const [back] = outingsIn(text, 'islet.geojson');
    const [leg] = [...solution(back!).legs];
    expect(leg!.metres).toBeCloseTo(500, 1);
    expect(leg!.bearingDegrees).toBeCloseTo(90, 2);
  });

  it.each([
    [10, 180],
    [10, -180],
    [-80, 20],
    [84, 20],
    [-79.999999, 180],
    [-80, -180],
  ])(
    '%d %d is written in every notation and read back to a metre or two',
    (latitude, longitude) => {
      for (const { name, text } of placeTexts({ latitude, longitude })) {
        const back = readPlace(text);
        if (!back.ok) throw new Error(`${name}: ${text}`);
        expect(Math.abs(back.value.latitude - latitude)).toBeLessThan(2e-5);
        const east = (back.value.longitude - longitude) * Math.cos((latitude * Math.PI) / 180);
        expect(Math.abs(east)).toBeLessThan(2e-5);
      }
    },
  );
});

describe('a GeoJSON collection of geometries', () => {
  it('is read as its lines and points, and collections in it too', () => {
    const line = {
      type: 'LineString',
      coordinates: [
        [-63.5, 54.2],
        [-63.49, 54.21],
      ],
    };
    const text = JSON.stringify({
      type: 'GeometryCollection',
      geometries: [
        line,
        { type: 'GeometryCollection', geometries: [{ type: 'Point', coordinates: [-63.5, 54.3] }] },
        { type: 'Polygon', coordinates: [] },
      ],
    });
    const read = readGeoJson(text);
    expect(read.ok && read.value.lines.map(({ positions }) => positions.length)).toEqual([2]);
    expect(read.ok && read.value.points.map(({ position }) => position.latitude)).toEqual([54.3]);
    expect(read.ok && read.value.skipped).toBe(1);
  });

  it('is refused by the place in it that is no position', () => {
    const geometries = [{ type: 'Point', coordinates: [-63.5, 154] }];
    const read = readGeoJson(JSON.stringify({ type: 'GeometryCollection', geometries }));
    expect(read.ok ? '' : read.fault[0]!.path).toMatch(/^features\[0\]\.geometry\.geometries\[0\]/);
  });
});
