import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ellipse, isInsideEllipse } from '@/core/errors/ellipse';
import { sharedCovariance } from '@/core/errors/shared-errors';
import { adjustNetwork } from '@/core/survey/network/adjust';
import { joinOutings } from '@/core/survey/party/party';
import { stationsOfOneName } from '@/core/survey/party/stations';
import { METHODS } from '@/core/model/method';
import { covarianceBetween, survey } from '@/core/survey/party/survey';
import { solvedLog } from '../../../support/outings';
import { nodeNamed, partyOf, surveyOf } from '../../../support/survey/surveys';
import { logsOf, oneLoop, threeParties } from '../../../support/walks/parties';
import { randomSource } from '../../../support/walks/random-source';

const LOOP = 'start Dock\npace 65 per 100 m\n048 130p\n140 200m\n235 95p\n330 180m > Dock\n060 90m';

describe('a survey without loops', () => {
  const log = 'start Dock\npace 65 per 100 m\n048 130p > A\n140 200m\nfrom A\nNE 95p on rough\n';

  it.each(METHODS)('is dead reckoning, to the last digit, by %s', (method) => {
    const { solution } = solvedLog(log);
    const found = surveyOf([log], method);
    expect(found.test).toBeNull();
    for (const station of solution.places.stations()) {
      const [walked, place] = [solution.places.at(station), found.places.at(station)];
      expect(place.east).toBeCloseTo(walked.east, 9);
      expect(place.north).toBeCloseTo(walked.north, 9);
      const expected = solution.places.relative(0, station);
      const { covariance, shared } = found.places.relative(0, station);
      for (const of of ['xx', 'xy', 'yy'] as const) {
        expect(covariance[of]).toBeCloseTo(expected.covariance[of], 4);
        const all = sharedCovariance(expected.shared)[of];
        expect(sharedCovariance(shared)[of]).toBeCloseTo(all, 6);
        const joint = covarianceBetween(found.places, 0, station)[of];
        expect(joint).toBeCloseTo(all + expected.covariance[of], 4);
      }
    }
  });
});

describe('a survey with a loop', () => {
  it('leaves what was read as it is, and tells the misclosure as walked', () => {
    const { solution } = solvedLog(LOOP);
    const found = surveyOf([LOOP]);
    expect(found.closures).toHaveLength(1);
    const [closure] = solution.closures;
    expect(found.closures[0]!.metres).toBeCloseTo(closure!.metres, 9);
    expect(found.closures[0]!.ofWalked).toBeCloseTo(closure!.ofWalked, 9);
    expect(found.test!.degreesOfFreedom).toBe(2);
    const walked = solution.places.at(3);
    expect(found.asWalked.at(3).east).toBeCloseTo(walked.east, 9);
    expect(found.places.at(3).east).not.toBeCloseTo(walked.east, 1);
  });

  // The rule in its own words: each station moves by the misclosure, times how far along it is.
  it('shares the misclosure out by length, by the compass rule', () => {
    const { solution } = solvedLog(LOOP);
    const found = surveyOf([LOOP], 'compass-rule');
    const { misclosure } = solution.closures[0]!;
    const lengths = [...solution.legs].slice(0, 4).map(({ metres }) => metres);
    const total = lengths.reduce((sum, length) => sum + length, 0);
    let walked = 0;
    for (const [i, length] of lengths.slice(0, 3).entries()) {
      walked += length;
      const [place, before] = [found.places.at(i + 1), solution.places.at(i + 1)];
      expect(place.east - before.east).toBeCloseTo((-misclosure.east * walked) / total, 9);
      expect(place.north - before.north).toBeCloseTo((-misclosure.north * walked) / total, 9);
    }
  });

  it('is checked by a sighting of a station, in one direction', () => {
    const log = 'start Dock\n000 200m > A\n090 200m > B\nsee 225 ; Dock\n';
    const found = surveyOf([log]);
    expect(found.test!.degreesOfFreedom).toBe(1);
    expect(found.closures).toHaveLength(0);
    const wide = (of: typeof found.places) => {
      const { xx, xy, yy } = covarianceBetween(of, 0, nodeNamed(found, 'B'));
      // Across the line of sight, south-west: the unit vector north-west.
      return (xx - 2 * xy + yy) / 2;
    };
    expect(wide(found.places)).toBeLessThan(0.6 * wide(found.asWalked));
  });

  it('estimates what all legs of a direction share', () => {
    // An out and back of a known length: the way out is taped, the way back is paced too short.
    const log = [
      'start A',
      'pace 65 per 100 m',
      'errors measured 0.1%',
      ...Array.from(
        { length: 6 },
        (_, i) => `${i % 2 ? '180' : '000'} 500m > ${i % 2 ? 'A' : 'B'}`,
      ),
      ...Array.from(
        { length: 6 },
        (_, i) => `${i % 2 ? '180' : '000'} 300p > ${i % 2 ? 'A' : 'B'}`,
      ),
    ].join('\n');
    const { estimates } = surveyOf([log]);
    const pace = estimates.find(({ error }) => error.source === 'pace-length')!;
    expect(pace.value).toBeGreaterThan(0.04);
    expect(pace.value).toBeLessThan(500 / (300 / 0.65) - 1);
    expect(pace.sigma).toBeLessThan(0.03);
  });
});

