import { describe, expect, it } from 'vitest';
import { expectedText, faultMessage } from '@/core/faults/messages';
import { readLog } from '@/core/log-text/read-log';
import { uniform } from '@/core/errors/random';

/** The first fault of a log, with the sentence that a person reads. */
function faultOf(text: string) {
  const log = readLog(text, 'test', null);
  if (log.ok) return null;
  const { fault, line, column } = log.fault[0]!;
  return { line, column, message: faultMessage(fault), expected: expectedText(fault), fault };
}

// Each row: the log, the line and column of the fault, and what its sentence must say.
const ROWS: [text: string, line: number, column: number, says: RegExp][] = [
  ['220', 1, 4, /Something is missing here. Expected a distance/],
  ['220 ', 1, 4, /Expected a distance/],
  ['361 10m', 1, 1, /0 to 360; this is 361/],
  ['6401mil 10m', 1, 1, /mils must be 0 to 6400/],
  ['400.1gon 10m', 1, 1, /gon must be 0 to 400/],
  ['S91W 10m', 1, 1, /quadrant bearing must be 0 to 90/],
  ['-5 10m', 1, 1, /Can’t read “-5”. Expected a bearing/],
  ['220x 10m', 1, 4, /Can’t read “x”/],
  ['NNN 10m', 1, 1, /Can’t read “NNN”/],
  ['8 S 10m', 1, 3, /contradict.*008, S8E or S8W/],
  ['120 W 10m', 1, 5, /120° and W contradict/],
  ['220 SSW 10m', 1, 5, /220° and SSW contradict/],
  ['220 0m', 1, 5, /more than 0/],
  ['220 1000001m', 1, 5, /at most 1000000/],
  ['220 65q', 1, 7, /Expected a unit/],
  ['220 abc', 1, 5, /Expected a distance/],
  ['220 4min', 1, 9, /Expected a speed with its unit/],
  ['220 4min@3', 1, 10, /Expected a speed with its unit/],
  ['220 4min@0kmh', 1, 10, /speed must be more than 0/],
  ['140 50m\n220 65p', 2, 5, /paces needs the length of a pace/],
  ['140 50m\n220 65', 2, 5, /needs the length of a pace/],
  ['140 50m\n220 130s', 2, 5, /single|steps needs/],
  ['220 65p\n140 50m', 2, 5, /so far are in paces alone/],
  ['220 65p\nat 5m ; spring', 2, 4, /so far are in paces alone/],
  ['220 65p\n140 50m\npace 65 per 100 m', 2, 5, /so far are in paces alone/],
  ['pace mud 70 per 100 m\n220 65p', 2, 5, /needs the length of a pace/],
  ['220 10m back', 1, 13, /Expected a back bearing/],
  ['220 10m back 400', 1, 14, /0 to 360; this is 400/],
  ['220 10m back 40 back 41', 1, 17, /“back” twice/],
  ['220 10m up', 1, 11, /Expected a slope/],
  ['220 10m up 90', 1, 12, /slope in degrees must be 0 to 89.9/],
  ['220 10m up 5 down 3', 1, 14, /“down” twice/],
  ['220 10m @25:00', 1, 10, /Expected a time/],
  ['220 10m @10:4', 1, 10, /Expected a time/],
  ['220 10m @9:00 @10:00', 1, 15, /“@” twice/],
  ['220 10m >', 1, 10, /Expected the name of a station/],
  ['220 10m > ; a note', 1, 11, /Expected the name of a station/],
  ['220T 10m', 1, 1, /a bearing from true north can’t be used/],
  ['220 10m back 40G', 1, 14, /a bearing from grid north can’t be used/],
  ['10 10m\nsee 20T ; hill', 2, 5, /a bearing from true north/],
  ['see 20', 1, 7, /Expected ; and what was seen/],
  ['see ; hill', 1, 5, /Expected a bearing/],
  ['at 40 ; spring', 1, 4, /belongs to a leg, and there/],
  ['10 10m\nat ; spring', 2, 4, /Expected a distance/],

  ['10 10m\nat 40 left 3', 2, 13, /Expected ; and what was seen/],
  ['from Camp', 1, 6, /No station is called “Camp”/],
  ['10 10m > Gauge 1\nfrom Guage 1', 2, 6, /Did you mean Gauge 1\?/],
  ['from', 1, 5, /Expected the name of a station/],
  ['10 10m\nform 1', 2, 1, /Did you mean from\?/],
  ['hello world', 1, 1, /Expected a leg such as/],
  ['read north', 1, 6, /Expected magnetic, true or grid/],
  ['show east', 1, 6, /Expected magnetic, true or grid/],
  ['aim eye', 1, 5, /Expected needle, landmark or sighted/],
  ['pace', 1, 5, /Expected a length of a pace/],
  ['pace 0 m', 1, 6, /pace must be more than 0/],
  ['pace 65', 1, 8, /Did you mean 65 per 100 m or 65 m\?/],
  ['pace 65 per 90 m', 1, 9, /Expected a length of a pace/],
  ['declination', 1, 12, /Expected none, model, or an angle/],
  ['declination 19.1', 1, 17, /Did you mean 19.1 E or 19.1 W\?/],
  ['declination -19.1', 1, 13, /Did you mean 19.1 W\?/],
  ['declination 181 W', 1, 13, /0 to 180; this is 181/],
  ["declination 2°61' W", 1, 13, /Minutes of arc must be 0 or more, less than 60/],
  ['declination 19 W in May', 1, 21, /Expected the year or month/],
  ['declination 19 W in 2009-13 change 1 E a year', 1, 21, /month must be 1 to 12/],
  ['declination 19 W in 2009', 1, 25, /Expected the annual change/],
  ['declination 19 W in 2009 change 9 a year', 1, 34, /Did you mean 9 E or 9 W\?/],
  ['declination model', 1, 1, /needs the position of the start/],
  ['convergence', 1, 12, /Expected model, an angle/],
  ['convergence model', 1, 1, /needs the position of the start/],
  ['date 2026-02-30', 1, 6, /Expected a day of the calendar/],
  ['date 14.8.2026', 1, 6, /not guessed. Did you mean 2026-08-14\?/],
  ['date 05/08/2026', 1, 6, /Did you mean 2026-08-05 or 2026-05-08\?/],
  ['date 31/02/2026', 1, 6, /not guessed/],
  ['date 2026-08-14 9', 1, 17, /Expected a time/],
  ['start', 1, 6, /Expected the name of a station/],
  ['start Dock at 95 10', 1, 15, /latitude must be -90 to 90; this is 95/],
  ['start Dock at 54 190', 1, 15, /longitude must be -180 to 180/],
  ['start Dock at 54', 1, 15, /Expected a latitude and a longitude/],
  ['start Dock at 54 10 20', 1, 15, /Expected a latitude and a longitude/],
  ['outing', 1, 7, /Expected the name of the outing/],
  ['outing A\nouting B', 2, 1, /only one “outing” line; it is .*line 1/],
  ['10 10m\ndate 2026-08-14\n  date 2026-08-15', 3, 3, /on line 2/],
  ['cairn-back log 2', 1, 12, /Expected cairn-back log 1/],
  ['10 10m\ncairn-back log 1', 2, 1, /Can’t read “cairn-back”/],
  ['10 10m > 2\n20 10m', 2, 1, /would be called 2/],
  [`10 10m > ${'x'.repeat(201)}`, 1, 10, /longer than 200/],
  [`10 10m ; ${'x'.repeat(2001)}`, 1, 9, /longer than 2000/],
];

