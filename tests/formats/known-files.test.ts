import { XMLParser } from 'fast-xml-parser';
import { describe, expect, it } from 'vitest';
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

describe('files of known places', () => {
  it.each(KNOWN_FORMATS.map((format) => [format.name, format] as const))(
    '%s comes back as it went',
    (_, format) => {
      const read = readKnownFile(format.write(PLACES, AT), newId);
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
      expect(readKnownFile(text, newId).ok, text).toBe(false);
    }
  });
});
