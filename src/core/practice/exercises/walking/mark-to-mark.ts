import { chordMetres } from '../../../north/uncorrected';
import { bearingDigits } from '../../../units/angle';
import { choiceQuestion, numberQuestion, numberSlip } from '../../builders';
import { chanceOf, chosen, shuffled, whole } from '../../chance';
import type { Exercise, Question } from '../../question';

const MARKS = ['a leaning birch', 'a split boulder', 'a dead spruce', 'a root plate'] as const;

function whichMark(bearing: number, sight: number, next: () => number): Question {
  const [one, two, three] = shuffled(MARKS, next);
  const near = Math.round(sight / 4);
  return choiceQuestion(
    [
      { id: 'right', text: `${one}, ${sight - 5} m ahead, right on the line` },
      {
        id: 'near',
        text: `${two}, ${near} m ahead, right on the line`,
        wrong: ['wrong-choice', 'too near: many short sights add up more error than few long ones'],
      },
      {
        id: 'beside',
        text: `${three}, ${sight - 3} m ahead, 6° beside the line`,
        wrong: ['wrong-choice', 'beside the line: each such mark turns the whole leg'],
      },
      {
        id: 'moving',
        text: 'your friend, who walks ahead',
        wrong: ['wrong-choice', 'a mark must stay where it is; a friend must stand still'],
      },
    ],
    (all) => shuffled(all, next),
    {
      given: { bearing, sight },
      asks:
        `In a wood you see ${sight} m. You go ${bearingDigits(bearing)}°. Which ` +
        `mark do you take?`,
      steps: [
        'As far as you can see, and exactly on the line.',
        'Something that you will know again from close by, and that stays.',
        `Here: ${one}.`,
      ],
    },
  );
}

/** What a small turn makes of a leg when it is always to the same side. */
function drift(turn: number, marks: number, apart: number): Question {
  const metres = chordMetres(turn, marks * apart);
  return numberQuestion(metres, 'm', Math.max(1, metres * 0.12), {
    given: { turn, marks, apart },
    asks:
      `Each of ${marks} marks, ${apart} m apart, was ${turn}° to the left of the line. ` +
      'How far to the left are you at the end?',
    missteps: [
      numberSlip('not-written', chordMetres(turn, apart), 'that is for one mark: they add up'),
      numberSlip('scale', metres * 10, 'a nought too many'),
      numberSlip('ten-degrees', turn * marks, 'degrees are not metres: 1° is 17 m in a kilometre'),
    ],
    steps: [
      `In all ${marks * apart} m, turned by ${turn}°.`,
      '1° is 17 m in a kilometre, 1.7 m in 100 m.',
      `${turn} × 1.75 × ${((marks * apart) / 100).toFixed(1)} = ${metres.toFixed(0)} m. ` +
        `Take marks left and right in turn.`,
    ],
  });
}

export const markToMark: Exercise = {
  id: 'mark-to-mark',
  group: 'walking',
  title: 'From mark to mark through a wood',
  why: 'Eyes on the needle drift; eyes on a mark do not.',
  ask: (seed) => {
    const next = chanceOf(seed, 'mark-to-mark');
    return [
      whichMark(whole(0, 359, next), 5 * whole(5, 10, next), next),
      drift(whole(2, 5, next), whole(5, 9, next), chosen([30, 40, 50], next)),
    ];
  },
};
