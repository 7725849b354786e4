import { gpx as readGpxElsewhere, kml as readKmlElsewhere } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { parse as parseCsv } from 'csv-parse/sync';
import { valid } from 'geojson-validation';
import { describe, expect, it } from 'vitest';
import { faultMessage } from '@/core/faults/messages';
import { writeRouteText } from '@/core/log-text/route/route-text';
import { ROUTE_FORMATS } from '@/formats/route';
import { readRouteFile } from '@/formats/route/read-route-file';
import { planned, ROUTE_TEXT, routeOf } from '../support/route/demo-route';

const plan = planned(ROUTE_TEXT);
const AT = '2026-08-14T08:00:00.000Z';
const written = (name: string) => ROUTE_FORMATS.find((each) => each.name === name)!.write(plan, AT);
const NAMES = ['Dock', 'Gauge 1', 'Cairn', 'Gauge 2'];

/** The route that a file of ours is read back as. */
function readBack(name: string, ending: string) {
  const read = readRouteFile(`route${ending}`, written(name), 'back');
  if (!read.ok) throw new Error(faultMessage(read.fault[0]!.fault));
  return read.value;
}

function expectPlaces(positions: readonly { latitude: number; longitude: number }[]) {
  expect(positions).toHaveLength(plan.positions.length);
  for (const [index, { latitude, longitude }] of positions.entries()) {
    expect(latitude).toBeCloseTo(plan.positions[index]!.latitude, 8);
    expect(longitude).toBeCloseTo(plan.positions[index]!.longitude, 8);
  }
}

describe('a route in a file', () => {
  it.each([
    ['gpx', '.gpx'],
    ['geojson', '.geojson'],
    ['kml', '.kml'],
  ])('of the kind %s comes back with its points and their names', (name, ending) => {
    const { points } = readBack(name, ending);
    expect(points.map((point) => point.name)).toEqual(NAMES);
    expectPlaces(points.map(({ position }) => position!));
  });

  it.each([
    ['text', '.route.txt'],
    ['csv', '.csv'],
  ])('of the kind %s comes back whole', (name, ending) => {
    expect({ ...readBack(name, ending), id: 'route' }).toEqual(routeOf(ROUTE_TEXT));
  });

  it('is a route of GPX to another reader', () => {
    const document = new DOMParser().parseFromString(written('gpx'), 'text/xml');
    const { features } = readGpxElsewhere(document as unknown as Document);
    const [line] = features;
    expect(line?.geometry).toMatchObject({ type: 'LineString' });
    expect(line?.properties).toMatchObject({ name: 'Gauges over the plateau' });
    const { coordinates } = line!.geometry as { coordinates: number[][] };
    expectPlaces(coordinates.map(([longitude = 0, latitude = 0]) => ({ latitude, longitude })));
    expect(written('gpx')).toContain('Leg 1, Dock to Gauge 1: 334 magnetic, 972 m, 759 paces');
  });

  it('is a folder of KML to another reader', () => {
    const document = new DOMParser().parseFromString(written('kml'), 'text/xml');
    const { features } = readKmlElsewhere(document as unknown as Document);
    const points = features.filter(({ geometry }) => geometry?.type === 'Point');
    expect(points.map(({ properties }) => properties?.name as string)).toEqual(NAMES);
    const lines = features.filter(({ geometry }) => geometry?.type === 'LineString');
    expect(lines.map(({ properties }) => properties?.name as string)).toEqual([
      'Leg 1',
      'Leg 2',
      'Leg 3',
    ]);
    expectPlaces(
      points.map(({ geometry }) => {
        const [longitude = 0, latitude = 0] = (geometry as { coordinates: number[] }).coordinates;
        return { latitude, longitude };
      }),
    );
  });

  it('is valid GeoJSON, with a line for each leg', () => {
    const data = JSON.parse(written('geojson')) as {
      features: { properties: Record<string, unknown> }[];
    };
    expect(valid(data, true)).toEqual([]);
    const legs = data.features.filter(({ properties }) => properties.kind === 'leg');
    expect(legs.map(({ properties }) => properties.to)).toEqual(NAMES.slice(1));
    expect(legs[0]!.properties.metres).toBeCloseTo(plan.legs[0]!.metres, 9);
  });

  it('is a table to another reader', () => {
    const rows = parseCsv(written('csv'), { columns: true }) as Record<string, string>[];
    const points = rows.filter(({ name }) => name !== '');
    expect(points.map(({ name }) => name)).toEqual(NAMES);
    expect(Number(points[1]!.magnetic)).toBeCloseTo(plan.legs[0]!.bearing.magnetic!, 2);
    expect(Number(points[1]!.metres)).toBeCloseTo(plan.legs[0]!.metres, 2);
    expect(rows.map(({ line }) => line).join('\n')).toContain('tick 200m left big boulder');
  });
});

