import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ENTRY_KINDS, writeEntry } from '@/core/entries/entry';
import { isReservedWord } from '@/core/entries/trailing-note';
import { HEADER_LINES } from '@/core/log-text/header-lines';
import { interpretLine } from '@/core/log-text/interpret';
import { headerLines } from '@/core/log-text/write-log';
import { readLine } from '@/core/log-text/read-line';
import { readMoreLines } from '@/core/log-text/read-more';
import { readLines, readLog } from '@/core/log-text/read-log';
import { headerOf } from '@/core/model/outing';
import { metresAlong } from '@/core/readings/distance';
import { bearingDegrees } from '@/core/readings/bearing';
import { solvedLog } from '../../support/outings';

const { solution } = solvedLog(
  ['declination 19.1 W', 'pace 65 per 100 m', '000 50p > Gauge 1', '010 100p'].join('\n'),
);

const ROWS = readFileSync('tests/core/log-text/handwritten.txt', 'utf8')
  .split('\n')
  .filter((row) => row !== '' && !row.startsWith('#'))
  .map((row): [written: string, expected: string] => {
    const at = row.lastIndexOf(' | ');
    return [row.slice(0, at).trimEnd(), row.slice(at + 3).trim()];
  });

/** The canonical line of a line, or ✗ and the lines that are offered in its place. */
function reading(line: string): string {
  const found = interpretLine(line, solution);
  switch (found.kind) {
    case 'entry':
      return found.written;
    case 'fault':
      return ['✗', found.repairs.map((repair) => repair.line).join(' || ')].join(' ').trim();
    case 'header': {
      const keyword = Object.keys(found.header)[0]!;
      const outing = { ...solution.outing, ...found.header };
      return headerLines(outing).find((written) => written.startsWith(keyword)) ?? '';
    }
    case 'nothing':
      return '';
  }
}

describe('lines as people write them', () => {
  it('are at least 300', () => expect(ROWS.length).toBeGreaterThanOrEqual(300));

  it.each(ROWS)('%s', (written, expected) => {
    expect(reading(written)).toBe(expected);
  });

  it('are read alike in a log of many lines, and mean what their canonical line means', () => {
    const before = ['pace 65 per 100 m', '000 50p > Gauge 1', '010 100p'];
    const legs = ROWS.filter(([written, expected]) => {
      return !expected.startsWith('✗') && /^[\dNSEW]/.test(expected) && written !== '';
    });
    expect(legs.length).toBeGreaterThan(180);
    for (const [written, expected] of legs) {
      const [log, canonical] = [written, expected].map((line) =>
        readLines([...before, line].join('\n'), 'x'),
      );
      const last = (read: typeof log) => (read?.ok ? read.value.outing.entries.at(-1) : read);
      const [one, other] = [last(log), last(canonical)];
      if (!one || !other || !('kind' in one) || !('kind' in other)) throw new Error(written);
      if (one.kind !== 'leg' || other.kind !== 'leg') throw new Error(written);
      expect(metresAlong(one.distance, 1.5)).toBe(metresAlong(other.distance, 1.5));
      expect(bearingDegrees(one.bearing)).toBe(bearingDegrees(other.bearing));
      expect({ ...one, to: one.to?.toLowerCase().replace(/\s+/g, ' ') }).toEqual({
        ...other,
        to: other.to?.toLowerCase(),
      });
    }
  });

  it('keep what stands before any leg, and a remark in its place', () => {
    const { outing } = solvedLog('; windy, with Anna\n000 10m\n; the bog is dry\n010 20m');
    expect(outing.entries.map(({ kind }) => kind)).toEqual(['remark', 'leg', 'remark', 'leg']);
    expect(outing.entries[0]).toEqual({ kind: 'remark', text: 'windy, with Anna' });
    expect(headerOf(outing).start.name).toBe('Start');
  });
});

describe('a length along a leg without a unit', () => {
  const at = (...lines: string[]) => {
    const log = readLines(lines.join('\n'), 'x');
    return log.ok ? log.value.outing.entries.at(-1) : log.fault;
  };

  it('is in the unit of its leg in a log by hand, in metres in one that a program wrote', () => {
    expect(at('pace 1 m', '010 100p', 'at 40 spring')).toMatchObject({
      along: { unit: 'paces', value: 40 },
    });
    expect(at('010 100m', 'at 40 left 12 spring')).toMatchObject({ metres: 40, sideMetres: 12 });
    expect(at('010 4min@3kmh', 'at 40 spring')).toMatchObject({ metres: 40 });
    expect(at('cairn-back log 1', 'pace 1 m', '010 100p', 'at 40 ; spring')).toMatchObject({
      metres: 40,
    });
  });

  it('needs a pace where it is in paces', () => {
    const log = readLog('010 100m\nat 40p spring', 'x', null);
    expect(!log.ok && log.fault[0]).toMatchObject({ fault: { code: 'no-pace' }, line: 2 });
  });
});

