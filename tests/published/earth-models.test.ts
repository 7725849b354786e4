import { magvar } from 'magvar';
import { describe, expect, it } from 'vitest';
import { earthModels } from '@/core/earth-models-loaded';
import { northsOf } from '@/core/norths-of';
import { outingOf, solvedLog } from '../support/outings';
import { readLog } from '@/core/log-text/read-log';

const declination = (latitude: number, longitude: number, day: string) => {
  const found = earthModels.declination({ latitude, longitude }, day);
  if (!found.ok) throw new Error(found.fault.code);
  return found.value;
};

describe('the World Magnetic Model', () => {
  // Published test values of WMM2025 at 2025.0, sea level (NOAA/NCEI and BGS report, quoted from memory; the
  // second implementation below checks the same points another way).
  it.each([
    [80, 0, 1.28],
    [0, 120, -0.16],
    [-80, 240, 68.78],
  ])('at %d, %d: %d', (latitude, longitude, expected) => {
    expect(
      declination(latitude, longitude - (longitude > 180 ? 360 : 0), '2025-01-01').eastDegrees,
    ).toBeCloseTo(expected, 1);
  });

  it('agrees with a second implementation (package magvar) over a coarse world grid', () => {
    let compared = 0;
    for (let latitude = -60; latitude <= 60; latitude += 15) {
      for (let longitude = -180; longitude < 180; longitude += 20) {
        const { eastDegrees, horizontalNanotesla } = declination(latitude, longitude, '2026-08-14');
        if (horizontalNanotesla < 6000) continue;
        const other = magvar(latitude, longitude, 0, new Date('2026-08-14T12:00:00Z'));
        expect(Math.abs(((eastDegrees - other + 540) % 360) - 180)).toBeLessThan(0.02);
        compared++;
      }
    }
    expect(compared).toBeGreaterThan(120);
  });

  it('refuses a date outside its window, and names the window', () => {
    const late = earthModels.declination({ latitude: 54.2, longitude: -63.5 }, '2045-01-01');
    expect(!late.ok && late.fault).toMatchObject({ code: 'model-out-of-window' });
  });
});

describe('convergence of the UTM grid', () => {
  it('follows tan C = tan(λ - λ0)·sin φ (the sphere’s form: Snyder 1987, eq. 8-14 in essence; memory)', () => {
    for (const [latitude, longitude] of [
      [54.2, -63.5],
      [-33, 151.2],
      [70, 24],
      [5, -177.2],
    ] as const) {
      const meridian = Math.floor((longitude + 180) / 6) * 6 - 177;
      const degree = Math.PI / 180;
      const closed =
        Math.atan(Math.tan((longitude - meridian) * degree) * Math.sin(latitude * degree)) / degree;
      const found = earthModels.convergence({ latitude, longitude });
      expect(found.ok && Math.abs(found.value - closed)).toBeLessThan(0.005);
    }
    expect(earthModels.convergence({ latitude: 86, longitude: 0 }).ok).toBe(false);
  });
});

describe('an outing that asks for a model', () => {
  const text =
    'date 2026-08-14\nstart Dock at 54.2 -63.5\ndeclination model\nconvergence model\n220 100m\n';

  it('gets it when it is loaded, and says so when it is not', () => {
    const log = readLog(text, 'x', earthModels);
    expect(log.ok && log.value.solution.norths.declinationEast).toBeCloseTo(-19.15, 1);
    expect(log.ok && log.value.solution.norths.declinationSigmaDegrees).toBeGreaterThan(0.26);
    const without = readLog(text, 'x', null);
    expect(!without.ok && without.fault[0]).toMatchObject({
      fault: { code: 'model-not-loaded' },
      line: 3,
    });
  });

  it('needs a date, and a position for the grid', () => {
    const undated = readLog(text.replace('date 2026-08-14\n', ''), 'x', earthModels);
    expect(!undated.ok && undated.fault[0]).toMatchObject({
      fault: { code: 'model-needs', what: 'date' },
    });
    const placeless = northsOf(outingOf([], { convergence: { source: 'model' } }), earthModels);
    expect(!placeless.ok && placeless.fault).toMatchObject({ header: 'convergence' });
  });

  it('takes a margin’s change, and a typed convergence', () => {
    const { solution } = solvedLog(
      "date 2020-07-01\ndeclination 2°18' W in 2009-07 change 9' E a year\nconvergence 1.5 E\n100G 10m",
    );
    expect(solution.norths.declinationEast! * 60).toBeCloseTo(-39, 1);
    expect(solution.traverse.bearingDegrees[1]).toBeCloseTo(101.5, 9);
  });
});