describe('outings of several people', () => {
  const east = 'by Ann\nstart Dock\n090 300m > Birch\n000 200m > Knoll\n';
  const north = 'by Ben\nstart Dock\n000 200m\n090 290m > knoll\n';

  it('are one survey where stations have one name, whatever its case', () => {
    const found = surveyOf([east, north]);
    expect(found.party.nodes.all.map(({ name }) => name)).toEqual(['Dock', 'Birch', 'Knoll', '1']);
    expect(found.closures).toHaveLength(1);
    expect(found.closures[0]!.source).toEqual({ outing: 1, entry: 1, leg: 2 });
    // Each has a compass; both measure by eye, each leg for itself.
    expect(found.estimates.map(({ error }) => error.key)).toEqual([
      'ann: compass landmark ',
      'ben: compass landmark ',
    ]);
  });

  it('share a compass where they are one person’s', () => {
    const found = surveyOf([east, north.replace('Ben', 'ANN')]);
    expect(found.estimates.map(({ error }) => error.key)).toEqual(['ann: compass landmark ']);
  });

  it('are refused where nothing joins them, or their norths do not go together', () => {
    const joined = (logs: string[]) => {
      const members = logs.map((log) => ({ solution: solvedLog(log).solution, by: '' }));
      return joinOutings(members, stationsOfOneName(members.map(({ solution }) => solution)));
    };
    expect(joined([])).toMatchObject({ fault: { code: 'no-outings' } });
    expect(joined([east, 'start Hut\n000 100m', 'start hut\n090 100m'])).toMatchObject({
      fault: { code: 'not-joined', parts: [[0], [1, 2]] },
    });
    // A start that nobody named, and stations called by number, are no one's.
    expect(joined(['000 100m', '090 100m'])).toMatchObject({ fault: { code: 'not-joined' } });
    expect(joined([east, `declination 19 W\n${north}`])).toMatchObject({
      fault: { code: 'mixed-norths', magnetic: [0] },
    });
  });

  it('come to the same places in any order, from any origin', () => {
    const random = randomSource(3);
    const logs = logsOf(threeParties(random, 5));
    const [one, other] = [surveyOf(logs), surveyOf(logs.toReversed())];
    for (const { name } of one.party.nodes.all) {
      const [a, b] = [one, other].map((each) => each.places.at(nodeNamed(each, name)));
      expect(a!.east).toBeCloseTo(b!.east, 3);
      expect(a!.north).toBeCloseTo(b!.north, 3);
      const [c, d] = [one, other].map((each) =>
        ellipse(covarianceBetween(each.places, nodeNamed(each, 'P0'), nodeNamed(each, name))),
      );
      expect(c!.semiMajorMetres).toBeCloseTo(d!.semiMajorMetres, 2);
    }
    expect(one.test!.chiSquare).toBeCloseTo(other.test!.chiSquare, 4);
  });

  it('tell all places against the origin as one by one', () => {
    const { places } = surveyOf(logsOf(threeParties(randomSource(4), 5)));
    for (const [node, covariance] of places.fromOrigin().entries()) {
      const expected = covarianceBetween(places, 0, node);
      for (const of of ['xx', 'xy', 'yy'] as const) {
        expect(covariance[of]).toBeCloseTo(expected[of], 6);
      }
    }
  });

  it('turn with their bearings', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 359 }),
        fc.integer({ min: 1, max: 1e6 }),
        (by, seed) => {
          const party = oneLoop(randomSource(seed), 6);
          const turned = party.walks.map((walk) => ({
            ...walk,
            readings: walk.readings.map((each) => ({
              ...each,
              degrees: (each.degrees + by) % 360,
            })),
          }));
          const [one, other] = [surveyOf(logsOf(party)), surveyOf(logsOf({ walks: turned }))];
          const [sin, cos] = [Math.sin((by * Math.PI) / 180), Math.cos((by * Math.PI) / 180)];
          for (let node = 1; node < 6; node++) {
            const { east, north } = one.places.at(node);
            expect(other.places.at(node).east).toBeCloseTo(east * cos + north * sin, 2);
            expect(other.places.at(node).north).toBeCloseTo(north * cos - east * sin, 2);
          }
          expect(other.test!.chiSquare).toBeCloseTo(one.test!.chiSquare, 3);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('are never less sure for one more reading', () => {
    const { network } = partyOf(logsOf(threeParties(randomSource(9), 5)));
    const before = adjustNetwork(network);
    // The way between two places, read to a millimetre, where the adjustment has it.
    const [from, to] = [3, 7];
    const [east, north] = [0, 1].map(
      (row) => before.places[2 * to + row]! - before.places[2 * from + row]!,
    );
    const exact = {
      from,
      to,
      bearing: Math.atan2(east!, north!),
      metres: Math.hypot(east!, north!),
      alongVariance: 0,
      acrossVariance: 0,
      shared: [],
    };
    const after = adjustNetwork({ ...network, lines: [...network.lines, exact] });
    for (let node = 1; node < network.nodes; node++) {
      const [a, b] = [before.factor.between(0, node), after.factor.between(0, node)];
      expect(b.xx).toBeLessThanOrEqual(a.xx + 1e-6);
      expect(b.yy).toBeLessThanOrEqual(a.yy + 1e-6);
    }
  });
});

