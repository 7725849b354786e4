import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import {
  directionRead,
  fixHere,
  nearestFirst,
  type FixDraft,
} from '@/core/navigation/fix/fix-here';
import { logLinesOf } from '@/core/navigation/fix/log-fix-lines';
import {
  declinedHeader,
  fixDeclination,
  modelSetting,
} from '@/core/navigation/fix/fix-declination';
import { readTypedPlaces } from '@/core/navigation/fix/typed-places';
import { wayFromFix } from '@/core/navigation/fix/way-from';
import { describeEntry, writeEntry } from '@/core/entries/entry';
import { disagreementText } from '@/core/north/implausible-declination';
import { earthModels } from '@/core/north/loaded-earth-models';
import { angleEast } from '@/core/readings/angle';
import { planePointOf, positionAt } from '@/core/place/geodesic';
import { lengthOf, polar } from '@/core/units/plane';
import { solvedLog } from '../../../support/outings';

const HERE = { latitude: 54.2, longitude: -63.5 };
const from = (azimuth: number, metres: number) => positionAt(HERE, polar(azimuth, metres));
const place = (name: string, azimuth: number, metres: number) => ({
  id: name.toLowerCase(),
  name,
  positions: [from(azimuth, metres)],
});
const KNOWN = [
  place('Hill', 20, 2000),
  place('Mast', 110, 1500),
  place('Church', 250, 1800),
  { id: 'brook', name: 'Brook', positions: [from(270, 500), from(90, 700)] },
];

const draft = (more: Partial<FixDraft> = {}): FixDraft => ({
  sights: [],
  line: null,
  solveCompass: false,
  withLog: false,
  declination: '',
  ...more,
});
const sight = (name: string, bearing: string, more = {}) => ({
  place: name,
  bearing,
  back: false,
  distance: '',
  ...more,
});
const outing = (...lines: string[]) =>
  solvedLog(['declination 10 W', 'pace 65 per 100 m', ...lines].join('\n')).solution;
const off = (found: { position: typeof HERE } | null) =>
  lengthOf(planePointOf(HERE, found!.position));

