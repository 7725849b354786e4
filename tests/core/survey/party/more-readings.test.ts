import { describe, expect, it } from 'vitest';
import { areaAnswer } from '@/core/navigation/area-answer';
import { areaWay, walkedWay } from '@/core/navigation/area-way';
import { way } from '@/core/navigation/ways/way';
import { positionErrorEllipse } from '@/core/navigation/position-error';
import { blankArea, type Area } from '@/core/model/area';
import { positionAt } from '@/core/place/geodesic';
import { covarianceBetween, survey } from '@/core/survey/party/survey';
import { degrees } from '@/core/units/units';
import { nodeNamed, partyOf, surveyOf } from '../../../support/survey/surveys';
import { solvedLog } from '../../../support/outings';

describe('iron at a station', () => {
  // Three legs of a loop read at both ends; what is read at B is 12° too much.
  const log = [
    'start A',
    'aim sighted',
    '000 200m back 192 > B',
    '132 200m back 300 > C',
    '240 200m back 060 > A',
  ].join('\n');

  it('is reported with how sure it is, where back bearings open the question', () => {
    const { estimates, test } = surveyOf([log]);
    const iron = estimates.filter(({ error }) => error.source === 'iron');
    expect(iron.map(({ error }) => error.about)).toEqual(['A', 'B', 'C']);
    const [a, b, c] = iron.map(({ value }) => degrees(value));
    // What is to be added to readings there.
    expect(b! - (a! + c!) / 2).toBeLessThan(-10);
    expect(b! - (a! + c!) / 2).toBeGreaterThan(-14);
    expect(Math.abs(a! - c!)).toBeLessThan(1);
    expect(iron.every(({ sigma }) => degrees(sigma) < 10)).toBe(true);
    expect(test!.degreesOfFreedom).toBe(5);
    expect(test!.p).toBeGreaterThan(0.2);
  });

  it('is not asked for where forward and back bearings agree', () => {
    const { estimates, test } = surveyOf([log.replace('192', '181').replace('132', '120')]);
    expect(estimates.some(({ error }) => error.source === 'iron')).toBe(false);
    expect(test!.degreesOfFreedom).toBe(2);
  });
});

describe('landmarks that nobody stood on', () => {
  // A walk east past a summit in the north, sighted four times; the last leg is 30 m too long.
  const log = (last: number) =>
    [
      'start A',
      'aim sighted',
      'see 045 ; Summit',
      '090 200m > B',
      'see 000 ; Summit',
      '090 200m > C',
      'see 315 ; Summit',
      `090 ${last}m > D`,
      'see 297 ; Summit',
    ].join('\n');

  it('are unknown like stations, and check the legs between their sightings', () => {
    const found = surveyOf([log(230)]);
    expect(found.party.network).toMatchObject({ nodes: 5, landmarks: 1 });
    expect(found.places.stations()).toEqual([0, 1, 2, 3]);
    // Four sightings, two unknown.
    expect(found.test!.degreesOfFreedom).toBe(2);
    const [b, d] = ['B', 'D'].map((name) => found.places.at(nodeNamed(found, name)).east);
    const walked = found.asWalked.at(nodeNamed(found, 'D')).east;
    expect(walked).toBeCloseTo(630, 9);
    // By the sighting of 297 D is 392 m east of B, by the legs 430: between the two, as they weigh.
    expect(d! - b!).toBeLessThan(428);
    expect(d! - b!).toBeGreaterThan(392);
    const wide = (places: typeof found.places) => covarianceBetween(places, 1, 3).xx;
    expect(wide(found.places)).toBeLessThan(wide(found.asWalked));
  });

  it('say nothing by two sightings, which only make their place', () => {
    const two = log(200).split('\n').slice(0, 5).join('\n');
    expect(surveyOf([two]).test).toBeNull();
  });

  it('leave places by the compass rule as walked', () => {
    const found = surveyOf([log(230)], 'compass-rule');
    expect(found.places.at(3).east).toBeCloseTo(630, 9);
  });
});

/** An area of logs, all of whose stations of one name are joined. */
function answerTo(logs: readonly string[], more: Partial<Area> = {}) {
  const solutions = new Map(logs.map((log, i) => [`o${i}`, solvedLog(log).solution]));
  const area = { ...blankArea('a', 'Area', [...solutions.keys()]), ...more };
  return areaAnswer(area, solutions);
}
const joined = (answer: ReturnType<typeof answerTo>) => {
  if (!answer.joined.ok) throw new Error(JSON.stringify(answer.joined.fault));
  return answer.joined;
};