describe('a file of another program', () => {
  const of = (name: string, text: string) => {
    const read = readRouteFile(name, text, 'x');
    if (!read.ok) throw new Error(faultMessage(read.fault[0]!.fault));
    return read.value.points.map((point) => [point.name, point.position!.latitude]);
  };
  const gpx = (inside: string) =>
    `<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${inside}</gpx>`;

  it('with waypoints alone is a route through them in their order', () => {
    const text = gpx(
      '<wpt lat="54.2" lon="-63.5"><name>A</name></wpt><wpt lat="54.3" lon="-63.5"/>',
    );
    expect(of('x.gpx', text)).toEqual([
      ['A', 54.2],
      ['Point 2', 54.3],
    ]);
  });

  it('with a nameless route takes the names of waypoints at its corners', () => {
    const text = gpx(
      '<wpt lat="54.3" lon="-63.5"><name>Hut</name></wpt>' +
        '<rte><rtept lat="54.2" lon="-63.5"/><rtept lat="54.3" lon="-63.5"/></rte>',
    );
    expect(of('x.gpx', text)).toEqual([
      ['Point 1', 54.2],
      ['Hut', 54.3],
    ]);
  });

  it('with a table of names, latitudes and longitudes', () => {
    expect(of('x.csv', 'Name,Lat,Lon\nA,54.2,-63.5\nB,54.3,-63.4\n')).toEqual([
      ['A', 54.2],
      ['B', 54.3],
    ]);
  });

  it('in folders of KML, with heights', () => {
    const text =
      '<kml xmlns="http://www.opengis.net/kml/2.2"><Document><Folder><Placemark><name>P</name>' +
      '<LineString><coordinates>-63.5,54.2,430 -63.4,54.3,431\n-63.3,54.4,0</coordinates>' +
      '</LineString></Placemark></Folder></Document></kml>';
    expect(of('x.kml', text).map(([, latitude]) => latitude)).toEqual([54.2, 54.3, 54.4]);
  });

  it.each([
    ['x.gpx', '', /empty/],
    ['x.gpx', '<gpx></gpx>', /no place and no line/],
    [
      'x.kml',
      '<kml><Placemark><Point><coordinates>999,99</coordinates></Point></Placemark></kml>',
      /can’t be read/,
    ],
    ['x.csv', 'a,b\n1,2\n', /no columns “latitude”/],
    ['x.csv', 'lat,lon\n99,x\n', /not a position/],
    ['x.json', '{"type":"FeatureCollection","features":[]}', /no place and no line/],
    ['x.txt', 'hello', /Can’t read “hello”/],
    ['x.gpx', '<!DOCTYPE x><gpx/>', /document type/],
  ])('that can’t be read says why: %s %j', (name, text, words) => {
    const read = readRouteFile(name, text, 'x');
    expect(read.ok ? '' : faultMessage(read.fault[0]!.fault)).toMatch(words);
  });

  it('with a recorded track is sent to where tracks are imported', () => {
    const points = Array.from(
      { length: 600 },
      (_, i) => `<trkpt lat="${(54 + i / 1e4).toFixed(4)}" lon="-63.5"/>`,
    ).join('');
    const read = readRouteFile('t.gpx', gpx(`<trk><trkseg>${points}</trkseg></trk>`), 'x');
    expect(read.ok ? '' : faultMessage(read.fault[0]!.fault)).toMatch(/600 points.*under Files/);
  });
});

describe('a written route', () => {
  it('keeps formulas of a spreadsheet away, and comes back with them', () => {
    const text = ROUTE_TEXT.replace('point Gauge 2', 'point "=1+1"');
    const odd = planned(text);
    const csv = ROUTE_FORMATS.find((each) => each.name === 'csv')!.write(odd, AT);
    expect(csv).toContain("'=1+1");
    const read = readRouteFile('x.csv', csv, 'route');
    expect(read.ok && writeRouteText(read.value)).toBe(writeRouteText(odd.route));
  });
});
