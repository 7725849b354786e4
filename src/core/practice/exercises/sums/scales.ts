import { bearingDigits, normalised } from '../../../units/angle';
import type { Degrees } from '../../../units/units';
import { chanceOf, chosen, shuffled, whole } from '../../chance';
import { bearingQuestion, bearingSlip, choiceQuestion, compassSetting } from '../../builders';
import type { Exercise, Question } from '../../question';
import { sideOf } from './grid-magnetic';

function markQuestion(east: Degrees, next: () => number): Question {
  const other = Math.abs(east);
  return choiceQuestion(
    [
      { id: 'mark', text: `The mark at ${sideOf(east)} of the scale` },
      {
        id: 'reversed',
        text: `The mark at ${sideOf(-east)} of the scale`,
        wrong: ['declination-reversed', 'that is the other side of the scale: east for west'],
      },
      {
        id: 'zero',
        text: 'The N of the housing',
        wrong: [
          'declination-omitted',
          'then the dial reads magnetic, and the declination is left out',
        ],
      },
      {
        id: 'south',
        text: 'The S of the housing',
        wrong: ['half-circle', 'then the bearing is 180° off'],
      },
    ],
    (all) => shuffled(all, next),
    {
      scene: {
        kind: 'compass',
        setting: compassSetting({ hasScale: true, start: { dialDegrees: 60, bodyDegrees: 60 } }),
      },
      given: { declinationEast: east },
      asks:
        `Your compass has a fixed declination scale. The declination is ${sideOf(east)}. ` +
        'To read and set true bearings, where does the north end of the needle go?',
      steps: [
        `The needle points ${other}° ${east < 0 ? 'west (left)' : 'east (right)'} of true north.`,
        'When it lies on its mark, the N of the dial points to true north.',
        `So it goes to the mark at ${sideOf(east)}.`,
      ],
    },
  );
}

export const fixedScale: Exercise = {
  id: 'fixed-scale',
  group: 'sums',
  title: 'Fixed declination scale',
  why: 'No sum, but another mark for the needle: on the right side of N.',
  ask: (seed) => {
    const next = chanceOf(seed, 'fixed-scale');
    return [markQuestion(chosen([-1, 1], next) * whole(4, 24, next), next)];
  },
};

function housingQuestions(east: Degrees, bearing: Degrees): Question[] {
  const arrow = normalised(east);
  return [
    bearingQuestion(arrow, {
      scene: {
        kind: 'compass',
        setting: compassSetting({ isAdjustable: true, start: { dialDegrees: 0, bodyDegrees: 0 } }),
      },
      given: { declinationEast: east },
      asks:
        `The housing can be adjusted. The declination is ${sideOf(east)}. ` +
        'To which figure of the dial do you turn the orienting arrow?',
      missteps: [
        bearingSlip('declination-reversed', -east, 'that is east for west'),
        bearingSlip('declination-omitted', 0, 'then it is not adjusted at all'),
        bearingSlip('half-circle', east + 180, 'the arrow is 180° off'),
      ],
      steps: [
        'The arrow turns under the dial to where magnetic north is from true north.',
        east < 0
          ? `West: 360 less ${-east}, left of N: ${bearingDigits(arrow)}.`
          : `East: ${bearingDigits(arrow)}, right of N.`,
      ],
    }),
    bearingQuestion(bearing, {
      given: { declinationEast: east, trueBearing: bearing },
      asks:
        `The compass is adjusted now. The map says ${bearingDigits(bearing)}° true. ` +
        'What do you set on the dial?',
      missteps: [
        bearingSlip(
          'declination-doubled',
          bearing - east,
          'the housing does the sum already: it was applied twice',
        ),
        bearingSlip(
          'declination-doubled',
          bearing + east,
          'the housing does the sum already: no sum any more',
        ),
        bearingSlip('half-circle', bearing + 180, 'the bearing is 180° off'),
      ],
      steps: ['An adjusted compass does the sum by itself.', `Set ${bearingDigits(bearing)}.`],
    }),
  ];
}

export const adjustableHousing: Exercise = {
  id: 'adjustable-housing',
  group: 'sums',
  title: 'Adjustable housing',
  why: 'Adjusted once, it does every sum; adjusted and summed is twice.',
  ask: (seed) => {
    const next = chanceOf(seed, 'adjustable-housing');
    const east = chosen([-1, 1], next) * whole(5, 24, next);
    return housingQuestions(east, whole(0, 359, next));
  },
};