describe('a place that a map tells', () => {
  const log = 'start A at 54.2 -63.5\ndeclination 19 W\n019 300m > B\n109 400m > C';
  const origin = { latitude: 54.2, longitude: -63.5 };
  const known = (east: number, north: number) => ({
    known: [{ outing: 'o0', station: 'c', position: positionAt(origin, { east, north }) }],
  });

  it('draws the area to it, and makes it surer', () => {
    const before = joined(answerTo([log])).survey;
    const after = joined(answerTo([log], known(410, 310))).survey;
    const node = nodeNamed(after, 'C');
    expect(after.test!.degreesOfFreedom).toBe(2);
    expect(after.places.at(node).east).toBeGreaterThan(404);
    expect(covarianceBetween(after.places, 0, node).xx).toBeLessThan(5 ** 2);
    expect(covarianceBetween(before.places, 0, node).xx).toBeGreaterThan(10 ** 2);
  });

  it('is left out where the origin is on no map, and told where it is gone', () => {
    const magnetic = log.replace(' at 54.2 -63.5', '').replace('declination 19 W\n', '');
    expect(joined(answerTo([magnetic], known(410, 310))).survey.test).toBeNull();
    const gone = answerTo([log], { known: [{ ...known(0, 9).known[0]!, station: 'Nowhere' }] });
    expect(gone.found.lost.map(({ station }) => station)).toEqual(['Nowhere']);
  });
});

describe('the ways of an area', () => {
  const one = 'start Dock\npace 65 per 100 m\n000 300m > Knoll\n090 300m > Fen\nsee 225 ; Dock\n';
  const other = 'start dock\npace 50 per 100 m\n090 290m > Birch\n000 310m > Fen\n';

  it('are those of the outing, for the one who walked it', () => {
    const log = 'start Dock\npace 65 per 100 m\n000 300m > Knoll\n090 300m > Fen';
    const { solution } = solvedLog(log);
    const found = survey(partyOf([log]), 'least-squares');
    const between = areaWay(found, 0, nodeNamed(found, 'Fen'), 0);
    expect(between.distanceMetres).toBeCloseTo(way(solution, 2, 0).distanceMetres, 9);
    expect(between.bearing.magnetic).toBeCloseTo(way(solution, 2, 0).bearing.magnetic!, 9);
    // Compass and stride are one's own, and cancel as far as they do at home.
    const alone = positionErrorEllipse(solution, 2, 0).semiMajorMetres;
    expect(between.within95Metres).toBeCloseTo(alone, 3);
  });

  it('are in the paces of the walker, and less sure with another’s compass', () => {
    const found = surveyOf([one, other]);
    const [fen, dock] = [nodeNamed(found, 'Fen'), 0];
    const [mine, theirs] = [areaWay(found, 0, fen, dock), areaWay(found, 1, fen, dock)];
    expect(mine.distanceMetres).toBe(theirs.distanceMetres);
    expect(mine.paces! / theirs.paces!).toBeCloseTo(65 / 50, 9);
  });

  it('go over legs that were walked, by metres or by time', () => {
    // Over the knoll it is shorter; around by the shore there is no climb.
    const over = 'start Dock\n045 300m up 15 > Knoll\n045 300m down 15 > Hut\n';
    const around = 'start Dock\n090 450m > Shore\n000 430m > Hut\n';
    const found = surveyOf([over, around]);
    const names = (by: 'metres' | 'minutes') =>
      walkedWay(found, 0, nodeNamed(found, 'Hut'), by)!.nodes.map(
        (node) => found.party.nodes.all[node]!.name,
      );
    expect(names('metres')).toEqual(['Dock', 'Knoll', 'Hut']);
    expect(names('minutes')).toEqual(['Dock', 'Shore', 'Hut']);
    const { metres, minutes } = walkedWay(found, 0, nodeNamed(found, 'Shore'))!;
    expect(minutes).toBeCloseTo((metres / 5000) * 60, 6);
    expect(walkedWay(found, 0, 0)).toMatchObject({ nodes: [0], metres: 0 });
  });
});

describe('what an area asks', () => {
  const one = 'start Dock\n000 300m > Knoll\n';
  const two = 'start dock\n090 200m > Birch\n300 240m\n';

  it('is which stations of one name are one; nothing is joined unasked', () => {
    const asked = answerTo([one, two]);
    expect(asked.joined).toMatchObject({ ok: false, fault: { code: 'not-joined' } });
    expect(asked.named).toEqual([
      [
        { outing: 'o0', station: 'Dock' },
        { outing: 'o1', station: 'dock' },
      ],
    ]);
    const stations = [...asked.named[0]!];
    expect(answerTo([one, two], { same: [{ stations }] }).named).toEqual([]);
    expect(answerTo([one, two], { apart: [{ stations }] }).named).toEqual([]);
  });

  it('is which stations near each other are one, nearer than they are sure', () => {
    const stations = [
      { outing: 'o0', station: 'Dock' },
      { outing: 'o1', station: 'dock' },
    ];
    const { near } = joined(
      answerTo([one, 'start dock\n002 292m\n090 300m\n'], { same: [{ stations }] }),
    );
    expect(near).toHaveLength(1);
    expect(near[0]!.stations.map(({ station }) => station)).toEqual(['Knoll', '1']);
    const apart = [{ stations: [...near[0]!.stations] }];
    const after = answerTo([one, 'start dock\n002 292m\n'], { same: [{ stations }], apart });
    expect(joined(after).near).toEqual([]);
  });
});
