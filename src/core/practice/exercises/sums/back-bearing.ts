import { backBearing as opposite, bearingDigits } from '../../../units/angle';
import { bearingQuestion, bearingSlip } from '../../builders';
import { chanceOf, whole } from '../../chance';
import type { Exercise } from '../../question';

export const backBearing: Exercise = {
  id: 'back-bearing',
  group: 'sums',
  title: 'Back bearings',
  why: 'The way back along a leg, and the check that a leg was walked as it was set.',
  ask: (seed) => {
    const bearing = whole(0, 359, chanceOf(seed, 'back-bearing'));
    const back = opposite(bearing);
    const more = bearing < 180;
    return [
      bearingQuestion(back, {
        given: { bearing },
        asks: `You walked ${bearingDigits(bearing)}°. What is the back bearing?`,
        missteps: [
          bearingSlip('half-circle', bearing, 'that is the bearing itself: it leads on, not back'),
          bearingSlip('hundred-degrees', back + 100, 'the first digit is 100° off'),
          bearingSlip('hundred-degrees', back - 100, 'the first digit is 100° off'),
          bearingSlip('ten-degrees', back + 20, 'the tens went the wrong way: 200 less 20 is 180'),
          bearingSlip('ten-degrees', back - 20, 'the tens went the wrong way: 200 less 20 is 180'),
          bearingSlip('scale', 360 - bearing, 'you took it from 360: a back bearing is 180 away'),
        ],
        steps: [
          more ? 'Under 180: add 180.' : '180 or more: subtract 180.',
          more
            ? 'In the head: add 200, then take 20 away.'
            : 'In the head: take 200 away, then add 20.',
          `${bearingDigits(bearing)} ${more ? '+' : '−'} 180 = ${bearingDigits(back)}.`,
        ],
      }),
    ];
  },
};
