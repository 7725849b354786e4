import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readLines, readLog } from '@/core/log-text/read-log';
import { interpretLine } from '@/core/log-text/interpret';
import { writeLog } from '@/core/log-text/write-log';
import { outingSchema } from '@/core/model/outing';
import { converted } from '@/core/north/norths';
import { generalPace } from '@/core/survey/log-state';
import { stationNamed } from '@/core/survey/solution';
import { anyOuting, outingOf, solved, solvedLog, tidy } from '../../support/outings';

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

/** The entries of a log that can be read, whether it can be solved or not. */
function entriesOf(text: string) {
  const log = readLines(text, 'test');
  if (!log.ok) throw new Error(JSON.stringify(log.fault));
  return log.value.outing.entries;
}

describe('reading a log', () => {
  it('reads every kind of line', () => {
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

  it('skips blank lines and comments, with any line break, letter case or byte-order mark', () => {
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

  it('converts distances to metres', () => {
    const metres = (line: string) => solvedLog(`pace 65 per 100 m\n${line}`).solution.walkedMetres;
    expect(metres('000 130p')).toBeCloseTo(200, 9);
    expect(metres('000 130s')).toBeCloseTo(100, 9);
    expect(metres('000 0.5km')).toBe(500);
    expect(metres('000 328ft')).toBeCloseTo(99.9744, 9);
    expect(metres('000 109yd')).toBeCloseTo(99.6696, 9);
    expect(metres('000 0.3mi')).toBeCloseTo(482.8032, 9);
    // A chain is 66 feet of 0.3048 m, a link a hundredth of it.
    expect(metres('000 5.5ch')).toBeCloseTo(110.6424, 9);
    expect(metres('000 550lk')).toBeCloseTo(110.6424, 9);
    expect(metres('000 4min@3kmh')).toBeCloseTo(200, 9);
    expect(metres('000 100m up 60')).toBeCloseTo(50, 9);
    expect(metres('000 100m down 60')).toBeCloseTo(50, 9);
  });

  it('a compass point beside a number is checked within its tolerance, ends included', () => {
    const agrees = (line: string) => readLines(`${line} 10m`, 'x').ok;
    expect([agrees('45 N'), agrees('45.1 N'), agrees('315 N')]).toEqual([true, false, true]);
    // Half the gap to the next such point, and half a point of the 32.
    expect([agrees('253.125 SW'), agrees('253.2 SW')]).toEqual([true, false]);
    expect([agrees('219.375 SSW'), agrees('219.4 SSW'), agrees('352 N')]).toEqual([
      true,
      false,
      true,
    ]);
  });

  it('read sets the north of the lines that follow, and a letter overrides it', () => {
    const norths = entriesOf('10 5m\nread true\n20 5m\n30M 5m\nread grid\n40 5m').flatMap(
      (entry) => (entry.kind === 'leg' ? [entry.bearing.north] : []),
    );
    expect(norths).toEqual(['magnetic', 'true', 'magnetic', 'grid']);
  });

  it('a later pace is used for the lines that follow', () => {
    const { solution } = solvedLog('pace 1 m\n000 10p\npace 2 m\n000 10p');
    expect(solution.walkedMetres).toBe(30);
    expect(generalPace(solution.end)).toBe(2);
  });

  it('stations are called by their leg’s number, or by the name given', () => {
    const { solution } = solvedLog('000 10m\n090 10m > "A > B @ 9"\nfrom 1\n180 20m > 1');
    expect(stationNamed(solution, 'A > B @ 9')).toBe(2);
    expect(solution.closures[0]).toMatchObject({ station: '1', leg: 3 });
    expect(stationNamed(solution, '3')).toBeUndefined();
  });

  it('the name of a start may contain an “at” that is no position', () => {
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
  it('written, read and written again it is the same', () => {
    for (const text of [example, demo]) {
      const written = writeLog(solvedLog(text).outing);
      expect(writeLog(solvedLog(written).outing)).toBe(written);
    }
  });

  it('the demo is as it would be written, and has what a demo should', () => {
    const { outing, solution } = solvedLog(demo);
    expect(writeLog(outing)).toBe(demo);
    expect(solution.legs.count).toBeGreaterThanOrEqual(14);
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

  it('every generated outing is read back as it was written, field by field', () => {
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

  it('writes the letter of a north where read says another', () => {
    const lines = ['read true', '010 5m', '020M 5m', 'read magnetic', '030T 5m', ''];
    const text = ['cairn-back log 1', 'start Start', 'declination 5 E', ...lines].join('\n');
    expect(writeLog(solvedLog(text).outing)).toBe(text);
  });
});

describe('a line that is being typed', () => {
  const outing = solved(
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

  it('is a leg with its preview, a setting, a branch, or nothing', () => {
    expect(interpretLine('   ', outing)).toEqual({ kind: 'nothing' });
    const found = interpretLine('180 65p > Camp ; snag', outing);
    expect(found).toMatchObject({
      kind: 'entry',
      preview: { lengthMetres: expect.closeTo(100, 9) },
    });
    expect(interpretLine('declination 19.1 W', outing)).toMatchObject({ kind: 'header' });
    expect(interpretLine('from Gauge 1', outing)).toMatchObject({ kind: 'entry', preview: null });
  });

  it('is refused at the column of what the outing doesn’t allow', () => {
    expect(interpretLine('220T 65p', outing)).toMatchObject({ kind: 'fault', column: 1 });
    expect(interpretLine('220 65p back 40G', outing)).toMatchObject({ kind: 'fault', column: 14 });
    expect(interpretLine('from Guage 1', outing)).toMatchObject({
      kind: 'fault',
      column: 6,
      fault: { code: 'unknown-station' },
      repairs: [{ reading: 'Gauge 1', line: 'from Gauge 1' }],
    });
  });
});

describe('limits', () => {
  it('a log of 10,000 lines is read and solved', () => {
    const line = (i: number) =>
      `${i % 360} 65p back ${(i + 180) % 360} @10:42 > S ${i} ; note ${i}`;
    const text = ['pace 1 m', ...Array.from({ length: 10_000 }, (_, i) => line(i))].join('\n');
    expect(solvedLog(text).solution.legs.count).toBe(10_000);
  });

  it('more than 2 MB, or more than 100,000 lines, are refused', () => {
    const code = (text: string) => {
      const log = readLog(text, 'x', null);
      return log.ok ? 'read' : log.fault[0]!.fault.code;
    };
    expect(code(`# ${'x'.repeat(2_000_000)}`)).toBe('too-large');
    expect(code('1 1m\n'.repeat(100_001))).toBe('too-large');
    expect(code('1 1m\n'.repeat(1000))).toBe('read');
  });
});

describe('the north of a compass that is set for the declination', () => {
  const set = (how: string, more = '') =>
    `declination 12.5 W\ncorrection ${how}\n${more}220 100m > Ford\n`;
  const at = (text: string) => {
    const { places } = solvedLog(text).solution;
    return { ...places.at(1), shown: solvedLog(text).outing.show.north };
  };

  it('is the map’s, without a line that says so: its readings are not turned again', () => {
    const untouched = at('declination 12.5 W\nread true\nshow true\n220 100m > Ford\n');
    for (const how of ['compass-set', 'by-mark']) {
      expect(at(set(how))).toEqual(untouched);
      // Whatever the order of the lines.
      expect(at(`220 100m > Ford\ncorrection ${how}\ndeclination 12.5 W\n`)).toEqual(untouched);
    }
    expect(at(set('by-sum')).shown).toBe('magnetic');
    expect(at(set('by-sum')).east).toBeCloseTo(100 * Math.sin((207.5 * Math.PI) / 180), 9);
  });

  it('is grid north with a convergence, and what a read line says where there is one', () => {
    const grid = at(set('compass-set', 'convergence 2 E\n'));
    expect(grid.shown).toBe('grid');
    expect(grid.east).toBeCloseTo(100 * Math.sin((222 * Math.PI) / 180), 9);
    expect(at(set('compass-set', 'read magnetic\n')).east).toBeCloseTo(
      100 * Math.sin((207.5 * Math.PI) / 180),
      9,
    );
  });

  it('survives writing and reading, with bearings from each north', () => {
    for (const north of ['', 'M', 'T', 'G']) {
      const { outing } = solvedLog(set('compass-set').replace('220', `220${north}`));
      const again = solvedLog(writeLog(outing)).outing;
      expect(again).toEqual(outing);
    }
    const shown = solvedLog(set('compass-set', 'show magnetic\n')).outing;
    expect(solvedLog(writeLog(shown)).outing.show.north).toBe('magnetic');
  });
});

describe('an angle that a margin says from grid north', () => {
  const norths = (text: string) => solvedLog(text).solution.places.frame.norths;
  const toMagnetic = (degrees: number, text: string) =>
    converted({ degrees, north: 'grid' }, 'magnetic', norths(text))!.degrees;

  it('turns a map bearing by itself, whatever the convergence', () => {
    // Check values: common practice, no source.
    // Magnetic north 2°18' W of grid north in July 2009, 9' E a year: 0°39' W in July 2020.
    const july = "date 2020-07-01\ndeclination 2°18' W of grid in 2009-07 change 9' E a year\n";
    for (const grid of ['', 'convergence 1.5 W\n']) {
      expect(toMagnetic(341, july + grid)).toBeCloseTo(341.65, 2);
      expect(toMagnetic(300, july + grid)).toBeCloseTo(300.65, 2);
    }
    const east = 'declination 13.3 E of grid\nconvergence 1.2 W\n';
    expect(toMagnetic(52, east)).toBeCloseTo(38.7, 9);
    // True north follows from the convergence: D = G + C.
    expect(norths(east).declinationEast).toBeCloseTo(12.1, 9);
    expect(toMagnetic(52, 'declination 13.3 E\nconvergence 1.2 W\n')).toBeCloseTo(37.5, 9);
  });

  it.each([
    [
      'magnetic north is estimated at 2°18’ west of grid north for July 2009, ' +
        'decreasing 9’ annually',
      "2°18' W of grid in 2009-07 change 0°9' E a year",
    ],
    ['2°18’ W, July 2009, increasing by 9’ each year', "2°18' W in 2009-07 change 0°9' W a year"],
  ])('is read as a margin prints it: %s', (printed, written) => {
    const { outing } = solvedLog(`date 2020-07-01\ndeclination ${printed}\n`);
    expect(writeLog(outing)).toContain(`declination ${written}\n`);
  });

  it('is written and read as it was said', () => {
    for (const line of ['13.3 E of grid', "2°18' W of grid in 2009-07 change 0°9' E a year"]) {
      const { outing } = solvedLog(`date 2020-07-01\ndeclination ${line}\n`);
      expect(writeLog(outing)).toContain(`declination ${line}\n`);
      expect(outingSchema.parse(outing)).toEqual(outing);
    }
  });
});
