import { radians } from '../../../units/units';
import { numberQuestion, numberSlip } from '../../builders';
import { chanceOf, whole } from '../../chance';
import type { Exercise } from '../../question';

export const slopePace: Exercise = {
  id: 'slope-pace',
  group: 'paces',
  title: 'Slope and distance',
  why: 'Paces follow the ground, the map lies flat: on a steep slope the map is shorter.',
  ask: (seed) => {
    const next = chanceOf(seed, 'slope-pace');
    const slope = whole(18, 35, next);
    const metres = 10 * whole(20, 60, next);
    const cosine = Math.cos(radians(slope));
    const level = metres * cosine;
    // As a table gives it: what is shown is what is multiplied.
    const factor = cosine.toFixed(3);
    return [
      numberQuestion(level, 'm', 0.015 * level, {
        given: { slope, metres },
        asks: `You paced ${metres} m straight up a slope of ${slope}°. How far is that on the map?`,
        missteps: [
          numberSlip('slope', metres, 'the slope was left out'),
          numberSlip(
            'slope',
            metres / cosine,
            'you made it longer: the map is shorter than the ground',
          ),
          numberSlip(
            'slope',
            metres * Math.sin(radians(slope)),
            'that is the climb, not the distance',
          ),
        ],
        steps: [
          `The map shows the ground from above: times cos ${slope}° = ${factor}.`,
          'In the head: 6 % off at 20°, 13 % at 30°, 18 % at 35°.',
          `${metres} × ${factor} = ${Math.round(metres * Number(factor))} m. Uphill paces are ` +
            `shorter as well.`,
        ],
      }),
    ];
  },
};
