import { magvar } from 'magvar';
import { forward } from 'mgrs';
import { describe, expect, it } from 'vitest';
import { signedDifference } from '@/core/units/angle';
import { declinationOverYears } from '@/core/north/declination-years';
import { earthModels } from '@/core/north/loaded-earth-models';
import { outingNorths } from '@/core/north/outing-norths';
import { utmBand, utmZone } from '@/core/place/utm-zone';
import { outingOf, solvedLog } from '../support/outings';
import { readLog } from '@/core/log-text/read-log';

const declination = (latitude: number, longitude: number, day: string) => {
  const found = earthModels.declination({ latitude, longitude }, day);
  if (!found.ok) throw new Error(found.fault.code);
  return found.value;
};

describe('the World Magnetic Model', () => {
  // Published test values of WMM2025 at 2025.0, sea level (NOAA/NCEI and BGS report, from memory;
  // the second implementation below checks the same points another way).
  it.each([
    [80, 0, 1.28],
    [0, 120, -0.16],
    [-80, 240, 68.78],
  ])('at %d, %d: %d', (latitude, longitude, expected) => {
    expect(
      declination(latitude, longitude - (longitude > 180 ? 360 : 0), '2025-01-01').eastDegrees,
    ).toBeCloseTo(expected, 1);
  });

  it.each(['2025-01-01', '2026-08-14', '2029-10-31'])(
    'agrees with a second implementation (package magvar) over the world on %s',
    (day) => {
      let compared = 0;
      const noon = new Date(`${day}T12:00:00Z`);
      for (let latitude = -85; latitude <= 85; latitude += 4.25) {
        for (let longitude = -180; longitude <= 180; longitude += 6) {
          const found = declination(latitude, longitude, day);
          if (found.horizontalNanotesla <= 6000) continue;
          const other = magvar(latitude, longitude, 0, noon);
          // The second one rounds to 0.01°, so half of that is its own.
          expect(Math.abs(signedDifference(found.eastDegrees, other))).toBeLessThan(0.01);
          compared++;
        }
      }
      expect(compared).toBeGreaterThan(2000);
    },
  );

  it('is continuous across the meridian of 180° and gives a figure at the poles', () => {
    for (const latitude of [-60, 0, 60]) {
      const [east, west] = [180, -180].map((longitude) =>
        declination(latitude, longitude, '2026-08-14'),
      );
      expect(east!.eastDegrees).toBeCloseTo(west!.eastDegrees, 9);
    }
    for (const latitude of [90, -90]) {
      const { eastDegrees, horizontalNanotesla } = declination(latitude, 0, '2026-08-14');
      expect(eastDegrees > -180 && eastDegrees <= 180).toBe(true);
      expect(horizontalNanotesla).toBeGreaterThan(0);
    }
  });

  it('changes in a year by what it says', () => {
    const [before, on, after] = ['2026-02-13', '2026-08-14', '2027-02-13'].map((day) =>
      declination(54.2, -63.5, day),
    );
    const change = after!.eastDegrees - before!.eastDegrees;
    expect(on!.changePerYearDegrees).toBeCloseTo(change, 2);
    expect(on!.changePerYearDegrees).toBeGreaterThan(0.15);
  });

  it('draws its years without a gap or a jump, from the first model to the last', () => {
    const points = declinationOverYears({ latitude: 54.2, longitude: -63.5 }, earthModels);
    expect(points[0]!.day).toBe(earthModels.reach.from);
    expect(points.at(-1)!.day).toBe(earthModels.reach.until);
    expect(points.length).toBeGreaterThan(28);
    for (let i = 1; i < points.length; i++) {
      const step = Math.abs(points[i]!.eastDegrees - points[i - 1]!.eastDegrees);
      expect(step).toBeLessThan(0.4);
      expect(points[i]!.sigmaDegrees).toBeGreaterThan(0.26);
    }
  });

  it('refuses a date outside its window, and names the window', () => {
    const late = earthModels.declination({ latitude: 54.2, longitude: -63.5 }, '2045-01-01');
    expect(!late.ok && late.fault).toMatchObject({ code: 'model-out-of-window' });
  });
});

/**
 * Convergence of a transverse Mercator grid by the series on the ellipsoid (Redfearn 1948, in the
 * form of Ordnance Survey, A guide to coordinate systems in Great Britain, annexe C; memory),
 * WGS84. Degrees, east positive.
 */
