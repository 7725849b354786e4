import { bearingDigits } from '../../../units/angle';
import { bearingQuestion, bearingSlip, compassSetting } from '../../builders';
import { chanceOf, whole } from '../../chance';
import type { Exercise } from '../../question';

export const readDial: Exercise = {
  id: 'read-dial',
  group: 'compass',
  title: 'Read the dial',
  why: 'The tens and the hundreds are misread more often than the single degrees.',
  ask: (seed) => {
    const next = chanceOf(seed, 'read-dial');
    const dial = whole(0, 359, next);
    const tens = 10 * Math.floor(dial / 10);
    return [
      bearingQuestion(dial, {
        scene: {
          kind: 'compass',
          setting: compassSetting({
            start: { dialDegrees: dial, bodyDegrees: whole(0, 359, next) },
          }),
        },
        given: { dial },
        asks: 'What does the dial read at the index line?',
        tolerance: 2,
        missteps: [
          bearingSlip(
            'half-circle',
            dial + 180,
            'that is the figure at the other end: read at the index',
          ),
          bearingSlip(
            'ten-degrees',
            dial + 10,
            'the bearing is 10° off: look at the figures on both sides',
          ),
          bearingSlip(
            'ten-degrees',
            dial - 10,
            'the bearing is 10° off: look at the figures on both sides',
          ),
          // From the next figure down instead of from the last one up.
          bearingSlip(
            'not-read',
            tens + 10 - (dial - tens),
            'you counted down from the next figure',
          ),
          bearingSlip('hundred-degrees', dial + 100, 'the first digit is 100° off'),
          bearingSlip('hundred-degrees', dial - 100, 'the first digit is 100° off'),
        ],
        steps: [
          'Find the index line, at the foot of the arrow.',
          `The last figure before it, clockwise, is ${bearingDigits(tens)}.`,
          `Count the marks after it: ${dial - tens}. It reads ${bearingDigits(dial)}.`,
        ],
      }),
    ];
  },
};
