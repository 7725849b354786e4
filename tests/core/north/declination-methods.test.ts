import { USUAL_FIGURES } from '@/core/units/figures';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { faultMessage } from '@/core/faults/messages';
import { readLog } from '@/core/log-text/read-log';
import { writeLog } from '@/core/log-text/write-log';
import { CORRECTIONS, isProjection } from '@/core/model/header';
import { message } from '@/core/navigation/message';
import { way, wayHome } from '@/core/navigation/ways/way';
import { converted } from '@/core/north/norths';
import { earthModels } from '@/core/north/loaded-earth-models';
import { positionOfStation } from '@/core/survey/positions';
import { radians } from '@/core/units/units';
import { homeAnswer } from '@/formats/home-answer';
import { leg, outingOf, refusal, solved, solvedLog } from '../../support/outings';
import { northShown } from '@/core/survey/solution';

const refused = (text: string) => refusal(text, earthModels);

describe('the declination methods', () => {
  const legs = '000 100m\n090 100m\n';

  it('magnetic only takes no map bearing, and says what to set first', () => {
    const text = `declination 19.1 W\ncorrection none\n${legs}`;
    const { solution } = solvedLog(text);
    expect(solution.places.frame.norths.declinationEast).toBeNull();
    expect(solution.places.frame.norths.statedEast).toBe(-19.1);
    expect(way(solution, 2, 0).bearing).toEqual({ magnetic: 225, true: null, grid: null });
    const fault = refused(`${text}045G 10m`)!;
    expect(fault).toMatchObject({ fault: { code: 'no-declination', north: 'grid' }, line: 5 });
    expect(faultMessage(fault.fault)).toMatch(/Set the declination first/);
  });

  it('by sum, with an adjusted compass and by a scale mark the result is the same', () => {
    for (const how of ['by-sum', 'compass-set', 'by-mark']) {
      const { solution } = solvedLog(`declination 19.1 W\ncorrection ${how}\nread true\n${legs}`);
      expect(way(solution, 2, 0).bearing.true).toBeCloseTo(225, 9);
      expect(way(solution, 2, 0).bearing.magnetic).toBeCloseTo(244.1, 9);
    }
  });

  it('90 by a 10° east scale reads 80; a map drawn to magnetic north leaves 90 as it is', () => {
    // Common practice, no source.
    const magnetic = (head: string) => {
      const { norths } = solvedLog(`${head}\n000 10m`).solution.places.frame;
      return converted({ degrees: 90, north: 'grid' }, 'magnetic', norths)?.degrees;
    };
    expect(magnetic('declination 10 E\ncorrection by-mark')).toBe(80);
    expect(magnetic('declination 3.5 E\ncorrection magnetic-map')).toBe(90);
  });

  it('ignored, map and magnetic bearings are the same, and the angle stays known', () => {
    const { solution } = solvedLog(
      `declination 19.1 W\nconvergence 2 E\ncorrection left-out\n${legs}180T 50m\n090G 10m`,
    );
    const walkedByCompass = solvedLog(`declination 19.1 W\n${legs}180M 50m\n090M 10m`).solution;
    expect(way(solution, 4, 0)).toEqual(way(walkedByCompass, 4, 0));
    expect(
      northShown({ ...solution, outing: { ...solution.outing, show: { north: 'true' } } }),
    ).toBe('magnetic');
  });

  it('ignored, places on the earth still use the declination (they were 332 m off at 1 km)', () => {
    const text = 'start Dock at 54.2 -63.5\ndeclination 19.1 W\n000 1000m';
    const [ignored, applied] = [`${text}\ncorrection left-out`, text].map(
      (log) => solvedLog(log).solution,
    );
    expect(positionOfStation(ignored!.places, 1)).toEqual(positionOfStation(applied!.places, 1));
    expect(homeAnswer(ignored!, 1, 0, () => undefined).home).toMatchObject({
      magnetic: 180,
      true: expect.closeTo(160.9, 9),
    });
    expect(message(ignored!, '10:00', USUAL_FIGURES)).toMatch(/180 magnetic \/ 161 true/);
    const unknown = solvedLog('start Dock at 54.2 -63.5\ncorrection left-out\n000T 1000m').solution;
    expect(positionOfStation(unknown.places, 1)).toBeNull();
  });

  it('on a map with magnetic meridians, grid is magnetic, declination known or not', () => {
    const bare = solvedLog(`correction magnetic-map\n${legs}180G 50m`).solution;
    expect(way(bare, 3, 0).bearing.grid).toBe(way(bare, 3, 0).bearing.magnetic);
    expect(way(bare, 3, 0).bearing.true).toBeNull();
    expect(refused(`correction magnetic-map\n010T 5m`)?.fault.code).toBe('no-declination');
    const known = solvedLog(`declination 10 E\ncorrection magnetic-map\n000G 100m`).solution;
    expect(way(known, 0, 1).bearing.true).toBeCloseTo(10, 9);
    expect(way(known, 0, 1).bearing.grid).toBe(0);
  });

  it('without a method a declination is applied; without a declination it is magnetic only', () => {
    expect(solvedLog(legs).solution.places.frame.norths.correction).toBe('none');
    expect(solvedLog(`declination 5 E\n${legs}`).solution.places.frame.norths.correction).toBe(
      'by-sum',
    );
  });

  it('each is written, and read back', () => {
    for (const how of CORRECTIONS) {
      const text = [
        'cairn-back log 1',
        'start Dock',
        'declination 5 E',
        `correction ${how} ; why`,
        'convergence proj +proj=tmerc +lon_0=-63 +k=0.9996',
        '000 10m\n',
      ].join('\n');
      const placed = text.replace('start Dock', 'start Dock at 54.2 -63.5');
      const log = readLog(placed, 'x', earthModels);
      expect(log.ok && writeLog(log.value.outing)).toBe(placed);
    }
    expect(refused('correction sometimes')).toMatchObject({ line: 1, column: 12 });
  });

  it('magnetic only and fully corrected give the same walk on the ground', () => {
    const angle = fc.double({ min: -60, max: 60, noNaN: true });
    const bearing = fc.double({ min: 0, max: 360, maxExcluded: true, noNaN: true });
    const legsOf = fc.array(fc.tuple(bearing, fc.double({ min: 1, max: 500, noNaN: true })), {
      minLength: 1,
      maxLength: 12,
    });
    fc.assert(
      fc.property(angle, legsOf, (east, walk) => {
        const entries = walk.map(([degrees, metres]) => leg(degrees, metres));
        const magnetic = solved(outingOf(entries));
        const toward = east < 0 ? 'W' : 'E';
        const corrected = solved(
          outingOf(entries, {
            declination: { source: 'typed', angle: { degrees: Math.abs(east), toward } },
          }),
        );
        const [a, b] = [wayHome(magnetic), wayHome(corrected)];
        expect(b.distanceMetres).toBeCloseTo(a.distanceMetres, 6);
        if (a.distanceMetres < 0.01) return;
        const off = Math.abs(a.bearing.magnetic! - b.bearing.magnetic!) % 360;
        expect(radians(Math.min(off, 360 - off)) * a.distanceMetres).toBeLessThan(1e-6);
      }),
    );
  });
});

