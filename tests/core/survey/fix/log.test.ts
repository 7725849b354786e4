import { USUAL_FIGURES } from '@/core/units/figures';
import geodesic from 'geographiclib-geodesic';
import { describe, expect, it } from 'vitest';
import { totalVariance } from '@/core/errors/covariance';
import { warningsOf } from '@/core/checks';
import { writeLog } from '@/core/log-text/write-log';
import { logbookOf } from '@/core/model/logbook';
import { landmarkPlaces } from '@/core/survey/landmarks';
import { geoJsonFormat } from '@/formats/geojson';
import { positionOfStation } from '@/core/survey/positions';
import { logFixes } from '@/core/survey/fix/log-fix';
import { startByFix } from '@/core/survey/fix/pin';
import { refusal, solvedLog } from '../../../support/outings';

const { WGS84 } = geodesic.Geodesic;
const DOCK = { latitude: 54.2, longitude: -63.5 };

const from = (azimuth: number, metres: number, at = DOCK) => {
  const end = WGS84.Direct(at.latitude, at.longitude, azimuth, metres);
  return { latitude: end.lat2!, longitude: end.lon2! };
};
const at = ({ latitude, longitude }: typeof DOCK) =>
  `${latitude.toFixed(7)} ${longitude.toFixed(7)}`;
const apart = (a: typeof DOCK, b: typeof DOCK) =>
  WGS84.Inverse(a.latitude, a.longitude, b.latitude, b.longitude).s12!;

describe('known places in a log', () => {
  it.each([
    ['known Church at 54.2 -63.5', 'known Church at 54.2 -63.5'],
    [
      'known Bald Hill at 54°12′ N 63°30′ W within 100 m ; 612 m high',
      'known Bald Hill at 54.2 -63.5 within 100m ; 612 m high',
    ],
    ['KNOWN "Spot at 612" at 54.2 -63.5', 'known "Spot at 612" at 54.2 -63.5'],
    // By a grid: in degrees, as finely as it was read.
    ['known Mast at 20U 467383 6005890', 'known Mast at 54.200004 -63.4999948 within 1m'],
    ['known Wall at SD 805 660', 'known Wall at 54.0899849 -2.2988488 within 100m'],
    ['known Wall (SD 80541 66050)', 'known Wall at 54.0899891 -2.2989788 within 5m'],
    ['see 305 back ; Church', '  see 305 back ; Church'],
    ['see 305 back rock ; Church', '  see 305 back rock ; Church'],
  ])('%s', (written, canonical) => {
    const lines = writeLog(solvedLog(written).outing).trim().split('\n');
    const last = lines.at(-1)!;
    expect(last).toBe(canonical);
    // What was written reads back as the same.
    expect(
      writeLog(solvedLog(lines.join('\n')).outing)
        .trim()
        .split('\n')
        .at(-1),
    ).toBe(last);
  });

  it.each([
    ['known Church', 'unexpected'],
    ['known', 'unexpected'],
    ['known at 54.2 -63.5', 'unexpected'],
    ['known Church at 95 -63.5', 'out-of-range'],
    ['known Church at 54.2 -63.5 within 0 m', 'out-of-range'],
    ['known Mast at 20S 467383 6005890', 'wrong-band'],
    ['known Wall at HA 805 660', 'outside-grid'],
  ])('refuse %s', (line, code) => expect(refusal(line)!.fault.code).toBe(code));

  it('keep a log that reads as before: a note may say that something is known', () => {
    expect(writeLog(solvedLog('220 65m well known spot').outing)).toMatch(/; well known spot/);
  });
});