describe('the stated ellipses', () => {
  const isInside = (
    found: ReturnType<typeof surveyOf>,
    name: string,
    place: { east: number; north: number },
  ) => {
    const node = nodeNamed(found, name);
    const at = found.places.at(node);
    const covariance = covarianceBetween(found.places, 0, node);
    return isInsideEllipse(covariance, {
      east: at.east - place.east,
      north: at.north - place.north,
    });
  };

  it('hold 94.5 to 95.5 % of 10,000 adjusted loops', () => {
    const random = randomSource(11);
    let inside = 0;
    for (let trial = 0; trial < 10_000; trial++) {
      const party = oneLoop(random, 6);
      const far = 1 + (trial % 5);
      if (isInside(surveyOf(logsOf(party)), `P${far}`, party.places[far]!)) inside++;
    }
    expect(inside / 10_000).toBeGreaterThan(0.945);
    expect(inside / 10_000).toBeLessThan(0.955);
  }, 240_000);

  it('hold 94.5 to 95.5 % of the places of three parties', () => {
    const random = randomSource(12);
    let [inside, asked] = [0, 0];
    for (let trial = 0; trial < 1000; trial++) {
      const party = threeParties(random, 5);
      const found = surveyOf(logsOf(party));
      for (let place = 1; place < party.places.length; place++) {
        asked++;
        if (isInside(found, `P${place}`, party.places[place]!)) inside++;
      }
    }
    expect(inside / asked).toBeGreaterThan(0.945);
    expect(inside / asked).toBeLessThan(0.955);
  }, 240_000);

  it('and the test of the whole fails as often as it says', () => {
    const random = randomSource(13);
    let failed = 0;
    for (let trial = 0; trial < 3000; trial++) {
      const { test } = survey(partyOf(logsOf(threeParties(random, 5))), 'least-squares');
      if (test!.p < 0.05) failed++;
    }
    expect(failed / 3000).toBeGreaterThan(0.038);
    expect(failed / 3000).toBeLessThan(0.062);
  }, 240_000);
});
