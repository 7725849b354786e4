import { strToU8, zipSync } from 'fflate';

/** Inputs of any size that cost a reader or a check the most that is known. */
export interface WorstInput {
  readonly name: string;
  /** The size at which the growth is measured first. */
  readonly from: number;
  /** A file of this size, in lines, legs, points or files. */
  readonly make: (size: number) => string | Uint8Array;
}

const repeated = (size: number, line: (index: number) => string) =>
  Array.from({ length: size }, (_, index) => line(index)).join('\n');

/** The same in a list of JSON. */
const listed = (size: number, item: (index: number) => string) =>
  Array.from({ length: size }, (_, index) => item(index)).join(',');
const LONG = 'long name '.repeat(15);

const log = (size: number, line: (index: number) => string) =>
  `pace 65 per 100 m\n${repeated(size, line)}`;

const logbook = (entries: string) =>
  `{"format":"cairn-back/logbook","version":1,"exportedAt":"2026-08-14T09:40:00Z",` +
  `"outings":[{"id":"a","name":"","start":{"name":"Start"},"declination":{"source":"none"},` +
  `"show":{"north":"magnetic"},"entries":[${entries}]}],"paceProfiles":[]}`;

const at = (index: number) =>
  `lat="${54 + (index % 317) / 5000}" lon="${-63 - (index % 991) / 7000}"`;
const gpx = (body: string) => `<gpx version="1.1">${body}</gpx>`;
const track = (size: number) =>
  `<trk><trkseg>${repeated(size, (i) => `<trkpt ${at(i)}/>`)}</trkseg></trk>`;

/** A new kind of input that is found to be slow is one more row here. */
export const WORST_INPUTS: readonly WorstInput[] = [
  {
    name: 'log: legs with every part',
    from: 500,
    make: (size) =>
      log(
        size,
        (i) => `${i % 360}.5 ${65 + (i % 50)}p back ${(i + 180) % 360} up 12 > P ${i} ; snag`,
      ),
  },
  {
    name: 'log: sightings of one landmark, one to a leg',
    from: 1000,
    make: (size) => log(size, (i) => `000 50m\nsee ${270 + (i % 5)} ; summit`),
  },
  {
    name: 'log: sightings of one landmark from one place',
    from: 2000,
    make: (size) => log(size, (i) => `see ${i % 360} ; summit`),
  },
  {
    name: 'log: a chain of legs with local attraction',
    from: 1000,
    make: (size) => log(size, (i) => `090 50m back ${i === size - 1 ? 270 : 250}`),
  },
  {
    name: 'log: a return to a station for each leg',
    from: 1000,
    make: (size) => log(size, (i) => `${i % 360} 500m${i % 2 ? ' > Start' : ''}`),
  },
  {
    name: 'log: side trips from one deep station',
    from: 1000,
    make: (size) => log(size, (i) => (i % 2 ? 'from Start' : `${i % 360} 50m > P${i}`)),
  },
  {
    name: 'log: lines that are nearly right',
    from: 1000,
    make: (size) =>
      `${log(size, (i) => `${i % 360} 65p > P${i}`)}\n` +
      repeated(20, () => `frm ${'P'.repeat(190)}`),
  },
  {
    name: 'log: lines whose station is unknown',
    from: 1000,
    make: (size) => `${log(size, (i) => `000 50m > ${LONG}${i}`)}\nfrom ${LONG}x`,
  },
  {
    name: 'log: warnings accepted, struck lines and remarks',
    from: 1000,
    make: (size) => log(size, () => '000 5m\nright leg-short\n; remark'),
  },
  {
    name: 'log: one line without an end',
    from: 100_000,
    make: (size) => `220 65p ; ${'x'.repeat(size)}`,
  },
  { name: 'log: one line of digits', from: 50_000, make: (size) => '1'.repeat(size) },
  { name: 'log: one line of spaces', from: 50_000, make: (size) => `220${' '.repeat(size)}x` },
  {
    name: 'logbook: entries that are no entries',
    from: 20_000,
    make: (size) => logbook(listed(size, () => '0')),
  },
  {
    name: 'logbook: entries without their fields',
    from: 5000,
    make: (size) => logbook(listed(size, () => '{"kind":"leg"}')),
  },
  {
    name: 'logbook: unknown fields',
    from: 2000,
    make: (size) => logbook(`{"kind":"remark","note":"x","more":[${'0,'.repeat(size)}0]}`),
  },
  { name: 'JSON: nested lists', from: 20_000, make: (size) => '['.repeat(size) + ']'.repeat(size) },
  {
    name: 'JSON: a string of escapes',
    from: 50_000,
    make: (size) => `{"type":"x","y":"${'\\\\'.repeat(size)}"}`,
  },
  {
    name: 'GPX: waypoints beside a track',
    from: 1500,
    make: (size) =>
      gpx(`${repeated(size, (i) => `<wpt ${at(i * 7 + 3)}><name>x</name></wpt>`)}${track(size)}`),
  },
  {
    name: 'GPX: tracks and waypoints',
    from: 400,
    make: (size) =>
      gpx(
        repeated(size, (i) => `<wpt ${at(i * 7)}><name>x</name></wpt>`) +
          repeated(size, (i) => `<rte><rtept ${at(i)}/><rtept ${at(i + 1)}/></rte>`),
      ),
  },
  { name: 'GPX: one long track', from: 2000, make: (size) => gpx(track(size)) },
  { name: 'XML: opening tags', from: 20_000, make: (size) => '<a>'.repeat(size) },
  {
    name: 'XML: attributes',
    from: 2000,
    make: (size) => `<gpx ${repeated(size, (i) => `a${i}="1"`)}/>`,
  },
  {
    name: 'XML: references',
    from: 5000,
    make: (size) => gpx(`<trk><name>${'&#65;'.repeat(size)}</name></trk>`),
  },
  {
    name: 'GeoJSON: positions that are none',
    from: 10_000,
    make: (size) => `{"type":"LineString","coordinates":[${listed(size, () => '[999,999]')}]}`,
  },
  {
    name: 'GeoJSON: points of one name',
    from: 1500,
    make: (size) =>
      `{"type":"FeatureCollection","features":[${listed(
        size,
        (i) =>
          '{"type":"Feature","properties":{"name":"a"},"geometry":{"type":"Point",' +
          `"coordinates":[${-63 - i / 9000},54]}}`,
      )}]}`,
  },
  {
    name: 'table: columns',
    from: 5000,
    make: (size) => `bearing,distance${','.repeat(size)}\n220,65m${','.repeat(size)}`,
  },
  {
    name: 'table: rows',
    from: 1000,
    make: (size) => `bearing,distance (m),to\n${repeated(size, (i) => `${i % 360},65,P${i}`)}`,
  },
  {
    name: 'table: outings of one row',
    from: 500,
    make: (size) => `outing,bearing,distance (m)\n${repeated(size, (i) => `o${i},220,65`)}`,
  },
  {
    name: 'table: an open quotation mark',
    from: 80_000,
    make: (size) => `bearing,distance\n"${'a,"'.repeat(size)}`,
  },
  {
    name: 'archive: files',
    from: 100,
    make: (size) =>
      zipSync(
        Object.fromEntries(
          Array.from({ length: size }, (_, i) => [`${i}.log.txt`, strToU8('220 65m\n')]),
        ),
      ),
  },
];

