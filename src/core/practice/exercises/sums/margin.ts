import { angleMinutesText } from '../../../units/angle';
import type { Degrees } from '../../../units/units';
import { chanceOf, chosen, whole } from '../../chance';
import { choiceQuestion } from '../../builders';
import { NOW } from '../../country/country';
import type { Exercise, PracticeSlip } from '../../question';

/** Several east angles that differ, the right one first, with what the others come from. */
function choicesOf(right: Degrees, others: readonly (readonly [Degrees, PracticeSlip, string])[]) {
  const seen = [right];
  const isNew = (degrees: Degrees) => seen.every((other) => Math.abs(other - degrees) > 0.2);
  return [
    { id: 'right', text: angleMinutesText(right) },
    ...others.flatMap(([degrees, slip, says], index) => {
      if (!isNew(degrees)) return [];
      seen.push(degrees);
      return [
        { id: `${slip}-${index}`, text: angleMinutesText(degrees), wrong: [slip, says] as const },
      ];
    }),
  ];
}

/** In the order of the numbers, so that the place of an answer says nothing. */
const byText = <Item extends { readonly text: string }>(items: readonly Item[]) =>
  [...items].sort((one, other) => one.text.localeCompare(other.text, 'en'));

export const margin: Exercise = {
  id: 'margin',
  group: 'sums',
  title: 'The margin of an old map',
  why: 'Declination moves: a map says how much a year, and which way.',
  ask: (seed) => {
    const next = chanceOf(seed, 'margin');
    const then = chosen([-1, 1], next) * whole(24, 80, next) * (15 / 60);
    const change = chosen([-1, 1], next) * (whole(4, 11, next) / 60);
    const years = whole(8, 30, next);
    const today = then + years * change;
    const minutes = Math.round(Math.abs(change) * 60);
    return [
      choiceQuestion(
        choicesOf(today, [
          [then - years * change, 'annual-change', 'the annual change went the wrong way'],
          [then, 'annual-change', 'the annual change was left out'],
          [-today, 'declination-reversed', 'east and west are swapped'],
          [then + change, 'annual-change', 'that is the change of a single year'],
        ]),
        byText,
        {
          given: { then, changeEast: change, years },
          asks:
            `The margin of a map of ${NOW - years} says: declination ${angleMinutesText(then)}, ` +
            `annual change ${minutes}′ ${change < 0 ? 'W' : 'E'}. What is it in ${NOW}?`,
          steps: [
            `${years} years at ${minutes}′ are ` +
              `${angleMinutesText(Math.abs(years * change)).slice(0, -2)}, toward the ` +
              `${change < 0 ? 'west' : 'east'}.`,
            then < 0 === change < 0
              ? 'It goes the same way as the declination: the angle grows.'
              : 'It goes against the declination: the angle shrinks.',
            `In ${NOW} it is ${angleMinutesText(today)}. A model of the field is better ` +
              `than a long sum.`,
          ],
        },
      ),
    ];
  },
};
