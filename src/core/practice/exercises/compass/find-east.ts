import { normalised, signedDifference } from '../../../units/angle';
import { chanceOf, shuffled, whole } from '../../chance';
import { choiceQuestion, compassSetting } from '../../builders';
import type { Exercise } from '../../question';
import { nth } from '../../../units/nth';

const WAYS = ['ahead of you', 'to your right', 'behind you', 'to your left'] as const;
const NORTHS = { north: 0, east: 90, south: 180, west: 270 } as const;

export const findEast: Exercise = {
  id: 'find-east',
  group: 'compass',
  title: 'Where is east?',
  why: 'Before any figure: the four directions around you, from the needle alone.',
  ask: (seed) => {
    const next = chanceOf(seed, 'find-east');
    const body = 90 * whole(0, 3, next);
    const wanted = nth(['north', 'east', 'south', 'west'] as const, whole(0, 3, next));
    const way = (turn: number) => nth(WAYS, normalised(turn) / 90);
    const right = signedDifference(body, NORTHS[wanted]);
    const texts = [right, right + 180, -right, right + 90]
      .map(way)
      .filter((text, index, all) => all.indexOf(text) === index);
    return [
      choiceQuestion(
        texts.map((text) =>
          text === way(right)
            ? { id: text, text }
            : text === way(right + 180)
              ? {
                  id: text,
                  text,
                  wrong: ['half-circle', 'that is the opposite direction'] as const,
                }
              : { id: text, text, wrong: ['nearest-north', 'left and right are swapped'] as const },
        ),
        (all) => shuffled(all, next),
        {
          scene: {
            kind: 'compass',
            setting: compassSetting({ look: 'card', start: { bodyDegrees: body } }),
          },
          given: { body, wanted },
          asks: `You hold the compass before you. Where is ${wanted}?`,
          steps: [
            'The marked end of the needle points north.',
            'Clockwise from it: east, south, west.',
            `So ${wanted} is ${way(right)}.`,
          ],
        },
      ),
    ];
  },
};
