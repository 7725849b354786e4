import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readLines, readLog } from '@/core/log-text/read-log';
import { understand } from '@/core/log-text/understand';
import { writeLog } from '@/core/log-text/write-log';
import { outingSchema } from '@/core/logbook';
import { anyOuting, solved, solvedLog, tidy, outingOf } from '../support/outings';

const demo = readFileSync('demo/rain-gauges.log.txt', 'utf8');
const example = `cairn-back log 1
outing  Rain gauges, first day
date    2026-08-14 09:40
start   Dock at 54.2000 -63.5000
declination 19.1 W
pace    65 per 100 m
220 65p          ; burnt spruce snag on the right
350 130p > Gauge 1
  at 40 left 12  ; spring
  see 305        ; bald summit
140 50m back 319
from Gauge 1
080 130p up 12 @10:42
`;

/** The entries of a log that can be read, worked out or not. */
function entriesOf(text: string) {
  const log = readLines(text, 'test');
  if (!log.ok) throw new Error(JSON.stringify(log.fault));
  return log.value.outing.entries;
}

describe('reading a log', () => {
  it('takes every kind of line', () => {
    const { outing } = solvedLog(example);
    expect(outing).toMatchObject({
      name: 'Rain gauges, first day',
      date: { day: '2026-08-14', time: '09:40' },
      start: { name: 'Dock', position: { latitude: 54.2, longitude: -63.5 } },
      declination: { source: 'typed', angle: { degrees: 19.1, toward: 'W' } },
    });
    expect(outing.entries.map((entry) => entry.kind)).toEqual([
      'pace',
      'leg',
      'leg',
      'at',
      'see',
      'leg',
      'from',
      'leg',
    ]);
    expect(outing.entries.at(-1)).toMatchObject({ slopeDegrees: 12, time: '10:42' });
  });

  it('skips blank lines and comments, takes any line break and letter case, and a byte-order mark', () => {
    const lines = '\uFEFF# a comment\r\n\r\n  # another\rPACE 65 PER 100 M\nS40w 10P BACK n40E';
    expect(entriesOf(lines)).toMatchObject([
      { kind: 'pace', value: 65 },
      { kind: 'leg', bearing: { unit: 'quadrant', from: 'S', value: 40, toward: 'W' } },
    ]);
  });

  it.each([
    ['220 65', { unit: 'degrees', value: 220, north: 'magnetic' }, { unit: 'paces', value: 65 }],
    [
      '220.5T 100m',
      { unit: 'degrees', value: 220.5, north: 'true' },
      { unit: 'metres', value: 100 },
    ],
    ['220 T 100 m', { unit: 'degrees', value: 220, north: 'true' }, { unit: 'metres', value: 100 }],
    [
      '059° M 0.5km',
      { unit: 'degrees', value: 59, north: 'magnetic' },
      { unit: 'kilometres', value: 0.5 },
    ],
    ['SSWG 328ft', { unit: 'wind', wind: 'SSW', north: 'grid' }, { unit: 'feet', value: 328 }],
    [
      '3911mil 130s',
      { unit: 'mils', value: 3911, north: 'magnetic' },
      { unit: 'steps', value: 130 },
    ],
    [
      '244gonM 109yd',
      { unit: 'gon', value: 244, north: 'magnetic' },
      { unit: 'yards', value: 109 },
    ],
    [
      '220 SW 0.3mi',
      { unit: 'degrees', value: 220, word: 'SW', north: 'magnetic' },
      { unit: 'miles', value: 0.3 },
    ],
    [
      '360 4min@3kmh',
      { unit: 'degrees', value: 360, north: 'magnetic' },
      { unit: 'minutes', value: 4, kilometresPerHour: 3 },
    ],
  ])('%s', (line, bearing, distance) => {
    expect(entriesOf(line)).toEqual([{ kind: 'leg', bearing, distance }]);
  });

  it('works distances out in metres', () => {
    const metres = (line: string) => solvedLog(`pace 65 per 100 m\n${line}`).solution.walkedMetres;
    expect(metres('000 130p')).toBeCloseTo(200, 9);
    expect(metres('000 130s')).toBeCloseTo(100, 9);
    expect(metres('000 0.5km')).toBe(500);
    expect(metres('000 328ft')).toBeCloseTo(99.9744, 9);
    expect(metres('000 109yd')).toBeCloseTo(99.6696, 9);
    expect(metres('000 0.3mi')).toBeCloseTo(482.8032, 9);
    expect(metres('000 4min@3kmh')).toBeCloseTo(200, 9);
    expect(metres('000 100m up 60')).toBeCloseTo(50, 9);
    expect(metres('000 100m down 60')).toBeCloseTo(50, 9);
  });

  it('a word beside a number is checked within its tolerance, ends included', () => {
    const agrees = (line: string) => readLines(`${line} 10m`, 'x').ok;
    expect([agrees('45 N'), agrees('45.1 N'), agrees('315 N')]).toEqual([true, false, true]);
    expect([agrees('247.5 SW'), agrees('247.6 SW')]).toEqual([true, false]);
    expect([agrees('213.75 SSW'), agrees('213.8 SSW'), agrees('352 N')]).toEqual([
      true,
      false,
      true,
    ]);
  });

  it('read sets the north of the lines that follow, and a letter overrules it', () => {
    const norths = entriesOf('10 5m\nread true\n20 5m\n30M 5m\nread grid\n40 5m').flatMap(
      (entry) => (entry.kind === 'leg' ? [entry.bearing.north] : []),
    );
    expect(norths).toEqual(['magnetic', 'true', 'magnetic', 'grid']);
  });

  it('a later pace holds for the lines that follow', () => {
    const { solution } = solvedLog('pace 1 m\n000 10p\npace 2 m\n000 10p');
    expect(solution.walkedMetres).toBe(30);
    expect(solution.end.paceLength).toBe(2);
  });

  it('stations are called by their leg’s number, or by the name given', () => {
    const { solution } = solvedLog('000 10m\n090 10m > A > B @ 9\nfrom 1\n180 20m > 1');
    expect(solution.stations.find('A > B @ 9', 3)).toBe(2);
    expect(solution.closures[0]).toMatchObject({ station: '1', leg: 3 });
    expect(solution.stations.find('3', 3)).toBeUndefined();
  });

  it('a start may hold an “at” that is no position', () => {
    const start = (line: string) => solvedLog(line).outing.start;
    expect(start('start Camp at the bend')).toEqual({ name: 'Camp at the bend' });
    expect(start('start Camp at the bend at 1 -2 ; by the pine')).toEqual({
      name: 'Camp at the bend',
      position: { latitude: 1, longitude: -2 },
      note: 'by the pine',
    });
  });
});