function closedConvergence(latitude: number, longitude: number, meridian: number): number {
  const degree = Math.PI / 180;
  const phi = latitude * degree;
  const p = (((longitude - meridian + 540) % 360) - 180) * degree;
  const [sine, cosine] = [Math.sin(phi), Math.cos(phi)];
  const flattening = 1 / 298.257223563;
  const secondEccentricity = (flattening * (2 - flattening)) / (1 - flattening) ** 2;
  const n = secondEccentricity * cosine ** 2;
  const t = Math.tan(phi) ** 2;
  const gamma =
    p * sine +
    ((p ** 3 * sine * cosine ** 2) / 3) * (1 + 3 * n + 2 * n ** 2) +
    ((p ** 5 * sine * cosine ** 4) / 15) * (2 - t);
  return gamma / degree;
}

describe('convergence of the UTM grid', () => {
  it('follows the closed formula, both hemispheres, east and west, across ±180°', () => {
    let compared = 0;
    for (let latitude = -79.5; latitude < 84; latitude += 3.1) {
      for (let longitude = -180; longitude < 180; longitude += 7.3) {
        const meridian = utmZone({ latitude, longitude }) * 6 - 183;
        const found = earthModels.convergence({ latitude, longitude });
        const closed = closedConvergence(latitude, longitude, meridian);
        expect(found.ok && Math.abs(found.value - closed)).toBeLessThan(0.0005);
        compared++;
      }
    }
    expect(compared).toBeGreaterThan(2500);
    expect(earthModels.convergence({ latitude: 86, longitude: 0 }).ok).toBe(false);
  });

  it('uses the zones that maps use: as the package mgrs has them', () => {
    for (let latitude = -79; latitude < 84; latitude += 1.7) {
      for (let longitude = -179.9; longitude < 180; longitude += 1.9) {
        const square = forward([longitude, latitude], 1);
        const expected = /^(\d+)([A-Z])/.exec(square)!;
        expect(utmZone({ latitude, longitude })).toBe(Number(expected[1]));
        expect(utmBand(latitude)).toBe(expected[2]);
      }
    }
    expect(utmBand(84.5)).toBeNull();
    expect(utmZone({ latitude: 0, longitude: 180 })).toBe(60);
  });

  it('takes another projection: on a polar stereographic map it is the longitude', () => {
    // Snyder, Map Projections: A Working Manual, 1987, 21: polar convergence = λ - λ0 (memory).
    const polar = '+proj=stere +lat_0=90 +lon_0=-45 +datum=WGS84';
    for (const longitude of [-120, -45, 0, 70]) {
      const found = earthModels.convergence({ latitude: 75, longitude }, polar);
      expect(found.ok && found.value).toBeCloseTo(longitude + 45, 4);
    }
    expect(earthModels.convergence({ latitude: 75, longitude: 0 }, '+proj=nosuch').ok).toBe(false);
  });
});

describe('an outing that asks for a model', () => {
  const text =
    'date 2026-08-14\nstart Dock at 54.2 -63.5\ndeclination model\nconvergence model\n220 100m\n';

  it('gets it when it is loaded, and says so when it is not', () => {
    const log = readLog(text, 'x', earthModels);
    expect(log.ok && log.value.solution.places.frame.norths.declinationEast).toBeCloseTo(-19.15, 1);
    expect(
      log.ok && log.value.solution.places.frame.norths.declinationSigmaDegrees,
    ).toBeGreaterThan(0.26);
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
    const placeless = outingNorths(outingOf([], { convergence: { source: 'model' } }), earthModels);
    expect(!placeless.ok && placeless.fault).toMatchObject({ header: 'convergence' });
  });

  it('takes a margin’s change, and a typed convergence', () => {
    const { solution } = solvedLog(
      [
        'date 2020-07-01',
        "declination 2°18' W in 2009-07 change 9' E a year",
        'convergence 1.5 E',
        '100G 10m',
      ].join('\n'),
    );
    expect(solution.places.frame.norths.declinationEast! * 60).toBeCloseTo(-39, 1);
    expect(solution.legs.leg(1).bearingDegrees).toBeCloseTo(101.5, 9);
  });
});
