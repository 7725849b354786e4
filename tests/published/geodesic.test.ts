import geodesic from 'geographiclib-geodesic';
import { describe, expect, it } from 'vitest';
import { signedDifference } from '@/core/units/angle';
import { way } from '@/core/navigation/ways/way';
import { positionOfStation } from '@/core/survey/positions';
import { leg, outingOf, solved } from '../support/outings';
import { uniform } from '@/core/errors/random';

/**
 * The plane against geodesics on the WGS84 ellipsoid. Source: C. F. F. Karney, Algorithms for
 * geodesics, Journal of Geodesy 87, 2013, 43-55, in the package geographiclib-geodesic.
 */
const { WGS84 } = geodesic.Geodesic;

interface Walk {
  readonly latitude: number;
  readonly legs: readonly [bearing: number, metres: number][];
}

/** A walk leg by leg over the ellipsoid: where it ends, and the geodesic straight back. */
function onEllipsoid({ latitude, legs }: Walk, longitude: number) {
  let here = { lat: latitude, lon: longitude };
  for (const [bearing, metres] of legs) {
    const end = WGS84.Direct(here.lat, here.lon, bearing, metres);
    here = { lat: end.lat2!, lon: end.lon2! };
  }
  const back = WGS84.Inverse(here.lat, here.lon, latitude, longitude);
  return { here, bearing: (back.azi1! + 360) % 360, metres: back.s12! };
}

function onPlane({ latitude, legs }: Walk, longitude: number) {
  const solution = solved(
    outingOf(
      legs.map(([b, d]) => leg(b, d, { bearing: { unit: 'degrees', value: b, north: 'true' } })),
      {
        declination: { source: 'typed', angle: { degrees: 19.1, toward: 'W' } },
        start: { name: 'Dock', position: { latitude, longitude } },
      },
    ),
  );
  const home = way(solution, solution.current, 0);
  return { solution, bearing: home.bearing.true!, metres: home.distanceMetres };
}

/** Walks that end at least this far from their start, so that a bearing home means something. */
function walks(count: number, seed: number, mostLegs: number, mostMetres: number): Walk[] {
  const next = uniform(seed);
  return Array.from({ length: count }, () => ({
    latitude: -70 + 140 * next(),
    legs: Array.from(
      { length: 2 + Math.floor(next() * mostLegs) },
      () => [Math.floor(next() * 360), 20 + Math.floor(next() * mostMetres)] as [number, number],
    ),
  }));
}

describe('traverse and way home against geodesics leg by leg', () => {
  it('short walks, |latitude| up to 70: within 0.1° and 0.1 %', () => {
    let [compared, worstAngle, worstShare] = [0, 0, 0];
    for (const walk of walks(400, 5, 12, 400)) {
      const [plane, ellipsoid] = [onPlane(walk, -63.5), onEllipsoid(walk, -63.5)];
      if (ellipsoid.metres < 100) continue;
      compared++;
      worstAngle = Math.max(
        worstAngle,
        Math.abs(signedDifference(ellipsoid.bearing, plane.bearing)),
      );
      worstShare = Math.max(worstShare, Math.abs(plane.metres / ellipsoid.metres - 1));
    }
    expect(compared).toBeGreaterThan(300);
    expect(worstAngle).toBeLessThan(0.1);
    expect(worstShare).toBeLessThan(0.001);
  });

  it('a station’s position is within 1 m of the geodesic one for each kilometre walked', () => {
    for (const walk of walks(100, 6, 12, 400)) {
      const { solution } = onPlane(walk, -63.5);
      const place = positionOfStation(solution.places, solution.current)!;
      const { here } = onEllipsoid(walk, -63.5);
      const off = WGS84.Inverse(place.latitude, place.longitude, here.lat, here.lon).s12!;
      expect(off / solution.walkedMetres).toBeLessThan(0.001);
    }
  });

  // The plane takes true north as parallel; it turns by e·tan(latitude)/R over e metres east. Legs
  // east and then north are the worst case.
  it.each([
    [54.2, -63.5, 4, 0.1, 0.001],
    [70, -179.99, 4, 0.1, 0.001],
    [-70, 179.99, 4, 0.1, 0.001],
    [54.2, -63.5, 20, 0.1, 0.002],
    [70, -179.99, 20, 0.2, 0.0035],
  ])(
    'at %d, %d, %d km out: within %d° and a share of %d',
    (latitude, longitude, km, angle, share) => {
      const side = (km * 1000) / Math.SQRT2;
      const legs: Walk['legs'] = [
        [90, side],
        [0, side],
      ];
      const walk = { latitude, legs };
      const [plane, ellipsoid] = [onPlane(walk, longitude), onEllipsoid(walk, longitude)];
      expect(Math.abs(signedDifference(ellipsoid.bearing, plane.bearing))).toBeLessThan(angle);
      expect(Math.abs(plane.metres / ellipsoid.metres - 1)).toBeLessThan(share);
    },
  );

  it('there is no position without one at the start, or without a declination', () => {
    const blind = solved(
      outingOf([leg(90, 100)], { start: { name: 'A', position: { latitude: 1, longitude: 2 } } }),
    );
    expect(positionOfStation(blind.places, 1)).toBeNull();
  });
});
