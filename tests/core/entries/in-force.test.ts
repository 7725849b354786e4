import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { describeEntry, writeEntry } from '@/core/entries/entry';
import { faultMessage } from '@/core/faults/messages';
import { readLine } from '@/core/log-text/read-line';
import { writeLog } from '@/core/log-text/write-log';
import { homeMeans } from '@/core/survey/home-means';
import { refusal, solvedLog } from '../../support/outings';

const canonical = (text: string): string => {
  const line = readLine(text);
  if (!line.ok || !('entry' in line.value)) throw new Error(text);
  return writeEntry(line.value.entry, 'magnetic');
};

describe('lines that hold from where they are', () => {
  it.each([
    ['home needle', 'home needle'],
    ['Home Landmark on heather ; tired', 'home landmark on heather ; tired'],
    ['home rough', 'home rough'],
    ['home sighted timed 3.5 km/h', 'home sighted timed 3.5 kmh'],
    ['home by the clock at 3 kmh', 'home timed 3 kmh'],
    ['compass mirror', 'compass mirror'],
    ['compass "Old, cracked"', 'compass "Old, cracked"'],
    ['pace 65 per 100 m spread 4% of 3 walks', 'pace 65 per 100 m spread 4% of 3 walks'],
    ['pace 65/100m ±4 % from 1 walk', 'pace 65 per 100 m spread 4% of 1 walk'],
  ])('%j is read, and written as %j', (text, written) => {
    expect(canonical(text)).toBe(written);
    expect(canonical(written)).toBe(written);
  });

  it.each([
    ['home', /how the walk home will be made/],
    ['home slowly', /how the walk home will be made/],
    ['home needle timed 4', /a speed with its unit/],
    ['home rough timed 4 kmh', /the end of the line/],
    ['compass', /the name of a compass/],
    ['pace 65 per 100 m spread 4% of 2.5 walks', /a whole number of walks/],
    ['pace 65 per 100 m spread 4% of 3', /a whole number of walks/],
    ['pace 65 per 100 m spread 4% of 0 walks', /A number of walks must be 1 to 1000/],
    ['errors luck 3', /an error and its one sigma/],
    ['errors paced 3', /an error and its one sigma/],
    ['errors needle 3, needle 4', /“needle” twice/],
    ['errors needle 300', /One sigma of an error must be 0 to 100/],
  ])('%j is refused', (text, expected) => {
    const found = refusal(text);
    expect(found && faultMessage(found.fault)).toMatch(expected);
  });

  it('say in words what they set', () => {
    const words = (text: string) => {
      const line = readLine(text);
      return line.ok && 'entry' in line.value ? describeEntry(line.value.entry, USUAL_FIGURES) : '';
    };
    expect(words('home needle on heather')).toBe(
      'On the way home you follow the compass alone, and you count paces on heather',
    );
    expect(words('home timed 3 kmh')).toBe('On the way home you go by the clock at 3 km/h');
    expect(words('compass mirror')).toBe('Compass from here: mirror');
    expect(words('pace 1.5 m spread 4% of 3 walks')).toMatch(/±4 % by 3 walks/);
  });

  it('the errors of an outing are one line of its header', () => {
    const { outing } = solvedLog('errors needle 3°, pace-length 5 %\n000 10m');
    expect(outing.errors?.sigmas).toHaveLength(2);
    expect(writeLog(outing)).toContain('errors needle 3, pace-length 5%\n');
  });
});

describe('how the walk home will be made', () => {
  const means = (text: string) => homeMeans(solvedLog(text).solution.end);

  it('is as at the end of the log where nothing is said, with the general pace', () => {
    expect(means('pace 2 m\naim needle\n000 10p\ncompass mirror')).toMatchObject({
      aim: 'needle',
      compass: 'mirror',
      distance: 'paced',
      paceMetres: 2,
      isSaid: false,
    });
  });

  it('is as the last home line says', () => {
    const text = 'pace 2 m\npace rough 1 m\n000 10p\nhome needle\nhome sighted on rough';
    expect(means(text)).toMatchObject({
      aim: 'sighted',
      ground: 'rough',
      paceMetres: 1,
      isSaid: true,
    });
  });

  it('is by the clock without a pace after a timed leg, and in metres without either', () => {
    const timed = means('000 5min@3kmh');
    expect(timed).toMatchObject({ distance: 'timed', kilometresPerHour: 3, paceMetres: null });
    expect(means('000 10m')).toMatchObject({ distance: 'measured', paceMetres: null });
    expect(means('pace 2 m\n000 5min@3kmh')).toMatchObject({ distance: 'paced' });
  });
});

describe('a line separator (U+2028) within a line', () => {
  it('ends nothing: what was struck out is kept whole', () => {
    const text = '000 10m\n  struck 2026-08-14T10:20:00.000Z | why | 220 65p ; a\u2028b';
    const { outing } = solvedLog(text);
    expect(outing.entries[1]).toMatchObject({ was: '220 65p ; a\u2028b' });
    expect(writeLog(outing)).toContain('a\u2028b');
  });
});