describe('writing a log', () => {
  it('is canonical: written, read and written again it is the same', () => {
    for (const text of [example, demo]) {
      const written = writeLog(solvedLog(text).outing);
      expect(writeLog(solvedLog(written).outing)).toBe(written);
    }
  });

  it('the demo is canonical already, and has what a demo should', () => {
    const { outing, solution } = solvedLog(demo);
    expect(writeLog(outing)).toBe(demo);
    expect(solution.traverse.legs).toBeGreaterThanOrEqual(14);
    const kinds = new Set(outing.entries.map((entry) => entry.kind));
    expect([...kinds].sort()).toEqual([
      'aim',
      'at',
      'from',
      'landmark',
      'leg',
      'pace',
      'right',
      'see',
    ]);
    expect(outing.entries.some((entry) => entry.kind === 'leg' && entry.back)).toBe(true);
  });

  it('reading what was written gives back every generated outing, field by field', () => {
    let checked = 0;
    fc.assert(
      fc.property(anyOuting, (outing) => {
        expect(outingSchema.safeParse(outing).success).toBe(true);
        const text = writeLog(outing);
        const back = readLines(text, 'test');
        if (!back.ok) throw new Error(`${JSON.stringify(back.fault[0])}\n${text}`);
        expect(tidy(back.value.outing)).toEqual(outing);
        expect(writeLog(back.value.outing)).toBe(text);
        checked++;
      }),
      { numRuns: 500, seed: 14 },
    );
    expect(checked).toBe(500);
  });

  it('keeps a north by its letter where read says another', () => {
    const text =
      'cairn-back log 1\nstart Start\ndeclination 5 E\nread true\n010 5m\n020M 5m\nread magnetic\n030T 5m\n';
    expect(writeLog(solvedLog(text).outing)).toBe(text);
  });
});

describe('understanding a line that is being typed', () => {
  const page = solved(
    outingOf([
      { kind: 'pace', unit: 'per-100-m', value: 65 },
      {
        kind: 'leg',
        bearing: { unit: 'degrees', value: 0, north: 'magnetic' },
        distance: { unit: 'metres', value: 100 },
        to: 'Gauge 1',
      },
    ]),
  );

  it('gives a leg with its ghost, a setting, a branch, or nothing', () => {
    expect(understand('   ', page)).toEqual({ kind: 'nothing' });
    const found = understand('180 65p > Camp ; snag', page);
    expect(found).toMatchObject({ kind: 'entry', ghost: { lengthMetres: expect.closeTo(100, 9) } });
    expect(understand('declination 19.1 W', page)).toMatchObject({ kind: 'header' });
    expect(understand('from Gauge 1', page)).toMatchObject({ kind: 'entry', ghost: null });
  });

  it('points at the column of what the page does not allow', () => {
    expect(understand('220T 65p', page)).toMatchObject({ kind: 'fault', column: 1 });
    expect(understand('220 65p back 40G', page)).toMatchObject({ kind: 'fault', column: 14 });
    expect(understand('from Gauge 2', page)).toMatchObject({
      kind: 'fault',
      column: 6,
      fault: { code: 'unknown-station', nearest: 'Gauge 1' },
    });
  });
});

describe('limits', () => {
  it('a log of 10,000 lines is read and worked out well under a second', () => {
    const text = `pace 1 m\n${Array.from({ length: 10_000 }, (_, i) => `${i % 360} 65p back ${(i + 180) % 360} @10:42 > S ${i} ; note ${i}`).join('\n')}`;
    const start = performance.now();
    const log = readLog(text, 'x', null);
    expect(log.ok && log.value.solution.traverse.legs).toBe(10_000);
    expect(performance.now() - start).toBeLessThan(900);
  });

  it('more than 2 MB, and more lines than anyone keeps, are refused', () => {
    const code = (text: string) => {
      const log = readLog(text, 'x', null);
      return log.ok ? 'read' : log.fault[0]!.fault.code;
    };
    expect(code(`# ${'x'.repeat(2_000_000)}`)).toBe('too-large');
    expect(code('1 1m\n'.repeat(100_001))).toBe('too-large');
    expect(code('1 1m\n'.repeat(1000))).toBe('read');
  });
});
