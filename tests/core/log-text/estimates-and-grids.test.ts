import { describe, expect, it } from 'vitest';
import { readLog } from '@/core/log-text/read-log';
import { writeLog } from '@/core/log-text/write-log';
import { earthModels } from '@/core/north/loaded-earth-models';
import { solvedLog } from '../../support/outings';

describe('a distance that was estimated', () => {
  const variance = (line: string) =>
    solvedLog(`pace 65 per 100 m\n${line}`).solution.legs.leg(1).alongVariance;

  it.each(['100m', '65p', '4min@3kmh'])(
    '%s has four times its variance, and its metres',
    (text) => {
      expect(variance(`220 ~${text}`) / variance(`220 ${text}`)).toBeCloseTo(4, 12);
      const walked = (line: string) =>
        solvedLog(`pace 65 per 100 m\n${line}`).solution.walkedMetres;
      expect(walked(`220 about ${text}`)).toBe(walked(`220 ${text}`));
    },
  );

  it('makes no other leg less sure', () => {
    const { legs } = solvedLog('220 ~100m\n220 100m\n220 ~100m\n220 100m').solution;
    const all = [...legs].map(({ alongVariance }) => alongVariance);
    expect(all[0]).toBe(all[2]);
    expect(all[1]).toBe(all[3]);
    expect(all[0]! / all[1]!).toBeCloseTo(4, 12);
  });
});

describe('a national grid in a log', () => {
  const withModels = (text: string) => {
    const read = readLog(text, 'test', earthModels);
    if (!read.ok) throw new Error(JSON.stringify(read.fault));
    return read.value;
  };

  // Degrees: PROJ 9.1.1 of the middle of the square, to 1e-7 degrees.
  it.each([
    ['start Wall at SD 805 660', 'start Wall at 54.0899849 -2.2988488'],
    ['start Wall, SD80506605', 'start Wall at 54.0900281 -2.2995371'],
    ['start Wall at H 163 739', 'start Wall at 54.6135047 -7.7476917'],
    ['start Hut at LV95 2643013 1161124', 'start Hut at 46.5999974 7.9999965'],
  ])('%s', (written, canonical) => {
    const text = writeLog(solvedLog(written).outing);
    expect(text).toContain(`${canonical}\n`);
    expect(writeLog(solvedLog(text).outing)).toBe(text);
  });

  it('is the grid of the map by its name: its convergence, read back by the same name', () => {
    const log = 'start Wall at 54 0\ndeclination 1 W\nconvergence British\nshow grid\n';
    const { outing, solution } = withModels(log);
    // Grid north of the British grid is (longitude + 2) × sin(latitude) east of true: 1.62°.
    expect(solution.places.frame.norths.convergenceEast).toBeCloseTo(1.62, 2);
    expect(writeLog(outing)).toContain('convergence british\n');
    const utm = withModels('start A at 54 0\nconvergence UTM\n').outing;
    expect(writeLog(utm)).toContain('convergence model\n');
  });
});
