import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { warningsOf } from '@/core/checks';
import { earthModels } from '@/core/earth-models-loaded';
import { faultWords } from '@/core/fault-words';
import { way } from '@/core/home';
import { readLog } from '@/core/log-text/read-log';
import { writeLog } from '@/core/log-text/write-log';
import { CORRECTIONS, isProjection } from '@/core/logbook';
import { radians } from '@/core/units';
import { whatChanged } from '@/core/what-changed';
import { changeWords, northsSentence } from '@/views/shared/norths/words';
import { leg, outingOf, solved, solvedLog } from '../support/outings';

const codes = (text: string, models = earthModels) => {
  const log = readLog(text, 'x', models);
  if (!log.ok) throw new Error(faultWords(log.fault[0]!.fault));
  return warningsOf(log.value.solution).map(({ code }) => code);
};
const message = (text: string) => {
  const log = readLog(text, 'x', earthModels);
  return log.ok ? warningsOf(log.value.solution)[0]!.message : '';
};
const refused = (text: string) => {
  const log = readLog(text, 'x', earthModels);
  return log.ok ? null : log.fault[0]!;
};
const DOCK = 'date 2026-08-14\nstart Dock at 54.2 -63.5\n';

describe('the schools', () => {
  const legs = '000 100m\n090 100m\n';

  it('magnetic all the way mixes no map bearing in, and says what to set first', () => {
    const text = `declination 19.1 W\ncorrection none\n${legs}`;
    const { solution } = solvedLog(text);
    expect(solution.norths.declinationEast).toBeNull();
    expect(solution.norths.statedEast).toBe(-19.1);
    expect(way(solution, 2, 0).bearing).toEqual({ magnetic: 225, true: null, grid: null });
    const fault = refused(`${text}045G 10m`)!;
    expect(fault).toMatchObject({ fault: { code: 'no-declination', north: 'grid' }, line: 5 });
    expect(faultWords(fault.fault)).toMatch(/Set the declination first/);
  });

  it('a sum, a set compass and a mark reckon alike: only what is read and shown differs', () => {
    for (const how of ['by-sum', 'compass-set', 'by-mark']) {
      const { solution } = solvedLog(`declination 19.1 W\ncorrection ${how}\nread true\n${legs}`);
      expect(way(solution, 2, 0).bearing.true).toBeCloseTo(225, 9);
      expect(way(solution, 2, 0).bearing.magnetic).toBeCloseTo(244.1, 9);
    }
  });

  it('left out, map and needle count as one, and the angle is still told', () => {
    const { solution } = solvedLog(
      `declination 19.1 W\nconvergence 2 E\ncorrection left-out\n${legs}180T 50m\n090G 10m`,
    );
    expect(solution.norths).toMatchObject({
      declinationEast: 0,
      convergenceEast: 0,
      statedEast: -19.1,
    });
    const { magnetic, grid } = way(solution, 4, 0).bearing;
    expect(magnetic).toBe(grid);
  });

  it('on a map drawn for the needle a map bearing is a needle bearing, known declination or not', () => {
    const bare = solvedLog(`correction magnetic-map\n${legs}180G 50m`).solution;
    expect(way(bare, 3, 0).bearing.grid).toBe(way(bare, 3, 0).bearing.magnetic);
    expect(way(bare, 3, 0).bearing.true).toBeNull();
    expect(refused(`correction magnetic-map\n010T 5m`)?.fault.code).toBe('no-declination');
    const known = solvedLog(`declination 10 E\ncorrection magnetic-map\n000G 100m`).solution;
    expect(way(known, 0, 1).bearing.true).toBeCloseTo(10, 9);
    expect(way(known, 0, 1).bearing.grid).toBe(0);
  });

  it('an outing that says nothing is kept as before: by sums with a declination, else by the needle', () => {
    expect(solvedLog(legs).solution.norths.correction).toBe('none');
    expect(solvedLog(`declination 5 E\n${legs}`).solution.norths.correction).toBe('by-sum');
  });

  it('each is written and read back', () => {
    for (const how of CORRECTIONS) {
      const text = `cairn-back log 1\nstart Dock\ndeclination 5 E\ncorrection ${how} ; why\nconvergence proj +proj=tmerc +lon_0=-63 +k=0.9996\n000 10m\n`;
      const placed = text.replace('start Dock', 'start Dock at 54.2 -63.5');
      const log = readLog(placed, 'x', earthModels);
      expect(log.ok && writeLog(log.value.outing)).toBe(placed);
    }
    expect(refused('correction sometimes')).toMatchObject({ line: 1, column: 12 });
  });

  it('magnetic all the way and fully corrected give the same walk on the ground', () => {
    const angle = fc.double({ min: -60, max: 60, noNaN: true });
    const bearing = fc.double({ min: 0, max: 360, maxExcluded: true, noNaN: true });
    const legsOf = fc.array(fc.tuple(bearing, fc.double({ min: 1, max: 500, noNaN: true })), {
      minLength: 1,
      maxLength: 12,
    });
    fc.assert(
      fc.property(angle, legsOf, (east, walk) => {
        const entries = walk.map(([degrees, metres]) => leg(degrees, metres));
        const needle = solved(outingOf(entries));
        const toward = east < 0 ? 'W' : 'E';
        const corrected = solved(
          outingOf(entries, {
            declination: { source: 'typed', angle: { degrees: Math.abs(east), toward } },
          }),
        );
        const [a, b] = [way(needle, needle.current, 0), way(corrected, corrected.current, 0)];
        expect(b.distanceMetres).toBeCloseTo(a.distanceMetres, 6);
        if (a.distanceMetres < 0.01) return;
        const off = Math.abs(a.bearing.magnetic! - b.bearing.magnetic!) % 360;
        expect(radians(Math.min(off, 360 - off)) * a.distanceMetres).toBeLessThan(1e-6);
      }),
    );
  });
});

