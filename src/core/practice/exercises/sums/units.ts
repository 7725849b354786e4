import { bearingDigits, normalised } from '../../../units/angle';
import type { Degrees } from '../../../units/units';
import { bearingQuestion, bearingSlip, numberQuestion, numberSlip } from '../../builders';
import { chanceOf, whole } from '../../chance';
import type { Exercise, Question } from '../../question';

const MILS = 6400;

/** A quadrant bearing as it is written: S40W. */
function quadrantOf(degrees: Degrees) {
  const from = degrees <= 90 || degrees >= 270 ? 'N' : 'S';
  const toward = degrees < 180 ? 'E' : 'W';
  const north = from === 'N' ? 0 : 180;
  const angle = Math.abs(((degrees - north + 540) % 360) - 180);
  return { from, toward, angle, text: `${from}${angle}${toward}` };
}

const RULES: Readonly<Record<string, string>> = {
  NE: 'North-east: the angle is the bearing.',
  SE: 'South-east: 180 less the angle.',
  SW: 'South-west: 180 and the angle.',
  NW: 'North-west: 360 less the angle.',
};

function quadrantQuestion(degrees: Degrees): Question {
  const { from, toward, angle, text } = quadrantOf(degrees);
  return bearingQuestion(degrees, {
    given: { quadrant: text, angle, from, toward },
    asks: `An old survey says ${text}. What is that in degrees?`,
    tolerance: 0.5,
    missteps: [
      bearingSlip('half-circle', degrees + 180, 'the other quadrant: the bearing is 180° off'),
      bearingSlip('nearest-north', 360 - degrees, 'east and west are swapped'),
      bearingSlip('nearest-north', 180 - degrees, 'north and south are swapped'),
    ],
    steps: [
      `Begin at ${from === 'N' ? 'north' : 'south'} and turn ${angle}° toward ` +
        `${toward === 'E' ? 'east' : 'west'}.`,
      RULES[from + toward]!,
      `${text} = ${bearingDigits(degrees)}°.`,
    ],
  });
}

export const quadrants: Exercise = {
  id: 'quadrants',
  group: 'sums',
  title: 'Quadrants',
  why: 'Old surveys and some foresters count from north or south toward east or west.',
  ask: (seed) => {
    const next = chanceOf(seed, 'quadrants');
    // Away from the main directions, where both names of a quadrant say the same.
    return [quadrantQuestion(90 * whole(0, 3, next) + whole(8, 82, next))];
  },
};

export const mils: Exercise = {
  id: 'mils',
  group: 'sums',
  title: 'Mils',
  why: '6,400 to the circle: what gunners and some maps use; one mil is about a metre in 1,000.',
  ask: (seed) => {
    const next = chanceOf(seed, 'mils');
    const value = 40 * whole(1, 158, next);
    const degrees = (value * 360) / MILS;
    if (next() < 0.5) {
      return [
        bearingQuestion(degrees, {
          given: { mils: value },
          asks: `A bearing is ${value} mils. What is that in degrees?`,
          missteps: [
            bearingSlip(
              'unit',
              (value * 360) / 6000,
              'you took 6,000 to the circle: here it is 6,400',
            ),
            bearingSlip(
              'unit',
              value / 17.45,
              'you took thousandths of a radian: here it is 6,400 to the circle',
            ),
            bearingSlip('unit', value / 10, 'a tenth of the mils is no degrees'),
            bearingSlip('half-circle', degrees + 180, 'the bearing is 180° off'),
          ],
          steps: [
            '6,400 mils are 360°, so 160 mils are 9°.',
            `${value} ÷ 160 × 9 = ${degrees.toFixed(1)}.`,
          ],
        }),
      ];
    }
    const asked = normalised(9 * Math.round(degrees / 9));
    const right = (asked * MILS) / 360;
    return [
      numberQuestion(right, 'mils', 20, {
        given: { degrees: asked },
        asks: `A bearing is ${bearingDigits(asked)}°. How many mils is that?`,
        missteps: [
          numberSlip(
            'unit',
            (asked * 6000) / 360,
            'you took 6,000 to the circle: here it is 6,400',
          ),
          numberSlip(
            'unit',
            asked * 17.45,
            'you took thousandths of a radian: here it is 6,400 to the circle',
          ),
          numberSlip('half-circle', (right + 3200) % MILS, 'it is half a turn (3,200 mils) off'),
        ],
        steps: ['360° are 6,400 mils, so 9° are 160 mils.', `${asked} ÷ 9 × 160 = ${right}.`],
      }),
    ];
  },
};