describe('a projection', () => {
  it('is a line of +words that begins with +proj; anything else is refused', () => {
    expect(isProjection('+proj=tmerc +lon_0=-63 +k=0.9996')).toBe(true);
    for (const text of ['', 'EPSG:4326', '+lon_0=3', 'PROJCS["x"]', `+proj=${'x'.repeat(300)}`]) {
      expect(isProjection(text)).toBe(false);
    }
    const line = (definition: string) =>
      `date 2026-08-14\nstart Dock at 54.2 -63.5\nconvergence proj ${definition}`;
    expect(refused(line('EPSG:4326'))).toMatchObject({ line: 3, column: 18 });
    expect(refused(line('+proj=nosuch'))?.fault.code).toBe('bad-projection');
    expect(refused('convergence proj +proj=tmerc')?.fault.code).toBe('model-needs');
    // These hung the reader for ever, or are no grid of a map.
    for (const definition of [
      '+proj=moll +towgs84=0',
      '+proj=tmerc +towgs84=0',
      '+proj=tmerc +k=0',
      '+proj=lcc +lat_1=NaN',
      '+proj=tmerc +a=1e999',
      '+proj=utm +zone=61',
    ]) {
      expect(refused(line(definition))?.fault.code, definition).toBe('bad-projection');
    }
    for (const definition of [
      '+proj=lcc +lat_1=49 +lat_2=77 +lat_0=49 +lon_0=-95 +x_0=0 +y_0=0 +datum=NAD83 +no_defs',
      '+proj=tmerc +lat_0=0 +lon_0=-63 +k=0.9996 +towgs84=1,2,3 +units=m',
    ]) {
      expect(refused(line(definition)), definition).toBeNull();
    }
  });
});
