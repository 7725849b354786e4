import { describe, expect, it } from 'vitest';
import { suspectsOf, type Suspect } from '@/core/survey/blunder/suspects';
import { survey, type Survey } from '@/core/survey/party/survey';
import { partyOf, surveyOf } from '../../../support/survey/surveys';
import { logsOf, threeParties, twoLoops, type PlainParty } from '../../../support/walks/parties';
import { randomSource } from '../../../support/walks/random-source';

const PASSES = 0.01;

/** A log with another name at the end of one of its legs. */
const renamed = (log: string, leg: number, name: string) =>
  log
    .split('\n')
    .map((line, index) => (index === leg + 2 ? line.replace(/> P\d+/, `> ${name}`) : line))
    .join('\n');

describe('what is offered explains', () => {
  /** Outing one walks a square; outing two comes to Birch, and writes down Cedar, 400 m off. */
  const FIRST = [
    'pace 65 per 100 m',
    'start Ash',
    '000 260p > Birch',
    '090 260p > Cedar',
    '180 260p > Dogwood',
    '270 260p > Ash',
  ].join('\n');
  const SECOND = 'pace 65 per 100 m\nstart Ash\n045 184p > Elder\n315 184p > Cedar';

  it('a wrong station, not a declination that leaves 400 m', () => {
    const found = suspectsOf(surveyOf([FIRST, `declination 12 W\n${SECOND}`].map(inTrue)));
    expect(found[0]).toMatchObject({ slip: 'wrong-station', source: { outing: 1, leg: 2 } });
    expect(found[0]!.message).toMatch(/^Leg 2 of .*: it came to Birch, not to Cedar\.$/);
    expect(found[0]!.instead.suggested?.to).toBe('Birch');
    for (const each of found) expect(each.metresLeft).toBeLessThan(120);
  });

  /** The same log with a declination that turns nothing: its bearings are from true north. */
  const inTrue = (log: string) =>
    `${/declination/.test(log) ? '' : 'declination 12 W\n'}read true\n${log}`.replace(
      /^read true\n(declination .*\n)/,
      '$1read true\n',
    );

  it('two slips only where neither is enough, and nothing where no two are', () => {
    const loops = (third: string, sixth: string) =>
      `pace 65 per 100 m\nstart A\n000 260p > B\n090 260p > C\n${third} > D\n270 260p > A\n` +
      `180 260p > E\n${sixth} > F\n000 260p > G\n270 260p > A`;
    const two = suspectsOf(surveyOf([loops('000 260p', '270 260p')]));
    const legs = [two[0]!.source.leg!, two[0]!.second!.source.leg!].sort();
    // One of two parallel sides in each loop: which, nothing shows.
    expect([1, 3]).toContain(legs[0]);
    expect([6, 8]).toContain(legs[1]);
    expect(two[0]!.message).toMatch(/^Leg \d: .*180.*\. And Leg \d: .*180.*\.$/);
    const one = suspectsOf(surveyOf([loops('000 260p', '090 260p')]));
    expect(one[0]).toMatchObject({ slip: 'half-circle', source: { leg: 3 }, second: null });
    // Every leg is somewhere else altogether.
    const none =
      'pace 65 per 100 m\nstart A\n000 260p > B\n037 433p > A\n211 377p > B\n301 151p > A\n' +
      '077 619p > B\n143 233p > A\n259 701p > B';
    expect(suspectsOf(surveyOf([none]))).toEqual([]);
  });

  it('leaves room for what is none of these', () => {
    const random = randomSource(31);
    const sums: number[] = [];
    for (let trial = 0; trial < 30; trial++) {
      const logs = logsOf(twoLoops(random, 8));
      const wild = logs[0]!.replace(/\n(\d+) (\d+)p > P3/, (_, degrees: string, paces: string) => {
        const turned = String((Number(degrees) + 57) % 360).padStart(3, '0');
        return `\n${turned} ${Math.round(Number(paces) * 1.6)}p > P3`;
      });
      const found = suspectsOf(surveyOf([wild]));
      sums.push(found.reduce((total, { probability }) => total + probability, 0));
    }
    // What was done here is no slip that anybody makes: it is not always one of them.
    expect(Math.max(...sums)).toBeLessThan(0.995);
    expect(sums.reduce((total, sum) => total + sum, 0) / sums.length).toBeLessThan(0.75);
  });
});

