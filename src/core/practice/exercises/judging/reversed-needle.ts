import { normalised } from '../../../units/angle';
import { choiceQuestion, compassSetting } from '../../builders';
import { chanceOf, chosen, whole } from '../../chance';
import { BUBBLE_DEGREES, COMPASS_FAULTS, type CompassFault } from '../../compass/hand-compass';
import type { Exercise } from '../../question';

const TEXTS: Readonly<Record<CompassFault, string>> = {
  none: 'Nothing: it can be trusted',
  reversed: 'Its needle is reversed',
  bubble: 'A large bubble holds the needle aside',
};
/** A mark that is 180° off, or a few degrees, by the check. */
const WRONG: Readonly<Record<CompassFault, string>> = {
  none: 'the check is off: it can not be trusted',
  reversed: 'a reversed needle is off by 180°, not by a few degrees',
  bubble: 'a bubble is off by a few degrees, not by 180°',
};

export const reversedNeedle: Exercise = {
  id: 'reversed-needle',
  group: 'judging',
  title: 'Can this compass be trusted?',
  why: 'A needle can be reversed by a phone in the same pocket: check it against what you know.',
  ask: (seed) => {
    const next = chanceOf(seed, 'reversed-needle');
    const fault = chosen(COMPASS_FAULTS, next);
    const lake = 10 * whole(0, 35, next);
    const off = {
      none: whole(-1, 1, next),
      reversed: 180 + whole(-2, 2, next),
      bubble: -BUBBLE_DEGREES,
    }[fault];
    const reads = normalised(lake + off);
    return [
      choiceQuestion(
        [fault, ...COMPASS_FAULTS.filter((each) => each !== fault)].map((each) => ({
          id: each,
          text: TEXTS[each],
          ...(each === fault ? {} : { wrong: ['wrong-choice', WRONG[each]] as const }),
        })),
        (all) => COMPASS_FAULTS.flatMap((id) => all.filter((each) => each.id === id)),
        {
          scene: {
            kind: 'compass',
            setting: compassSetting({
              fault,
              magneticNorth: 0,
              start: { bodyDegrees: lake, dialDegrees: Math.round(reads) },
            }),
          },
          given: { known: lake, reads },
          asks:
            `You look along a straight shore. Its grid bearing, turned to magnetic, is ${lake}°. ` +
            `With the needle in its arrow the dial reads ${Math.round(reads)}. What is ` +
            `wrong with the compass?`,
          steps: [
            `By the map ${lake}, by the compass ${Math.round(reads)}.`,
            fault === 'none'
              ? 'They agree within what a hand can hold.'
              : fault === 'reversed'
                ? 'Half a turn off. Sun, wind and slope would say so too: at midday the ' +
                  'sun is in the south, north of the tropics.'
                : 'Some degrees off, and the needle does not swing free.',
            `${TEXTS[fault]}.`,
          ],
        },
      ),
    ];
  },
};