describe('a fix as it is typed', () => {
  it('reads bearings as the log does, in its declination', () => {
    const here = fixHere(
      outing(),
      draft({ sights: [sight('hill', '030'), sight('mast', 'S60E')] }),
      KNOWN,
    );
    expect(here.sights.map(({ fault }) => fault)).toEqual([null, null]);
    const north = fixHere(
      outing(),
      draft({ sights: [sight('hill', '030'), sight('mast', '110T')] }),
      KNOWN,
    );
    expect(off(north.found)).toBeLessThan(0.1);
    expect(north.next!.mark.name).toBe('Church');
    expect(north.reckoned).toBeNull();
  });

  it('tells what can’t be read beside its sight, and goes on with the others', () => {
    const sights = [
      sight('hill', '482'),
      sight('mast', '120'),
      sight('gone', '100'),
      sight('church', ''),
    ];
    const here = fixHere(outing(), draft({ sights }), KNOWN);
    expect(here.sights.map(({ fault }) => fault?.fault.code)).toEqual([
      'out-of-range',
      undefined,
      undefined,
      undefined,
    ]);
    expect(here.found).toBeNull();
    expect(here.warnings[0]!.code).toBe('too-few');
    const noPace = solvedLog('declination 10 W').solution;
    const paced = fixHere(
      noPace,
      draft({ sights: [sight('hill', '030', { distance: '65p' })] }),
      KNOWN,
    );
    expect(paced.sights[0]!.fault!.fault.code).toBe('no-pace');
    const noNorth = solvedLog('pace 65 per 100 m').solution;
    expect(
      fixHere(noNorth, draft({ sights: [sight('hill', '030T')] }), KNOWN).sights[0]!.fault!.fault
        .code,
    ).toBe('no-declination');
  });

  it('takes a paced distance, and a line that one is on', () => {
    const paced = fixHere(
      outing(),
      draft({ sights: [sight('hill', '030', { distance: '1300p' })] }),
      KNOWN,
    );
    expect(off(paced.found)).toBeLessThan(0.1);
    const onLine = fixHere(
      outing(),
      draft({ sights: [sight('hill', '030')], line: 'brook' }),
      KNOWN,
    );
    expect(onLine.crossings).toHaveLength(1);
    expect(off(onLine.found)).toBeLessThan(0.1);
  });

  it('joins the log where that is wanted, and compares with it', () => {
    const solution = outing(
      `start Camp at ${from(180, 400).latitude} ${from(180, 400).longitude}`,
      '010 260p',
    );
    const one = draft({ sights: [sight('mast', '120')] });
    expect(fixHere(solution, one, KNOWN).found).toBeNull();
    const joined = fixHere(solution, { ...one, withLog: true }, KNOWN);
    expect(joined.fromLog).toBe(1);
    expect(off(joined.found)).toBeLessThan(5);
    const two = draft({ sights: [sight('mast', '120'), sight('hill', '031')] });
    const apart = fixHere(solution, two, KNOWN).reckoned!;
    expect(apart.asExpected).toBe(true);
    expect(apart.apartMetres).toBeLessThan(60);
    // Joined, the ellipse is smaller than by either alone.
    const both = fixHere(solution, { ...two, withLog: true }, KNOWN);
    expect(both.found!.fix.ellipse.semiMajorMetres).toBeLessThan(
      fixHere(solution, two, KNOWN).found!.fix.ellipse.semiMajorMetres,
    );
  });

  it('names the slip that explains what disagrees', () => {
    const sights = [sight('hill', '030'), sight('mast', '120'), sight('church', '080')];
    const [slip] = fixHere(outing(), draft({ sights }), KNOWN).slips;
    expect(slip).toMatchObject({ slip: 'half-circle', sight: 2 });
    expect(slip!.probability).toBeGreaterThan(0.9);
    const fine = [sight('hill', '030'), sight('mast', '120'), sight('church', '260')];
    expect(fixHere(outing(), draft({ sights: fine }), KNOWN).slips).toEqual([]);
  });

  it('becomes lines of the log: what was sighted, or the place', () => {
    const solution = outing('known Hill at 54.21 -63.49');
    const sights = [sight('hill', '030'), sight('mast', '300', { back: true })];
    const asked = draft({ sights });
    const lines = logLinesOf(solution, asked, fixHere(solution, asked, KNOWN));
    const written = lines.map((entry) => writeEntry(entry, 'magnetic').trim());
    expect(written).toHaveLength(3);
    expect(written[0]).toBe('see 030 ; Hill');
    expect(written[1]).toMatch(/^known Mast at 54\.\d+ -63\.\d+$/);
    expect(written[2]).toBe('see 300 back ; Mast');
    expect(describeEntry(lines[2]!, USUAL_FIGURES)).toBe('This place from Mast, at 300° magnetic');
    const paced = draft({ sights: [sight('hill', '030', { distance: '1300p' })] });
    const [station] = logLinesOf(solution, paced, fixHere(solution, paced, KNOWN));
    expect(writeEntry(station!, 'magnetic')).toMatch(
      /^known Start at 54\.2\d* -63\.5\d* within \d+m$/,
    );
  });

  it('leads on: bearing, distance and paces to any known place', () => {
    const solution = outing();
    const sights = [sight('hill', '030'), sight('mast', '120')];
    const { found } = fixHere(solution, draft({ sights }), KNOWN);
    const way = wayFromFix(solution, found!, { name: 'Church', position: KNOWN[2]!.positions[0]! });
    expect(way.distanceMetres).toBeCloseTo(1800, 0);
    expect(way.bearing.true).toBeCloseTo(250, 1);
    expect(way.bearing.magnetic).toBeCloseTo(260, 1);
    expect(way.paces).toBeCloseTo(1170, 0);
    expect(way.within95Metres).toBeGreaterThan(found!.fix.ellipse.semiMajorMetres);
  });

  it('offers the nearest places first', () => {
    const far = place('Far', 0, 9000);
    expect(nearestFirst([far, ...KNOWN], HERE).map(({ name }) => name)).toEqual([
      'Brook',
      'Mast',
      'Church',
      'Hill',
      'Far',
    ]);
    expect(nearestFirst([far, KNOWN[0]!], null)[0]).toBe(far);
  });

  it('reads places and lines row by row', () => {
    const line = readTypedPlaces('673 058\n\n6741 0600', '20U MF');
    expect(line.ok && line.value.positions).toHaveLength(2);
    expect(line.ok && line.value.withinMetres).toBe(100);
    const wrong = readTypedPlaces('673 058\nnowhere', '20U MF');
    expect(!wrong.ok && wrong.fault.row).toBe(2);
    const direction = directionRead('030', outing());
    expect(direction.ok && direction.value).toBe(20);
  });
});

describe('the declination of a fix', () => {
  const today = '2026-07-30';
  const declined = (header: string) => {
    const solution = solvedLog(`${header}start Camp\n000 100m`).solution;
    const here = fixHere(solution, draft({ sights: [sight('hill', '339')] }), KNOWN);
    return { solution, ...fixDeclination(solution, here, earthModels, today) };
  };

  it('is doubted by the model at what is sighted, in a log without a position or a day', () => {
    const { implausible, field } = declined('declination 12 E\n');
    expect(field?.eastDegrees).toBeCloseTo(-19, 0);
    expect(implausible && disagreementText(implausible)).toMatch(
      /set to 12.0° E, but WMM2025 gives 1\d\.\d° W/,
    );
    expect(declined('declination 19 W\n').implausible).toBeNull();
    // A log that says its day is asked of that day.
    const then = declined('date 2016-07-30\ndeclination 19 W\n').field;
    expect(then?.model).not.toBe(field?.model);
  });

  it('is set for a log that had none, which is then corrected by it', () => {
    const { solution, field } = declined('');
    const setting = modelSetting(solution.outing, field!);
    const header = declinedHeader(solution.outing, setting);
    expect(header.correction?.how).toBe('by-sum');
    const { declination } = header;
    expect(declination.source === 'typed' && angleEast(declination.angle)).toBeCloseTo(
      field!.eastDegrees,
      0,
    );
    const asked = declined('date 2026-07-30\n').solution.outing;
    const placed = { ...asked, start: { name: 'Camp', position: HERE } };
    expect(modelSetting(placed, field!)).toEqual({ source: 'model' });
    const set = declinedHeader(
      declined('declination 12 E\ncorrection compass-set\nread true\n').solution.outing,
      setting,
    );
    expect(set.correction?.how).toBe('compass-set');
  });
});
