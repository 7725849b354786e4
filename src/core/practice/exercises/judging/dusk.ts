import { walkMinutes } from '../../../navigation/ways/walk-time';
import { chanceOf, chosen, whole } from '../../chance';
import { choiceQuestion } from '../../builders';
import type { Exercise } from '../../question';

/** In fog and bad light one is slower. Common practice, no source. */
const SLOWER = 1.5;

type Decision = 'go' | 'path' | 'stay';

const TEXTS: Readonly<Record<Decision, string>> = {
  go: 'Go straight home now, by compass and count',
  path: 'Go to the path, and home along it, also in the dark',
  stay: 'Stay: shelter, warm clothes, the whistle, and call for help',
};
const WRONG: Readonly<Record<Decision, string>> = {
  go: 'there is not light enough for the straight way',
  path: 'the path is not needed, or can’t be reached before dark',
  stay: 'there is light enough for a safe way, and it is near',
};

/** What the light and the ground allow. */
function decided(light: number, home: number, path: number): Decision {
  if (home * SLOWER <= light) return 'go';
  return path * SLOWER <= light ? 'path' : 'stay';
}

const ORDER: readonly Decision[] = ['go', 'path', 'stay'];

export const dusk: Exercise = {
  id: 'dusk',
  group: 'judging',
  title: 'Decide at dusk',
  why: 'The sum is easy; to do it in time, and to follow it, is the exercise.',
  ask: (seed) => {
    const next = chanceOf(seed, 'dusk');
    const wanted = chosen(ORDER, next);
    let [light, home, path] = [0, 0, 0];
    do {
      light = 5 * whole(5, 24, next);
      home = 100 * whole(8, 60, next);
      path = 50 * whole(4, 40, next);
    } while (
      // A path that leads there, and is farther than home, would be no choice.
      path >= 0.8 * home ||
      decided(light, walkMinutes(home, 4), walkMinutes(path, 4)) !== wanted ||
      // Not on the edge: nobody should argue with the answer.
      [home, path].some((metres) => Math.abs((walkMinutes(metres, 4) * SLOWER) / light - 1) < 0.15)
    );
    const minutes = (metres: number) => Math.round(walkMinutes(metres, 4));
    return [
      choiceQuestion(
        [wanted, ...ORDER.filter((each) => each !== wanted)].map((each) => ({
          id: each,
          text: TEXTS[each],
          ...(each === wanted ? {} : { wrong: ['wrong-choice', WRONG[each]] as const }),
        })),
        (all) => ORDER.flatMap((id) => all.filter((each) => each.id === id)),
        {
          given: { light, home, path },
          asks:
            `Fog, and ${light} minutes until dark. Home is ${home} m away over rough ground, ` +
            `a path that leads there ${path} m. You walk 4 km/h on the level. What do you do?`,
          steps: [
            `Straight home: ${minutes(home)} minutes, in fog half as much again: ` +
              `${Math.round(minutes(home) * SLOWER)}.`,
            `To the path: ${minutes(path)}, with the same: ${Math.round(minutes(path) * SLOWER)}.`,
            `${light} minutes of light: ` +
              `${TEXTS[wanted].charAt(0).toLowerCase()}${TEXTS[wanted].slice(1)}.`,
            'Only an exercise: local rules, the local rescue service and qualified ' +
              'instruction come first.',
          ],
        },
      ),
    ];
  },
};