describe('a magnetic bearing and the declination', () => {
  const legs = [40, 130, 220, 310];
  const at = (turn: number) => (degrees: number) =>
    `${String((((degrees + turn) % 360) + 360) % 360).padStart(3, '0')} 195p`;
  const loop = (first: (degrees: number) => string, second: (degrees: number) => string) =>
    'declination 15 E\npace 65 per 100 m\nstart A\n' +
    [...legs.map((each) => first(each)), ...legs.map((each) => second(each))]
      .map((leg, index) => `${leg} > ${'BCDA'[index % 4]}`)
      .join('\n');

  it.each([
    ['corrected already', 15, 'declination-doubled', /corrected already\b/],
    ['corrected twice already', 30, 'declination-doubled', /corrected twice already/],
    ['corrected the wrong way', -15, 'declination-reversed', /east for west/],
  ])('that was %s, from a leg on', (_, turn, slip, says) => {
    const [found] = suspectsOf(surveyOf([loop(at(0), at(turn))]));
    expect(found).toMatchObject({ slip, goesOn: true, source: { leg: 5 } });
    expect(found!.message).toMatch(says);
  });
});

describe('a wrong station among several outings', () => {
  const chiSquare = ({ test }: Survey) => test?.chiSquare ?? Infinity;

  /** The legs whose names would explain a survey best, by writing every other name at each. */
  function byEveryName(logs: readonly string[], places: number): string[] {
    const tried: { at: string; square: number }[] = [];
    for (const [outing, log] of logs.entries()) {
      const count = log.split('\n').length - 3;
      for (let leg = 1; leg <= count; leg++) {
        for (let place = 0; place <= places; place++) {
          const other = renamed(log, leg, `P${place}`);
          if (other === log) continue;
          try {
            const square = chiSquare(survey(partyOf(logs.with(outing, other)), 'least-squares'));
            // A place that is nobody else's takes two readings to say where it is.
            tried.push({ at: `${outing} ${leg}`, square: square + (place === places ? 6 : 0) });
          } catch {
            // The name leaves the outings without anything that joins them.
          }
        }
      }
    }
    return tried.sort((a, b) => a.square - b.square).map(({ at }) => at);
  }

  it.each([
    ['three parties', (random: Random) => threeParties(random, 5)],
    ['two loops', (random: Random) => twoLoops(random, 8)],
  ])(
    'is named as often as writing every name at every leg finds it: %s',
    (_, make) => {
      const random = randomSource(77);
      let [mattered, first, three, possible, possibleThree] = [0, 0, 0, 0, 0];
      while (mattered < 12) {
        const party: PlainParty = make(random);
        const walk = Math.floor(random.uniform() * party.walks.length);
        const { path, readings } = party.walks[walk]!;
        const leg = 1 + Math.floor(random.uniform() * (readings.length - 1));
        const other = Math.floor(random.uniform() * party.places.length);
        if ([path[leg - 1], path[leg], path[leg + 1]].includes(other)) continue;
        const logs = logsOf(party);
        const wrong = logs.with(walk, renamed(logs[walk]!, leg, `P${other}`));
        const found = surveyOf(wrong);
        if (!found.test || found.test.p >= PASSES) continue;
        mattered++;
        const isAt = (each: Suspect) => each.source.outing === walk && each.source.leg === leg;
        const suspects = suspectsOf(found);
        if (suspects[0] && isAt(suspects[0])) first++;
        if (suspects.slice(0, 3).some(isAt)) three++;
        const best = byEveryName(wrong, party.places.length);
        if (best[0] === `${walk} ${leg}`) possible++;
        if (best.slice(0, 3).includes(`${walk} ${leg}`)) possibleThree++;
      }
      // Which of two outings named a place wrongly is often told by nothing: ties fall either way.
      expect(first).toBeGreaterThanOrEqual(possible - 3);
      expect(three).toBeGreaterThanOrEqual(possibleThree - 1);
      expect(three).toBeGreaterThanOrEqual(10);
    },
    120_000,
  );
});

type Random = ReturnType<typeof randomSource>;
