import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { warningsOf } from '@/core/checks';
import { solvedLog } from '../../support/outings';

const warnings = (text: string) => warningsOf(solvedLog(text).solution, USUAL_FIGURES);
const codes = (text: string) => warnings(text).map(({ code }) => code);

describe('the checks of an outing, on both sides of their limits', () => {
  it.each([
    // Back bearings.
    ['000 100m back 185', []],
    ['000 100m back 186', ['back-bearing-off']],
    ['000 100m back 174', ['back-bearing-off']],
    ['350 100m back 175', []],
    // Expected direction.
    ['expect N\n090 100m', []],
    ['expect N\n091 100m', ['expected-other-way']],
    ['expect N\n269 100m', ['expected-other-way']],
    ['expect NE\n000 50m\n225 100m', []],
    ['000 50m\nexpect NE\n226 100m', ['expected-other-way']],
    // Short legs.
    ['000 15m', []],
    ['000 14.9m', ['leg-short']],
    // Speed by the times noted: a time is good to a minute.
    ['000 100m @10:00\n090 700m @10:05', []],
    ['000 100m @10:00\n090 701m @10:05', ['pace-implausible']],
    ['000 100m @10:00\n090 45m @10:10', []],
    ['000 100m @10:00\n090 44m @10:10', ['pace-implausible']],
    ['000 100m @10:00\n090 60m\n180 70m @10:02', []],
    ['000 100m @10:05\n090 100m @10:01', ['pace-implausible']],
    ['000 100m @23:58\n090 100m @00:01', []],
    ['date 2026-08-14 09:00\n000 1km @09:02', ['pace-implausible']],
    // The same leg twice.
    ['000 100m\n000 100m', ['same-leg-twice']],
    ['000 100m\n000 101m', []],
    ['000 100m > A\nfrom Start\n000 100m', []],
    // Walked back.
    ['000 100m\n185 105m', ['walked-back']],
    ['000 100m\n186 100m', []],
    ['000 100m\n180 106m', []],
    ['000 100m\n180 100m > Start', []],
    // The length of a pace: two steps.
    ['pace 1.2 m', []],
    ['pace 1.19 m', ['pace-length-odd']],
    ['pace 2.2 m', []],
    ['pace 130 per 100 m', ['pace-length-odd']],
    // An annual change in degrees that was meant in minutes.
    ["date 2010-07-01\ndeclination 2°18' W in 2009-07 change 0.5 E a year", []],
    ["date 2010-07-01\ndeclination 2°18' W in 2009-07 change 9 E a year", ['annual-change-large']],
    // A count beside a length: 65 paces are 100 m by the pace; 3 sigma of it are 19 %.
    ['pace 65 per 100 m\n220 65p 100m', []],
    ['pace 65 per 100 m\n220 75p 100m', []],
    ['pace 65 per 100 m\n220 79p 100m', ['pace-disagrees']],
    ['pace 65 per 100 m\n220 130s 100m', []],
    ['pace 65 per 100 m\n220 65s 100m', ['pace-disagrees']],
    // A start that is called by its position.
    ['start Dock 2', []],
    ['start 54.2 -63.5', ['start-like-position']],
    ['start SD 805 660', ['start-like-position']],
    ['start LV95 2643013 1161124', ['start-like-position']],
    ['start Hut 12', []],
    ['000 100m > SD 805 660', ['name-like-reference']],
    ['000 100m > Gauge 12', []],
    ["start 54°12' N 63°30' W", ['start-like-position']],
    // A loop that its errors explain, and one with a leg turned round.
    ['pace 1.54 m\n000 130p > A\n090 130p\n180 130p\n270 128p > Start', []],
    [
      'pace 1.54 m\n000 130p\n090 130p\n180 130p\n090 130p > Start',
      ['misclosure-unexplained', 'blunder-likely'],
    ],
  ])('%j: %j', (text, expected) => expect(codes(text)).toEqual(expected));

  it('each says what it found and what to do', () => {
    for (const text of [
      '000 100m back 200',
      'expect N\n180 100m',
      '000 5m',
      '000 100m @10:00\n090 2km @10:05',
      '000 50m\n000 50m',
      '000 50m\n180 50m',
    ]) {
      const [warning] = warnings(text);
      expect(warning!.message).toMatch(/\d/);
      expect(warning!.message.split(/[.?:] /).length).toBeGreaterThan(1);
    }
  });

  it('a direction 180° off is reported as a 180° error, one 110° off is not', () => {
    const told = warnings('expect N\n180 100m')[0]!.message;
    expect(told).toMatch(/180° error: plate or housing turned round, map upside down/);
    expect(warnings('expect N\n110 100m')[0]!.message).not.toMatch(/180°/);
  });

  it('an accepted warning is gone, for that line and that warning only', () => {
    expect(codes('000 5m\n  right leg-short\n090 5m')).toEqual(['leg-short']);
    expect(codes('000 5m back 100\n  right leg-short')).toEqual(['back-bearing-off']);
    expect(codes('000 5m\n  at 2 ; pool\n  right leg-short')).toEqual(['leg-short']);
  });
});