describe('a fix in a log', () => {
  const [hill, mast, church] = [from(20, 3000), from(110, 2500), from(250, 4000)];
  const marks = [`known Hill at ${at(hill)}`, `known Mast at ${at(mast)}`];

  it('pins an outing whose start nobody knew', () => {
    const log = ['declination 10 E', ...marks, 'see 010 ; hill', 'see 100 ; Mast', '080 200m'];
    const { solution } = solvedLog(log.join('\n'));
    expect(apart(positionOfStation(solution.places, 0)!, DOCK)).toBeLessThan(0.1);
    expect(apart(positionOfStation(solution.places, 1)!, from(90, 200))).toBeLessThan(0.1);
  });

  it('is had with the legs between two sightings of one place', () => {
    const there = from(90, 800);
    const toHill = WGS84.Inverse(
      there.latitude,
      there.longitude,
      hill.latitude,
      hill.longitude,
    ).azi1!;
    const log = [
      'declination 0 E',
      `known Hill at ${at(hill)}`,
      'see 020 ; Hill',
      '090 800m',
      `see ${((toHill + 360) % 360).toFixed(4)} ; Hill`,
    ];
    const { solution } = solvedLog(log.join('\n'));
    const pin = startByFix(solution)!;
    // The plane of a log leaves out that meridians converge: 0.01° over this leg.
    expect(apart(pin.position, DOCK)).toBeLessThan(3);
    // What the leg may be off by is in the ellipse: a leg with a tape leaves less.
    const taped = solvedLog(['errors measured 0.1%', ...log].join('\n')).solution;
    const tape = startByFix(taped)!;
    expect(tape.fix.ellipse.semiMajorMetres).toBeLessThan(pin.fix.ellipse.semiMajorMetres);
  });

  it('pins a log by a station that is on the map', () => {
    const log = ['declination 0 E', '090 200m', '000 100m > Ford', `known ford at ${at(church)}`];
    const { solution } = solvedLog(log.join('\n'));
    const ford = positionOfStation(solution.places, 2)!;
    expect(apart(ford, church)).toBeLessThan(0.1);
    const start = positionOfStation(solution.places, 0)!;
    expect(apart(from(90, 200, start), from(180, 100, church))).toBeLessThan(0.1);
  });

  it('is compared with dead reckoning, and told where the errors do not explain it', () => {
    const there = from(90, 1000);
    const see = (place: typeof DOCK, name: string) => {
      const line = WGS84.Inverse(there.latitude, there.longitude, place.latitude, place.longitude);
      return `see ${((line.azi1! + 360) % 360).toFixed(1)} ; ${name}`;
    };
    const log = (leg: string) =>
      solvedLog(
        [
          `start Dock at ${at(DOCK)}`,
          'declination 0 E',
          ...marks,
          leg,
          see(hill, 'Hill'),
          see(mast, 'Mast'),
        ].join('\n'),
      ).solution;
    const near = logFixes(log('090 1040m'))[0]!;
    expect(near.station).toBe(1);
    expect(near.reckoned!.apartMetres).toBeCloseTo(40, -1);
    expect(near.reckoned!.asExpected).toBe(true);
    const far = log('130 1000m');
    expect(logFixes(far)[0]!.reckoned!.asExpected).toBe(false);
    const said = warningsOf(far, USUAL_FIGURES).filter(({ code }) => code === 'fix-disagrees');
    expect(said).toHaveLength(1);
    expect(said[0]!.at).toEqual({ entry: 4 });
    expect(said[0]!.message).toMatch(/^Dead reckoning and the fix at 1 are 6\d\d m apart: more/);
    expect(warningsOf(log('090 1040m'), USUAL_FIGURES).map(({ code }) => code)).not.toContain(
      'fix-disagrees',
    );
  });

  it('takes the declination of its known place, where the start has none', () => {
    expect(refusal('declination 3 W\nknown Hill at 54.2 -63.5')).toBeNull();
    expect(
      refusal('date 2026-08-14\ndeclination model\nknown Hill at 54.2 -63.5')!.fault.code,
    ).toBe('model-not-loaded');
    expect(refusal('date 2026-08-14\ndeclination model')!.fault.code).toBe('model-needs');
  });
});

describe('an adjusted outing that knows places', () => {
  it('is drawn to them by its sightings, and by as much as both are worth', () => {
    const there = from(90, 1000);
    const [hill, mast] = [from(20, 3000), from(150, 2500)];
    const see = (place: typeof DOCK, name: string) => {
      const line = WGS84.Inverse(there.latitude, there.longitude, place.latitude, place.longitude);
      return `see ${((line.azi1! + 360) % 360).toFixed(3)} ; ${name}`;
    };
    const log = (method: string) =>
      solvedLog(
        [
          `start Dock at ${at(DOCK)}`,
          'declination 0 E',
          `adjust ${method}`,
          `known Hill at ${at(hill)}`,
          `known Mast at ${at(mast)}`,
          'errors measured 10%',
          'aim sighted',
          '090 1150m',
          see(hill, 'hill'),
          see(mast, 'Mast'),
        ].join('\n'),
      ).solution;
    const off = (solution: ReturnType<typeof log>) =>
      apart(positionOfStation(solution.places, 1)!, there);
    expect(off(log('as-walked'))).toBeCloseTo(150, 0);
    expect(off(log('least-squares'))).toBeLessThan(50);
    const spread = ({ places }: ReturnType<typeof log>) =>
      totalVariance(places.relative(0, 1).covariance);
    expect(spread(log('least-squares'))).toBeLessThan(spread(log('as-walked')));
  });
});

describe('what knows where an outing is', () => {
  const log = [
    'declination 10 E',
    `known Hill at ${at(from(20, 3000))}`,
    `known Mast at ${at(from(110, 2500))}`,
    'see 010 ; hill',
    'see 100 ; Mast',
    '080 200m > Ford',
  ].join('\n');

  it('gives positions to its exports, though its start had none', () => {
    const { outing } = solvedLog(log);
    const logbook = logbookOf([outing], '2026-08-14T10:00:00Z');
    const written = geoJsonFormat.write(logbook, null);
    if (!written.ok) throw new Error(JSON.stringify(written.fault));
    const { features } = JSON.parse(written.value as string) as {
      features: { properties: { name?: string }; geometry: { coordinates: number[] } }[];
    };
    const ford = features.find(({ properties }) => properties.name === 'Ford')!;
    const [longitude, latitude] = ford.geometry.coordinates;
    expect(apart({ latitude: latitude!, longitude: longitude! }, from(90, 200))).toBeLessThan(0.2);
    const alone = solvedLog('declination 10 E\nknown Hill at 54.2 -63.5\nsee 010 ; hill').outing;
    expect(geoJsonFormat.write(logbookOf([alone], '2026-08-14T10:00:00Z'), null).ok).toBe(false);
  });

  it('draws what was sighted once where the map has it', () => {
    const found = landmarkPlaces(solvedLog(log).solution);
    const hill = found.find(({ name }) => name === 'hill')!.place!;
    expect(Math.hypot(hill.east, hill.north)).toBeCloseTo(3000, 0);
  });
});