describe('a log that can’t be read', () => {
  it('is tested with at least 40 examples', () => expect(ROWS.length).toBeGreaterThanOrEqual(40));

  it.each(ROWS)('%j: line %i, column %i', (text, line, column, says) => {
    const fault = faultOf(text);
    expect(fault).toMatchObject({ line, column });
    expect(fault!.message).toMatch(says);
  });

  it('has a fault for each line that can’t be read', () => {
    const log = readLog('220\n10 10m\n361 5m', 'x', null);
    expect(!log.ok && log.fault.map(({ line }) => line)).toEqual([1, 3]);
  });
});

/** Pieces that logs are made of, so that mutations come near to what is valid. */
const PIECES = [
  'cairn-back log 1',
  'outing ',
  'date 2026-08-14',
  'start Dock at 54.2 -63.5',
  'declination ',
  'none',
  'model',
  '19.1 W',
  "2°18' W",
  'convergence ',
  'read true',
  'show grid',
  'pace 65 per 100 m',
  'aim needle',
  '220',
  'S40W',
  'SSW',
  '3911mil',
  '244gon',
  'T',
  'G',
  '65p',
  '130s',
  '100m',
  '4min@3kmh',
  'back ',
  'up 12',
  'down ',
  '@10:42',
  '> Gauge 1',
  '; note',
  'from ',
  'Gauge 1',
  'at 40 left 12',
  'see 305',
  '\n',
  '\n',
  '\n',
  ' ',
  '\t',
  '\r',
  ';',
  '>',
  '@',
  '#',
  '0',
  '-',
  '.',
  ',',
  '°',
  '\u0000',
  '\uFEFF',
  '\u2028',
  '😀',
  '999999999999',
  'e9',
  'NaN',
  "'",
];

describe('fuzz', () => {
  it('100,000 mutated logs are read or refused at a line and a column, and never crash', () => {
    const next = uniform(41);
    let [accepted, refused] = [0, 0];
    for (let run = 0; run < 100_000; run++) {
      let text = '';
      const pieces = 1 + Math.floor(next() * 12);
      for (let i = 0; i < pieces; i++) {
        text += PIECES[Math.floor(next() * PIECES.length)]!;
        if (next() < 0.5) text += ' ';
      }
      if (next() < 0.3) {
        const at = Math.floor(next() * text.length);
        text =
          text.slice(0, at) + String.fromCharCode(Math.floor(next() * 256)) + text.slice(at + 1);
      }
      const log = readLog(text, 'x', null);
      if (log.ok) {
        accepted++;
        continue;
      }
      refused++;
      const { fault, line, column } = log.fault[0]!;
      if (faultMessage(fault).includes('undefined') || line < 1 || column < 1) {
        throw new Error(`${JSON.stringify(text)}: ${faultMessage(fault)}`);
      }
    }
    // The test is not empty: both outcomes come up many times.
    expect(accepted).toBeGreaterThan(2000);
    expect(refused).toBeGreaterThan(50_000);
  });
});
