import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { warningsOf } from '@/core/checks';
import { readLog } from '@/core/log-text/read-log';
import { earthModels } from '@/core/north/loaded-earth-models';
import { refusal } from '../../support/outings';

const DOCK = 'date 2026-08-14\nstart Dock at 54.2 -63.5\n';
const warnings = (text: string) => {
  const log = readLog(text, 'x', earthModels);
  if (!log.ok) throw new Error(JSON.stringify(log.fault));
  return warningsOf(log.value.solution, USUAL_FIGURES);
};
const codes = (text: string) => warnings(text).map(({ code }) => code);
const message = (text: string) => warnings(text)[0]!.message;

describe('the checks of the declination', () => {
  // The model says 19.15° W at the dock on that day (tests/published holds the model).
  it.each([
    ['declination 19.1 W', []],
    ['declination 20.0 W', []],
    ['declination 20.3 W', ['angle-disagrees']],
    ['declination 18.0 W', ['angle-disagrees']],
    ['declination 19.1 E', ['angle-disagrees']],
    ['declination model', []],
    ['declination none', []],
    ['declination 19.1 E\ncorrection left-out', ['angle-disagrees']],
    ["declination 20 W in 2017 change 6' E a year", []],
    ["declination 20 W in 2016-09 change 6' E a year", []],
    ["declination 20 W in 2016-08 change 6' E a year", ['angle-old']],
    ["declination 20 W in 2010 change 3' E a year", ['angle-old']],
    ["declination 20 E in 2010 change 3' W a year", ['angle-disagrees', 'angle-old']],
  ])('%s: %o', (line, expected) => {
    expect(codes(`${DOCK}${line}\n000 100m`)).toEqual(expected);
  });

  it('ask back where a dial that is set for the declination is said to read magnetic', () => {
    const set = `${DOCK}declination 19.1 W\ncorrection compass-set\n`;
    expect(codes(`${set}220 100m\nsee 040 ; hill`)).toEqual([]);
    expect(codes(`${set}read true\n220 100m`)).toEqual([]);
    expect(message(`${set}read magnetic\n220 100m\n300 50m`)).toMatch(
      /^The adjusted compass reads from true north, yet 2 bearings .* turned by 19\.1° W.* next/,
    );
    expect(codes(`${set}220M 100m`)).toEqual(['north-contradicts']);
    expect(codes(`${set}show magnetic\n220 100m`)).toEqual(['north-contradicts']);
    expect(codes(`${set.replace('compass-set', 'by-sum')}220 100m`)).toEqual([]);
    expect(codes(`${set}220M 100m\nright north-contradicts ; another compass`)).toEqual([]);
  });

  it('say when east and west are swapped, and only then', () => {
    expect(message(`${DOCK}declination 19.1 E`)).toMatch(/East and west swapped\?/);
    expect(message(`${DOCK}declination 25 W`)).not.toMatch(/swapped/);
    expect(message(`${DOCK}declination 25 W`)).toMatch(/25\.0° W.*19\.2° W.*5\.8° apart/);
  });

  it('compare only with a position, a day and a model', () => {
    expect(codes('date 2026-08-14\ndeclination 19.1 E')).toEqual([]);
    expect(codes('start Dock at 54.2 -63.5\ndeclination 19.1 E')).toEqual([]);
    const unloaded = readLog(`${DOCK}declination 19.1 E`, 'x', null);
    expect(unloaded.ok && warningsOf(unloaded.value.solution, USUAL_FIGURES)).toEqual([]);
  });

  it('name the window when the model is extrapolated, and refuse after five years', () => {
    const on = (day: string) => `date ${day}\nstart Dock at 54.2 -63.5\ndeclination model`;
    expect(codes(on('2029-11-01'))).toEqual([]);
    expect(codes(on('2031-01-01'))).toEqual(['model-outside-window']);
    expect(message(on('2031-01-01'))).toMatch(/2024-11-13 to 2029-11-13/);
    expect(codes(on('2013-01-01'))).toEqual(['model-outside-window']);
    expect(refusal(on('2035-01-01'), earthModels)?.fault).toMatchObject({
      code: 'model-out-of-window',
    });
    // A typed angle needs no model.
    expect(codes('date 2035-01-01\nstart Dock at 54.2 -63.5\ndeclination 5 E')).toEqual([]);
  });

  it('say where the compass is unreliable, and where it is of no use, whatever the method', () => {
    const at = (place: string) => `date 2026-08-14\nstart Camp at ${place}`;
    expect(codes(at('54.2 -63.5'))).toEqual([]);
    expect(codes(at('78 -95'))).toEqual(['far-north-compass']);
    expect(message(at('78 -95'))).toMatch(/is unreliable/);
    expect(codes(at('86 140'))).toEqual(['near-pole', 'far-north-compass']);
    expect(warnings(at('86 140'))[1]!.message).toMatch(/not to be used/);
    expect(codes(at('85 0'))).not.toContain('near-pole');
  });
});
