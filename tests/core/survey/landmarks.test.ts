import { describe, expect, it } from 'vitest';
import { landmarkPlaces } from '@/core/survey/landmarks';
import { vectorBetween } from '@/core/units/plane';
import { radians } from '@/core/units/units';
import { solvedLog } from '../../support/outings';

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
});
