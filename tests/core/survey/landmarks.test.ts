import { suggestedReadings } from '@/core/faults/messages';
import { describe, expect, it } from 'vitest';
import { landmarkPlaces } from '@/core/survey/landmarks';
import { vectorBetween } from '@/core/units/plane';
import { radians } from '@/core/units/units';
import { writeLog } from '@/core/log-text/write-log';
import { wayHome } from '@/core/navigation/ways/way';
import { refusal, solvedLog } from '../../support/outings';
import { randomSource } from '../../support/walks/random-source';

describe('landmarks', () => {
  it('sighted from two stations are where the lines of sight cross, with an uncertainty', () => {
    const { solution } = solvedLog('see 045 rock ; Summit\n090 100m\nsee 315 ; summit');
    const [summit] = landmarkPlaces(solution);
    expect(summit).toMatchObject({ name: 'Summit', kind: 'rock' });
    expect(summit!.place!.east).toBeCloseTo(50, 9);
    expect(summit!.place!.north).toBeCloseTo(50, 9);
    // Each sighting has 2° over 70.7 m across it; the second station's own error is added.
    const across = (50 * Math.SQRT2 * Math.PI) / 90;
    const least = Math.sqrt(-2 * Math.log(0.05)) * across;
    expect(summit!.place!.uncertainty.semiMinorMetres).toBeGreaterThan(0.99 * least);
    expect(summit!.place!.uncertainty.semiMajorMetres).toBeLessThan(2.1 * least);
  });

  it('sighted three times are where the squares are least', () => {
    const { solution } = solvedLog(
      'see 045 ; hill\n090 100m\nsee 316 ; hill\n180 50m\nsee 333 ; hill',
    );
    const { place, sightings } = landmarkPlaces(solution)[0]!;
    expect(sightings).toHaveLength(3);
    for (const { station, bearingDegrees } of sightings) {
      const b = radians(bearingDegrees);
      const { east, north } = vectorBetween(solution.places.at(station), place!);
      const off = east * Math.cos(b) - north * Math.sin(b);
      expect(Math.abs(off)).toBeLessThan(3);
    }
  });

  it('have no place from one sighting, on one line, where lines part, or from one station', () => {
    for (const text of [
      'see 045 ; hill',
      'see 000 ; hill\n090 10m\nsee 001 ; hill',
      'see 045 ; hill\n090 100m\nsee 135 ; hill',
      'see 045 ; hill\nsee 315 ; hill',
    ]) {
      expect(landmarkPlaces(solvedLog(text).solution)[0]!.place).toBeNull();
    }
  });

  // Another program walks and sights: the true way is fixed, what is logged is off by its errors.
  it.each([
    ['two sightings from one leg', [[90, 400]], [0, 1]],
    [
      'two from far along the same way',
      [
        [90, 300],
        [60, 250],
        [100, 300],
      ],
      [2, 3],
    ],
    [
      'four, round a hill',
      [
        [90, 300],
        [20, 300],
        [300, 250],
      ],
      [0, 1, 2, 3],
    ],
  ] as const)('%s: the stated ellipse holds 94 to 96 %%', (_name, legs, from) => {
    const summit = [320, 420] as const;
    const degree = Math.PI / 180;
    const { normal } = randomSource(17);
    const trials = 8000;
    let inside = 0;
    const written = (b: number) => (((b % 360) + 360) % 360).toFixed(3);
    for (let trial = 0; trial < trials; trial++) {
      const [compass, pace] = [1.5 * normal(), 0.04 * normal()];
      let [x, y] = [0, 0];
      const see = (station: number) => {
        if (!(from as readonly number[]).includes(station)) return [];
        const b = Math.atan2(summit[0] - x, summit[1] - y) / degree;
        return [`see ${written(b - compass - 2 * normal())} ; Summit`];
      };
      const lines = [...see(0)];
      for (const [index, [b, d]] of legs.entries()) {
        x += d * Math.sin(b * degree);
        y += d * Math.cos(b * degree);
        const count = d * (1 - pace - 0.05 * normal());
        lines.push(
          `${written(b - compass - 2 * normal())} ${count.toFixed(3)}p`,
          ...see(index + 1),
        );
      }
      const { place } = landmarkPlaces(solvedLog(`pace 1 m\n${lines.join('\n')}`).solution)[0]!;
      if (!place) continue;
      const { semiMajorMetres: a, semiMinorMetres: b, azimuthDegrees } = place.uncertainty;
      const [u, v] = [Math.sin(azimuthDegrees * degree), Math.cos(azimuthDegrees * degree)];
      const [dx, dy] = [summit[0] - place.east, summit[1] - place.north];
      if (((dx * u + dy * v) / a) ** 2 + ((dx * v - dy * u) / b) ** 2 <= 1) inside++;
    }
    expect(inside / trials).toBeGreaterThan(0.94);
    expect(inside / trials).toBeLessThan(0.96);
  });

  it('of many sightings to one name takes some that are spread over their directions', () => {
    const lines = Array.from({ length: 60 }, () => 'see 330 ; hill\n045 5m');
    const { solution } = solvedLog(['see 010 ; hill', '090 200m', ...lines].join('\n'));
    const [hill] = landmarkPlaces(solution);
    expect(hill!.sightings).toHaveLength(61);
    expect(hill!.place).not.toBeNull();
  });

  it('are sighted from an earlier station where the line says so, and nobody moves', () => {
    const there = solvedLog('000 100m > Hut\nsee 045 ; summit\n090 100m\nsee 315 ; summit');
    const later = solvedLog(
      '000 100m > Hut\n090 100m\nsee 045 from hut ; summit\nsee 315 ; summit',
    );
    expect(landmarkPlaces(later.solution)[0]!.place).toMatchObject({
      east: landmarkPlaces(there.solution)[0]!.place!.east,
      north: landmarkPlaces(there.solution)[0]!.place!.north,
    });
    // The way home is from where one stands.
    expect(later.solution.current).toBe(2);
    expect(wayHome(later.solution)).toEqual(wayHome(there.solution));
    expect(writeLog(later.outing)).toContain('\n  see 045 from hut ; summit\n');
    const refused = refusal('000 100m > Hut\nsee 045 from Nut ; summit');
    expect(refused).toMatchObject({ fault: { code: 'unknown-station', name: 'Nut' } });
    expect(refused && suggestedReadings(refused.fault)).toEqual(['Hut']);
  });

  it('are one whatever the spaces in their names, and as sure as in a fix', () => {
    const log =
      'aim needle\n000 100m > Hut\nsee 045 ; Bald summit\n090 100m\nsee 315 ; bald  Summit';
    const found = landmarkPlaces(solvedLog(log).solution);
    expect(found.map(({ sightings }) => sightings.length)).toEqual([2]);
    // A fix takes a bearing to a mark as one of a mark; a landmark took it as of the needle: twice.
    const means = found[0]!.sightings.map(({ walked }) => walked.means.aim);
    expect(means).toEqual(['landmark', 'landmark']);
  });
});
