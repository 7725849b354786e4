import { chanceOf, shuffled, whole } from '../../chance';
import { choiceQuestion, compassSetting } from '../../builders';
import { PART_IDS, partName, partUse } from '../../compass/parts';
import type { Exercise } from '../../question';

const OTHERS = 3;

export const namePart: Exercise = {
  id: 'name-part',
  group: 'compass',
  title: 'Name the part',
  why: 'Instructions by voice, in wind and rain, need names that both know.',
  ask: (seed) => {
    const next = chanceOf(seed, 'name-part');
    const [part, ...others] = shuffled(PART_IDS, next);
    const setting = compassSetting({
      hasScale: true,
      start: { dialDegrees: whole(0, 359, next), bodyDegrees: whole(0, 359, next) },
    });
    return [
      choiceQuestion(
        [part!, ...others.slice(0, OTHERS)].map((each) => ({
          id: each,
          text: partName(each),
          ...(each === part
            ? {}
            : { wrong: ['wrong-choice', `the ${partName(each)} is another part`] as const }),
        })),
        (all) => shuffled(all, next),
        {
          scene: { kind: 'compass', setting, part: part! },
          given: { part: part! },
          asks: 'What is the marked part called?',
          steps: [partUse(part!), `It is called: ${partName(part!)}.`],
        },
      ),
    ];
  },
};