/** The largest and the most hostile files that the Files view takes, by name. */
export const LARGEST_FILES: readonly WorstInput[] = [
  {
    name: 'log.txt',
    from: 95_000,
    make: (size) => log(size, (i) => `${i % 360} ${1 + (i % 90)}p ; snag`).slice(0, 1_990_000),
  },
  {
    name: 'table.csv',
    from: 100_000,
    make: (size) =>
      `bearing,distance (m),note\n${repeated(size, (i) => `${i % 360},65,${'x'.repeat(60)}`)}`,
  },
  {
    name: 'columns.csv',
    from: 20_000,
    make: (size) => `bearing,distance${','.repeat(size)}\n1,2m`,
  },
  {
    name: 'large.cairn.json',
    from: 100_000,
    make: (size) =>
      logbook(
        listed(
          size,
          (i) =>
            `{"kind":"leg","bearing":{"unit":"degrees","value":${i % 360},"north":"magnetic"},` +
            `"distance":{"unit":"metres","value":${1 + (i % 90)}},"note":"${'x'.repeat(150)}"}`,
        ),
      ),
  },
  {
    name: 'many.cairn.json',
    from: 10_000,
    make: (size) => {
      const { outings, ...book } = JSON.parse(logbook('')) as { outings: object[] };
      const many = Array.from({ length: size }, (_, i) => ({ ...outings[0], id: `o${i}` }));
      return JSON.stringify({ ...book, outings: many });
    },
  },
  {
    name: 'nonsense.cairn.json',
    from: 4_000_000,
    make: (size) => logbook('0,'.repeat(size) + '0'),
  },
  { name: 'track.gpx', from: 100_000, make: (size) => gpx(track(size)) },
  {
    name: 'waypoints.gpx',
    from: 49_000,
    make: (size) =>
      gpx(`${repeated(size, (i) => `<wpt ${at(i * 7 + 3)}><name>x</name></wpt>`)}${track(size)}`),
  },
  {
    name: 'tracks.gpx',
    from: 2000,
    make: (size) =>
      gpx(
        repeated(size / 2, (i) => `<wpt ${at(i * 7)}><name>x</name></wpt>`) +
          repeated(size, (i) => `<rte><rtept ${at(i)}/><rtept ${at(i + 1)}/></rte>`),
      ),
  },
  { name: 'tags.gpx', from: 4_000_000, make: (size) => '<a>'.repeat(size) },
  {
    name: 'files.zip',
    from: 2000,
    make: (size) =>
      zipSync(
        Object.fromEntries(
          Array.from({ length: size }, (_, i) => [`${i}.log.txt`, strToU8('220 65m\n'.repeat(20))]),
        ),
      ),
  },
];

/** A log of so many legs whose loops hang together, to be adjusted: it solves for long. */
export const manyLoops = (legs: number): string =>
  'cairn-back log 1\nstart Dock\ndeclination 19 W\nadjust least-squares\n' +
  Array.from(
    { length: legs },
    (_, i) => `${(i * 97 + 13) % 360} 100m > N${i % 4 === 3 ? (i * 7919) % i : i}\n`,
  ).join('');