describe('several lines at once', () => {
  const { solution: begun } = solvedLog('pace 1 m\n000 100p > Gauge 1');
  const read = (...lines: string[]) => readMoreLines(lines.join('\n'), begun, null);
  const faults = (...lines: string[]) =>
    read(...lines).lines.flatMap(({ line, fault }) => (fault ? [`${line} ${fault.code}`] : []));

  it('go on from the log, in the unit of the leg, or in metres after the format line', () => {
    expect(read('', '# a remark', 'at 40 spring', '010 50m', 'at 20 pond').entries).toMatchObject([
      { along: { unit: 'paces', value: 40 } },
      { kind: 'leg' },
      { metres: 20 },
    ]);
    const written = read('cairn-back log 1', '010 50p', 'at 40 ; spring', 'read true');
    expect(written.entries[1]).toMatchObject({ metres: 40 });
  });

  it('say on which line something is wrong: twice, or what the outing does not allow', () => {
    expect(faults('date 2026-08-14', '010 50m', 'date 2026-08-15')).toEqual(['3 twice']);
    expect(faults('010 50m', '020T 50m')).toEqual(['2 no-declination']);
    expect(faults('010 50m', 'declination model')).toEqual(['2 model-needs']);
    expect(faults('010 50m > Ford', 'from Ford')).toEqual([]);
  });
});

describe('names of stations', () => {
  it('are the same whatever their letter case and spaces', () => {
    const { solution: walked } = solvedLog(
      '000 100m > Gauge 1\n090 100m\n180 100m > gauge   1\nfrom GAUGE 1',
    );
    expect(walked.closures).toHaveLength(1);
    expect(walked.current).toBe(1);
  });

  it('that hold what could be a time, a bearing or a note are written in quotes', () => {
    for (const name of ['A > B', 'Camp, north', 'Hut @9', 'Old (burnt)', '"The" hut', 'x 10:42']) {
      const line = readLine(`220 10m > "${name.replaceAll('"', '""')}"`);
      expect(line.ok && 'entry' in line.value && line.value.entry).toMatchObject({ to: name });
    }
  });
});

describe('a page of a notebook', () => {
  const page = (rows: string[]) => {
    const read = readLines(rows.join('\n'), 'page');
    if (!read.ok) return read.fault.map(({ line, column }) => `${line}:${column}`);
    return read.value.outing.entries.map((entry) => writeEntry(entry, 'magnetic').trim());
  };
  const LEGS = ['220 65p ; burnt snag', '350 130p > Gauge 1', '080 131p rough ; wet, birch'];

  it.each([
    [
      'a heading, numbers and bars',
      ['No. | Bearing | Paces | Notes', '----|---|---|---', '1 | 220 | 65 | burnt snag'],
    ],
    [
      'bars around it',
      ['| # | bearing | count |', '|---|---|---|', '| 1. | 220 | 65 | burnt snag |'],
    ],
    ['bars, and no heading', ['1 | 220 | 65 | burnt snag']],
    ['bars, and no numbers', ['220 | 65 | burnt snag']],
    ['tabs', ['1\t220\t65\tburnt snag']],
    ['a heading and numbers with a comma', ['No  Bearing  Paces', '1, 220 65 burnt snag']],
    ['a heading and bare numbers', ['Leg Bearing Paces', '1 220 65 burnt snag']],
    ['numbers with a dot', ['1. 220 65 burnt snag']],
  ])('with %s', (_name, rows) => expect(page(rows)).toEqual([LEGS[0]]));

  it('whole, with what hangs on a leg, is the same as the log', () => {
    const rows = [
      'No | Bearing | Paces | Remarks',
      '1 | 220 | 65 | burnt snag',
      '2 | 350 | 130 | > Gauge 1',
      '3 | 080 | 131 | rough | wet | birch',
    ];
    expect(page(rows)).toEqual(LEGS);
    const more = readMoreLines(rows.join('\n'), solution, null);
    expect(more.lines.map(({ fault }) => fault)).toEqual([null, null, null]);
    // In the log that goes on the station is called as it is there.
    expect(more.lines.map(({ written }) => written)).toEqual(LEGS);
  });

  it('tells a fault in its own column, and takes no figure for a number of a row', () => {
    expect(page(['No | Bearing | Paces', '1 | 420 | 65'])).toEqual(['2:5']);
    // Without a heading or bars the first figure is the bearing.
    expect(page(['1 220 65'])).toEqual(['1:7']);
    expect(page(['220 65', '---'])).toEqual(['220 65p']);
  });
});

describe('words that are no note without a semicolon', () => {
  it('are every keyword of the log', () => {
    const keywords = [...ENTRY_KINDS, ...HEADER_LINES].map(({ keyword }) => keyword ?? 'leg');
    const open = keywords.filter((word) => /^[a-z-]{2,}$/.test(word) && !isReservedWord(word));
    // Words that have been read as a note since before they began a line of their own stay one.
    expect(open).toEqual([
      ...[
        'leg',
        'here',
        'height',
        'falls',
        'known',
        'mark',
        'halt',
        'route',
        'compass',
        'home',
        'by',
        // A note may begin with it, `start of the burn`; alone it is asked about.
        'start',
        'follows',
        'adjust',
        'errors',
      ],
    ]);
  });
});
