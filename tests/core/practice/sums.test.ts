import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readLines } from '@/core/log-text/read-log';
import { wayHome } from '@/core/navigation/ways/way';
import { conversionSum, declinationScaleMark } from '@/core/north/conversion-sum';
import { marginDeclination } from '@/core/north/outing-norths';
import { calibrate } from '@/core/pacing/calibration';
import { gridMetresOf } from '@/core/place/paper';
import { exerciseOf } from '@/core/practice/exercises';
import { judge } from '@/core/practice/judge';
import type { Answer, Question } from '@/core/practice/question';
import { bearingDegrees } from '@/core/readings/bearing';
import { localAttractions } from '@/core/survey/local-attraction';
import { solve } from '@/core/survey/solve';
import { backBearing, signedDifference } from '@/core/units/angle';

const seeds = fc.integer({ min: 1, max: 999_999 });
const figure = (question: Question, name: string) => Number(question.given[name]);
const degreesOf = (answer: Answer) => ('degrees' in answer ? answer.degrees : NaN);
const valueOf = (answer: Answer) => ('value' in answer ? answer.value : NaN);

/** Each question of an exercise, for many seeds. */
const forAll = (id: string, check: (question: Question, number: number) => void, numRuns = 200) =>
  fc.assert(
    fc.property(seeds, (seed) => {
      for (const [number, question] of exerciseOf(id)!.ask(seed).entries()) check(question, number);
    }),
    { numRuns },
  );

/** A log solved by the core. */
function solved(lines: readonly string[]) {
  const log = readLines(['outing Practice', 'start Tent', ...lines].join('\n'), 'practice');
  if (!log.ok) throw new Error(JSON.stringify(log.fault));
  const solution = solve(log.value.outing);
  if (!solution.ok) throw new Error(JSON.stringify(solution.fault));
  return solution.value;
}