describe('the checks on the angle', () => {
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

  it('say when east and west are swapped, and only then', () => {
    expect(message(`${DOCK}declination 19.1 E`)).toMatch(/East and west swapped\?/);
    expect(message(`${DOCK}declination 25 W`)).not.toMatch(/swapped/);
    expect(message(`${DOCK}declination 25 W`)).toMatch(/25\.0° W.*19\.2° W.*5\.8° apart/);
  });

  it('compare only where there is a place, a day and a model', () => {
    expect(codes('date 2026-08-14\ndeclination 19.1 E')).toEqual([]);
    expect(codes('start Dock at 54.2 -63.5\ndeclination 19.1 E')).toEqual([]);
    const unloaded = readLog(`${DOCK}declination 19.1 E`, 'x', null);
    expect(unloaded.ok && warningsOf(unloaded.value.solution)).toEqual([]);
  });

  it('name the window when the model is carried beyond it, and give up after five years', () => {
    const on = (day: string) => `date ${day}\nstart Dock at 54.2 -63.5\ndeclination model`;
    expect(codes(on('2029-11-01'))).toEqual([]);
    expect(codes(on('2031-01-01'))).toEqual(['model-outside-window']);
    expect(message(on('2031-01-01'))).toMatch(/2024-11-13 to 2029-11-13/);
    expect(codes(on('2013-01-01'))).toEqual(['model-outside-window']);
    expect(refused(on('2035-01-01'))?.fault).toMatchObject({ code: 'model-out-of-window' });
    // A typed angle stands on its own feet.
    expect(codes('date 2035-01-01\nstart Dock at 54.2 -63.5\ndeclination 5 E')).toEqual([]);
  });

  it('tell where the compass is unreliable, and where it is of no use, whatever the school', () => {
    const at = (place: string) => `date 2026-08-14\nstart Camp at ${place}`;
    expect(codes(at('54.2 -63.5'))).toEqual([]);
    expect(codes(at('78 -95'))).toEqual(['far-north-compass']);
    expect(message(at('78 -95'))).toMatch(/unreliably/);
    expect(message(at('86 140'))).toMatch(/not to be used/);
  });
});

describe('another setting after legs were logged', () => {
  const at = (header: string) => solvedLog(`${header}000 300m\n090 400m\n`).solution;

  it('says what changed by how much, and changes no reading', () => {
    const before = at('');
    const after = at('declination 19.1 W\nshow true\n');
    const change = whatChanged(before, after)!;
    expect(change.needleTurnDegrees).toBeCloseTo(0, 9);
    expect(change.placeMovedMetres).toBeNull();
    expect(changeWords(change)).toBe(
      'The 2 readings stay as read. The way home was 233° as the needle reads, 500 m; now 214° from true north, 500 m.',
    );
    const wrongWay = at('declination 19.1 E\n');
    const mended = whatChanged(wrongWay, at('declination 19.1 W\n'))!;
    expect(mended.placeMovedMetres).toBeCloseTo(2 * 500 * Math.sin(radians(19.1)), 6);
    expect(changeWords(mended)).toMatch(/On the map you are 327 m from where it had you/);
  });

  it('says nothing where nothing that a person sees differs', () => {
    expect(whatChanged(at('declination 19.1 W\n'), at('declination 19.11 W\n'))).toBeNull();
    expect(whatChanged(at(''), at('declination 0 E\n'))).not.toBeNull();
  });
});

describe('the sentence that stays in view', () => {
  const sentence = (text: string) => {
    const { solution } = solvedLog(text);
    return northsSentence(solution.norths, solution.end.read, solution.outing.show.north);
  };
  it.each([
    ['', 'Magnetic all the way. Bearings are as the needle reads, and so is the way home.'],
    [
      'declination 19.1 W\nshow true',
      'Needle points 19.1° west of true. Bearings are as the needle reads. The way home is from true north.',
    ],
    [
      'declination 3 E\nconvergence 1.2 W\nread grid\nshow grid',
      'Needle points 3.0° east of true. Grid 1.2° west of true. Bearings are from grid north, and so is the way home.',
    ],
    [
      'declination 19.1 W\ncorrection compass-set\nread true\nshow true',
      'Compass set for 19.1° W. Bearings are from true north, and so is the way home.',
    ],
    [
      'declination 1.2 E\ncorrection left-out',
      'The needle’s angle, 1.2° east of true, is left out. Bearings are as the needle reads, and so is the way home.',
    ],
    [
      'correction magnetic-map',
      'The map is drawn to the needle’s north. Bearings are as the needle reads, and so is the way home.',
    ],
    [
      'correction by-sum',
      'The declination is not set yet. Bearings are as the needle reads, and so is the way home.',
    ],
  ])('%j', (text, expected) => expect(sentence(text)).toBe(expected));
});

describe('a projection', () => {
  it('is a line of +words that begins with its name; nothing else is taken', () => {
    expect(isProjection('+proj=tmerc +lon_0=-63 +k=0.9996')).toBe(true);
    for (const text of ['', 'EPSG:4326', '+lon_0=3', 'PROJCS["x"]', `+proj=${'x'.repeat(300)}`]) {
      expect(isProjection(text)).toBe(false);
    }
    const line = (definition: string) => `${DOCK}convergence proj ${definition}`;
    expect(refused(line('EPSG:4326'))).toMatchObject({ line: 3, column: 18 });
    expect(refused(line('+proj=nosuch'))?.fault.code).toBe('bad-projection');
    expect(refused('convergence proj +proj=tmerc')?.fault.code).toBe('model-needs');
  });
});
