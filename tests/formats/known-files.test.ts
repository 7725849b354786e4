import { XMLParser } from 'fast-xml-parser';
import { describe, expect, it } from 'vitest';
import { faultMessage } from '@/core/faults/messages';
import { KNOWN_FORMATS, readKnownFile } from '@/formats/fix/known-files';

let count = 0;
const newId = () => `n${++count}`;
const PLACES = [
  {
    id: 'a',
    name: 'Bald <summit> & more',
    positions: [{ latitude: 54.2126, longitude: -63.5209 }],
    note: '612 m',
  },
  {
    id: 'b',
    name: 'Outlet brook',
    positions: [
      { latitude: 54.2, longitude: -63.5 },
      { latitude: 54.21, longitude: -63.51 },
      { latitude: 54.22, longitude: -63.5 },
    ],
  },
];
const AT = '2026-08-14T10:00:00Z';
const fromText = (text: string, { name = 'places', square = null as string | null } = {}) =>
  readKnownFile(name, new TextEncoder().encode(text), square, newId);

describe('files of known places', () => {
  it.each(KNOWN_FORMATS.map((format) => [format.name, format] as const))(
    '%s comes back as it went',
    (_, format) => {
      const read = fromText(format.write(PLACES, AT));
      if (!read.ok) throw new Error(JSON.stringify(read.fault));
      expect(read.value.map(({ name, positions }) => ({ name, positions }))).toEqual(
        PLACES.map(({ name, positions }) => ({ name, positions })),
      );
      expect(new Set(read.value.map(({ id }) => id)).size).toBe(2);
    },
  );

  it('GPX is read by another parser as waypoints and routes', () => {
    const gpx = KNOWN_FORMATS.find(({ name }) => name === 'gpx')!;
    const tree = new XMLParser({ ignoreAttributes: false }).parse(gpx.write(PLACES, AT)) as {
      gpx: { wpt: Record<string, string>; rte: { rtept: unknown[] } };
    };
    expect(tree.gpx.wpt).toMatchObject({ '@_lat': '54.212600000', '@_lon': '-63.520900000' });
    expect(tree.gpx.rte.rtept).toHaveLength(3);
  });

  it('are refused whole where nothing in them can be kept', () => {
    for (const text of ['', '{', '{"type":"FeatureCollection","features":[]}', '<gpx></gpx>']) {
      expect(fromText(text).ok, text).toBe(false);
    }
  });

  it('are read from tables, by degrees, by a grid or by digits in its square', () => {
    const places = (text: string, square: string | null = null) => {
      const read = fromText(text, { square });
      if (!read.ok) throw new Error(JSON.stringify(read.fault));
      return read.value;
    };
    const [mast, hut] = places(
      'Name;Lat;Lon;Notes\nMast;54.2126;-63.5209;"red, tall"\nHut;54.20;-63.50;\n',
    );
    expect(mast).toMatchObject({
      name: 'Mast',
      positions: [{ latitude: 54.2126, longitude: -63.5209 }],
      note: 'red, tall',
    });
    expect(hut!.note).toBeUndefined();
    // The same place by its zone, easting and northing, and by those alone in a known square.
    const [byZone] = places('name,zone,easting,northing\nMast,20U,466000,6007500\n');
    const [bySquare] = places('name,easting,northing\nMast,466000,6007500\n', '20U MF');
    const [byDigits] = places('place,grid ref\nMast,66000 07500\n', '20U MF');
    expect(bySquare!.positions).toEqual(byZone!.positions);
    // A reference is the middle of its square of a metre.
    const [middle, corner] = [byDigits!.positions[0]!, byZone!.positions[0]!];
    expect(middle.latitude).toBeCloseTo(corner.latitude, 4);
    expect(middle.longitude).toBeCloseTo(corner.longitude, 4);
    expect([bySquare!.withinMetres, byDigits!.withinMetres]).toEqual([1, 1]);
    expect(places('name,lat,lon,within\nMast,54,-63,25\n')[0]!.withinMetres).toBe(25);
  });

  it('say which row of a table can’t be read, and take none', () => {
    const wrong = fromText('name,easting,northing\nMast,466000,6007500\nHut,x,y\n');
    expect(!wrong.ok && wrong.fault.map(({ line }) => line)).toEqual([2, 3]);
    expect(!wrong.ok && faultMessage(wrong.fault[0]!.fault)).toMatch(
      /without the zone of their grid.*20U 466000 6007500/,
    );
    const within = fromText('name,lat,lon,within\nMast,54,-63,near\n');
    expect(!within.ok && faultMessage(within.fault[0]!.fault)).toMatch(/“near” is no number/);
    const heads = fromText('a,b\n1,2\n', { name: 'x.csv' });
    expect(!heads.ok && faultMessage(heads.fault[0]!.fault)).toMatch(/“latitude” and “longitude”/);
  });

  it('are not looked for in a file of another kind: it is named', () => {
    const pdf = fromText('%PDF-1.7 x');
    expect(!pdf.ok && faultMessage(pdf.fault[0]!.fault)).toMatch(
      /^This file is a PDF\. .*GPX, Geo/,
    );
    const prose = fromText('Plain words');
    expect(!prose.ok && faultMessage(prose.fault[0]!.fault)).toMatch(/^Known places are read from/);
  });
});
