import { bearingDigits, normalised } from '../../../units/angle';
import { choiceQuestion } from '../../builders';
import { chanceOf, chosen, whole } from '../../chance';
import type { Exercise } from '../../question';
import { nth } from '../../../units/nth';

const STATIONS = ['Start', 'A', 'B', 'C'] as const;

/** Bearings read at both ends of each leg: at one station the needle is pulled aside. */
export const spotIron: Exercise = {
  id: 'spot-iron',
  group: 'judging',
  title: 'Where is the iron?',
  why:
    'A wire fence, a post, a platform, a watch: forward and back bearings that disagree point at ' +
    'the station that they share.',
  ask: (seed) => {
    const next = chanceOf(seed, 'spot-iron');
    // A station between two legs: both then disagree, and nothing else explains both.
    const at = whole(1, 2, next);
    const pull = chosen([-1, 1], next) * whole(7, 19, next);
    const legs = [0, 1, 2].map((leg) => {
      const bearing = whole(0, 359, next);
      const forward = normalised(bearing + (leg === at ? pull : 0) + whole(-1, 1, next));
      const back = normalised(bearing + 180 + (leg + 1 === at ? pull : 0) + whole(-1, 1, next));
      const metres = 10 * whole(8, 30, next);
      return { forward, back, metres };
    });
    const given: Record<string, number> = {};
    for (const [leg, { forward, back }] of legs.entries()) {
      given[`forward${leg}`] = forward;
      given[`back${leg}`] = back;
    }
    return [
      choiceQuestion(
        [
          { id: nth(STATIONS, at), text: nth(STATIONS, at) },
          ...STATIONS.filter((_, station) => station !== at).map((name) => ({
            id: name,
            text: name,
            wrong: ['wrong-choice', `a leg that does not touch ${name} disagrees as well`] as const,
          })),
        ],
        (all) =>
          [...all].sort(
            (one, other) => STATIONS.indexOf(one.id as 'A') - STATIONS.indexOf(other.id as 'A'),
          ),
        {
          scene: {
            kind: 'log',
            lines: legs.map(
              ({ forward, back, metres }, leg) =>
                `${bearingDigits(forward)} ${metres}m back ${bearingDigits(back)} > ` +
                `${STATIONS[leg + 1]}`,
            ),
          },
          given,
          asks: 'Back bearings were read too. At which station was there iron?',
          steps: [
            'For each leg: forward and back should differ by 180.',
            ...legs.map(
              ({ forward, back }, leg) =>
                `${STATIONS[leg]} to ${STATIONS[leg + 1]}: off by ` +
                `${Math.abs(((back - forward + 360) % 360) - 180)}°.`,
            ),
            `The two legs that disagree meet at ${STATIONS[at]}.`,
          ],
        },
      ),
    ];
  },
};