describe('the sums of the exercises are those of the app', () => {
  it.each(['grid-to-magnetic', 'magnetic-to-grid', 'both-ways'])('%s', (id) => {
    forAll(id, (question) => {
      const { from, to } = question.given as { from: 'grid'; to: 'magnetic' };
      const norths = { declinationEast: figure(question, 'angleEast'), convergenceEast: 0 };
      const read = { degrees: figure(question, 'bearing'), north: from };
      const sum = conversionSum(read, to, norths)!;
      expect(degreesOf(question.right)).toBeCloseTo(sum.end.degrees, 9);
    });
  });

  it('a slip in the sum is reported: 315 + 13 written 324, 336 + 13 written 346', () => {
    // Common practice, no source: two sums that people got wrong by hand.
    for (const [bearing, written, right] of [
      [315, 324, '315 + 13 = 328'],
      [336, 346, '336 + 13 = 349'],
    ] as const) {
      let found = 0;
      for (let seed = 1; seed < 200_000 && found < 1; seed++) {
        const [question] = exerciseOf('magnetic-to-grid')!.ask(seed);
        if (question!.given.bearing !== bearing || question!.given.angleEast !== 13) continue;
        found++;
        const verdict = judge(question!, { kind: 'bearing', degrees: written });
        expect(verdict).toMatchObject({ isRight: false, slip: 'sum' });
        expect(verdict.says).toContain(right);
        // Ten degrees off is its own slip, and a degree is right.
        const other = judge(question!, { kind: 'bearing', degrees: bearing + 23 });
        expect(other.slip).toBe('ten-degrees');
        expect(judge(question!, { kind: 'bearing', degrees: bearing + 12 }).isRight).toBe(true);
        expect(judge(question!, { kind: 'bearing', degrees: bearing + 50 }).slip).toBeNull();
      }
      expect(found).toBe(1);
    }
  });

  it('back-bearing, quadrants and mils', () => {
    forAll('back-bearing', (question) =>
      expect(degreesOf(question.right)).toBe(backBearing(figure(question, 'bearing'))),
    );
    forAll('quadrants', (question) => {
      const { from, toward } = question.given as { from: 'N'; toward: 'E' };
      const value = figure(question, 'angle');
      const read = { unit: 'quadrant', from, toward, value, north: 'magnetic' } as const;
      expect(degreesOf(question.right)).toBe(bearingDegrees(read));
    });
    forAll('mils', (question) => {
      const isDegrees = question.given.degrees !== undefined;
      const value = isDegrees ? valueOf(question.right) : figure(question, 'mils');
      const degrees = bearingDegrees({ unit: 'mils', value, north: 'magnetic' });
      const told = isDegrees ? figure(question, 'degrees') : degreesOf(question.right);
      expect(signedDifference(degrees, told)).toBeCloseTo(0, 9);
    });
  });

  it('margin, by the day in the middle of the year', () => {
    forAll('margin', (question) => {
      const [then, change, years] = ['then', 'changeEast', 'years'].map((name) =>
        figure(question, name),
      );
      const angle = (east: number) => ({
        degrees: Math.abs(east),
        toward: east < 0 ? ('W' as const) : ('E' as const),
      });
      const east = marginDeclination(
        {
          source: 'margin',
          angle: angle(then!),
          year: 2026 - years!,
          changePerYear: angle(change!),
        },
        '2026-07-01',
      );
      const right =
        question.wanted.kind === 'choice' &&
        question.wanted.options.find(({ id }) => id === 'right');
      const [, degrees, minutes, side] = /(\d+)°(\d+)′ ([EW])/.exec(right ? right.text : '')!;
      const told = (Number(degrees) + Number(minutes) / 60) * (side === 'W' ? -1 : 1);
      expect(Math.abs(told - east)).toBeLessThan(0.2);
    });
  });

  it('fixed-scale and adjustable-housing', () => {
    const norths = (question: Question) => ({
      declinationEast: figure(question, 'declinationEast'),
      convergenceEast: 0,
    });
    forAll('fixed-scale', (question) => {
      const mark = signedDifference(0, declinationScaleMark('true', norths(question))!);
      const right =
        question.wanted.kind === 'choice' &&
        question.wanted.options.find(({ id }) => id === 'mark');
      expect(right && right.text).toContain(`${Math.abs(mark)}° ${mark < 0 ? 'W' : 'E'}`);
    });
    forAll('adjustable-housing', (question, number) => {
      const expected =
        number === 0
          ? declinationScaleMark('true', norths(question))!
          : figure(question, 'trueBearing');
      expect(degreesOf(question.right)).toBe(expected);
    });
  });

  it('distances at a scale, paces, and a calibration', () => {
    forAll('distance-at-scale', (question) => {
      const [length, scale] = [figure(question, 'millimetres'), figure(question, 'scale')];
      expect(valueOf(question.right)).toBeCloseTo(gridMetresOf({ length, unit: 'mm', scale }), 9);
    });
    forAll(
      'paces-for',
      (question) => {
        const [per100, metres] = [figure(question, 'per100'), figure(question, 'metres')];
        const way = wayHome(solved([`pace ${per100} per 100 m`, `000 ${metres}m`]));
        expect(Math.abs(valueOf(question.right) - way.paces!)).toBeLessThan(0.51);
      },
      40,
    );
    forAll('pace-calibration', (question) => {
      const counts = ['one', 'two', 'three'].map((name) => figure(question, name));
      const course = { value: figure(question, 'course'), unit: 'metres' } as const;
      const pace = calibrate({ course, counted: 'paces', counts });
      expect(pace.ok && pace.value.pacesPer100Metres).toBeCloseTo(valueOf(question.right), 9);
    });
  });

  it('slopes, boxes and ways home, by the log', () => {
    forAll(
      'slope-pace',
      (question) => {
        const { distanceMetres } = wayHome(
          solved([`000 ${figure(question, 'metres')}m up ${figure(question, 'slope')}`]),
        );
        expect(distanceMetres).toBeCloseTo(valueOf(question.right), 6);
      },
      60,
    );
    for (const id of ['four-legs', 'step-off']) {
      forAll(
        id,
        (question) => {
          if (question.right.kind !== 'way' || question.scene.kind !== 'log') return;
          const way = wayHome(solved(question.scene.lines));
          expect(way.distanceMetres).toBeCloseTo(question.right.metres, 6);
          expect(signedDifference(way.bearing.magnetic!, question.right.degrees)).toBeCloseTo(0, 6);
        },
        60,
      );
    }
    forAll(
      'box-obstacle',
      (question) => {
        if (question.right.kind !== 'number') return;
        const [before, out, along, after] = ['before', 'out', 'along', 'after'].map((name) =>
          figure(question, name),
        );
        const way = wayHome(
          solved([
            'pace 100 per 100 m',
            `000 ${before! + after!}p`,
            `box right ${out}p along ${along}p`,
          ]),
        );
        expect(way.distanceMetres).toBeCloseTo(valueOf(question.right), 6);
      },
      60,
    );
  });

  it('iron, by the rule of surveyors', () => {
    forAll('spot-iron', (question) => {
      const lines = [0, 1, 2].map((leg) => ({
        from: leg,
        to: leg + 1,
        forward: figure(question, `forward${leg}`),
        back: figure(question, `back${leg}`),
      }));
      const found = [...localAttractions(lines, 4)].filter(([, degrees]) => Math.abs(degrees) > 4);
      const names = ['Start', 'A', 'B', 'C'];
      expect(found.map(([station]) => names[station])).toEqual([
        question.right.kind === 'choice' && question.right.id,
      ]);
    });
  });
});
