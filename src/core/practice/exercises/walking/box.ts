import { bearingDigits } from '../../../units/angle';
import { bearingQuestion, bearingSlip, numberQuestion, numberSlip } from '../../builders';
import { chanceOf, chosen, whole } from '../../chance';
import type { Exercise, Question } from '../../question';

/** Which of all the paces belong to the leg. */
function countQuestion(before: number, out: number, along: number, after: number): Question {
  const counted = before + along + after;
  return numberQuestion(counted, 'paces', 2, {
    given: { before, out, along, after },
    asks:
      `${before} paces to the lake, ${out} out, ${along} along, ${out} back, ${after} more. ` +
      'How many does the leg have?',
    missteps: [
      numberSlip(
        'box-side',
        counted + 2 * out,
        'out and back do not count: only what goes along the line',
      ),
      numberSlip('not-written', before + after, 'the stretch along the lake counts'),
      numberSlip('box-side', counted + out, 'neither out nor back counts'),
    ],
    steps: [
      'Only what goes along the line counts.',
      `${before} + ${along} + ${after} = ${counted}.`,
    ],
  });
}

export const boxObstacle: Exercise = {
  id: 'box-obstacle',
  group: 'walking',
  title: 'Box an obstacle',
  why: 'Four right angles around a lake, and the leg goes on as if it were not there.',
  ask: (seed) => {
    const next = chanceOf(seed, 'box-obstacle');
    const bearing = whole(0, 359, next);
    const side = chosen(['right', 'left'] as const, next);
    const turn = side === 'right' ? 90 : -90;
    const [before, out, along, after] = [
      whole(60, 200, next),
      whole(30, 90, next),
      whole(60, 180, next),
      whole(40, 160, next),
    ];
    return [
      bearingQuestion(bearing + turn, {
        given: { bearing, side },
        asks:
          `You go ${bearingDigits(bearing)}°. A lake: you turn to the ${side}, by ` +
          `90°. What do you follow?`,
        missteps: [
          bearingSlip('box-side', bearing - turn, 'that is the other side'),
          bearingSlip('half-circle', bearing + 180, 'that leads back'),
        ],
        steps: [
          side === 'right' ? 'To the right: add 90.' : 'To the left: subtract 90.',
          `Without a sum: leave the dial as it is, and turn until the needle is at ` +
            `${side === 'right' ? 'W' : 'E'} on it instead of N.`,
          `${bearingDigits(bearing + turn)}.`,
        ],
      }),
      bearingQuestion(bearing - turn, {
        given: { bearing, side },
        asks:
          `Out ${out} paces, then ${along} along the lake on ` +
          `${bearingDigits(bearing)}°. What leads back to the line?`,
        missteps: [
          bearingSlip(
            'box-side',
            bearing + turn,
            'the second turn around the obstacle went the wrong way',
          ),
          bearingSlip('half-circle', bearing + 180, 'that leads back along the line'),
        ],
        steps: [
          'The same angle, to the other side.',
          `${bearingDigits(bearing - turn)}, and exactly ${out} paces: as many as you went out.`,
        ],
      }),
      countQuestion(before, out, along, after),
    ];
  },
};
