import { numberQuestion, numberSlip } from '../../builders';
import { chanceOf, chosen, whole } from '../../chance';
import type { Exercise } from '../../question';
import { nth } from '../../../units/nth';

export const calibration: Exercise = {
  id: 'pace-calibration',
  group: 'paces',
  title: 'Pace calibration',
  why: 'Your own paces on this ground: three walks say also how far they can be trusted.',
  ask: (seed) => {
    const next = chanceOf(seed, 'pace-calibration');
    const course = chosen([80, 120, 150], next);
    const usual = (whole(58, 72, next) * course) / 100;
    const counts = [0, 1, 2].map(() => Math.round(usual * (1 + 0.08 * (next() - 0.5))));
    const mean = counts.reduce((sum, count) => sum + count, 0) / counts.length;
    const per100 = (100 * mean) / course;
    return [
      numberQuestion(per100, 'paces', 0.6, {
        given: { course, one: nth(counts, 0), two: nth(counts, 1), three: nth(counts, 2) },
        asks:
          `Three walks of ${course} m took ${counts.join(', ')} paces. How many do ` +
          `you take for 100 m?`,
        missteps: [
          numberSlip('single-steps', 2 * per100, 'single steps were counted, not paces'),
          numberSlip('scale', mean, 'that is for the whole course'),
          numberSlip('scale', (100 * course) / mean, 'you divided the wrong way round'),
        ],
        steps: [
          `The mean of the three: ${mean.toFixed(1)} paces for ${course} m.`,
          `For 100 m: ${per100.toFixed(1)}.`,
          'They differ by a few in a hundred: so does every leg that you will pace.',
        ],
      }),
    ];
  },
};
