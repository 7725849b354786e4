import { bearingDigits, normalised, signedDifference } from '../../../units/angle';
import { azimuthOf, lengthOf, ORIGIN, polar, sumOf, vectorBetween } from '../../../units/plane';
import { choiceQuestion } from '../../builders';
import { chanceOf, shuffled, whole } from '../../chance';
import type { Exercise } from '../../question';
import { nth } from '../../../units/nth';

const HUNDRED = 100;
/** Other legs lie at least so far aside, so that one alone explains the gap. */
const LEAST_ASIDE = 30;

interface Leg {
  readonly degrees: number;
  readonly metres: number;
}

const legVector = ({ degrees, metres }: Leg) => polar(degrees, metres);
const isAlong = (one: number, other: number) => {
  const turn = Math.abs(signedDifference(one, other));
  return Math.min(turn, 180 - turn) < LEAST_ASIDE;
};

/** A loop whose last leg closes it, with no two legs in nearly one direction. */
function loop(next: () => number): Leg[] {
  for (;;) {
    const first = whole(0, 359, next);
    const turns = shuffled([72, 68, 75], next);
    const legs: Leg[] = [{ degrees: first, metres: 10 * whole(18, 32, next) }];
    for (const turn of turns) {
      const degrees = normalised(legs.at(-1)!.degrees + turn + whole(-6, 6, next));
      legs.push({ degrees, metres: 10 * whole(18, 32, next) });
    }
    const home = vectorBetween(legs.map(legVector).reduce(sumOf, ORIGIN), ORIGIN);
    legs.push({ degrees: Math.round(azimuthOf(home)), metres: Math.round(lengthOf(home)) });
    const apart = legs.every((leg, index) =>
      legs.every((other, at) => at === index || !isAlong(leg.degrees, other.degrees)),
    );
    if (apart && legs.at(-1)!.metres > 150) return legs;
  }
}

export const misreadLeg: Exercise = {
  id: 'misread-leg',
  group: 'judging',
  title: 'Which leg was misread?',
  why: 'A loop that does not close points along the leg whose beads were wrong.',
  ask: (seed) => {
    const next = chanceOf(seed, 'misread-leg');
    const legs = loop(next);
    const wrong = whole(0, legs.length - 1, next);
    const more = nth(legs, wrong).metres > 260 || next() < 0.5 ? -HUNDRED : HUNDRED;
    const written = legs.map((leg, index) =>
      index === wrong ? { ...leg, metres: leg.metres + more } : leg,
    );
    const gap = vectorBetween(written.map(legVector).reduce(sumOf, ORIGIN), ORIGIN);
    const given: Record<string, number> = { legs: legs.length };
    for (const [index, leg] of written.entries()) {
      given[`degrees${index}`] = leg.degrees;
      given[`metres${index}`] = leg.metres;
    }
    const text = (leg: Leg) => `${bearingDigits(leg.degrees)} ${leg.metres}m`;
    return [
      choiceQuestion(
        [
          { id: String(wrong), text: `Leg ${wrong + 1}: ${text(nth(written, wrong))}` },
          ...written.flatMap((leg, index) =>
            index === wrong
              ? []
              : [
                  {
                    id: String(index),
                    text: `Leg ${index + 1}: ${text(leg)}`,
                    wrong: [
                      'hundred-metres',
                      'the gap does not lie along that leg: a hundred metres of it ' +
                        'would open another one',
                    ] as const,
                  },
                ],
          ),
        ],
        (all) => [...all].sort((one, other) => Number(one.id) - Number(other.id)),
        {
          scene: {
            kind: 'log',
            lines: written.map(
              (leg, index) => text(leg) + (index === legs.length - 1 ? ' > Start' : ''),
            ),
          },
          given,
          asks:
            `This walk came back to its start, but the log ends ` +
            `${Math.round(lengthOf(gap))} m from it: ` +
            `the gap lies on ${bearingDigits(azimuthOf(gap))}°. One bead was forgotten ` +
            `or drawn twice. On which leg?`,
          steps: [
            'A wrong distance opens a gap along its own leg, forward or back.',
            `The gap lies on ${bearingDigits(azimuthOf(gap))}°, or ` +
              `${bearingDigits(azimuthOf(gap) + 180)}° the other way.`,
            `Leg ${wrong + 1} runs ${bearingDigits(nth(written, wrong).degrees)}°.`,
          ],
        },
      ),
    ];
  },
};
