import { normalised } from '../units/angle';
import type { Degrees } from '../units/units';
import type { CompassSetting, Misstep, PracticeSlip, Question, Scene } from './question';

const WORDS_ALONE: Scene = { kind: 'words' };
/** Where an exercise says nothing of a length, an error is reported over a kilometre. */
export const KILOMETRE = 1000;

/** A slip that ends at another bearing. */
export const bearingSlip = (slip: PracticeSlip, degrees: Degrees, says: string): Misstep => ({
  slip,
  answer: { kind: 'bearing', degrees: normalised(degrees) },
  says,
});

/** A slip that ends at another number. */
export const numberSlip = (slip: PracticeSlip, value: number, says: string): Misstep => ({
  slip,
  answer: { kind: 'number', value },
  says,
});

type Asked = Pick<Question, 'asks' | 'given' | 'steps'> & Partial<Question>;

/** A question whose answer is a bearing; right to a degree where nothing else is said. */
export const bearingQuestion = (degrees: Degrees, asked: Asked): Question => ({
  scene: WORDS_ALONE,
  wanted: { kind: 'bearing' },
  right: { kind: 'bearing', degrees: normalised(degrees) },
  tolerance: 1,
  missteps: [],
  overMetres: KILOMETRE,
  ...asked,
});

/** A question whose answer is a number of a unit. */
export const numberQuestion = (
  value: number,
  unit: string,
  tolerance: number,
  asked: Asked,
): Question => ({
  scene: WORDS_ALONE,
  wanted: { kind: 'number', unit },
  right: { kind: 'number', value },
  tolerance,
  missteps: [],
  overMetres: KILOMETRE,
  ...asked,
});

/** One of several answers, each with what to say where it is wrong; the right one says nothing. */
export interface Choice {
  readonly id: string;
  readonly text: string;
  readonly wrong?: readonly [PracticeSlip, string];
}

/** A question with a choice; the first is right, and `order` mixes them. */
export function choiceQuestion(
  choices: readonly Choice[],
  order: (choices: readonly Choice[]) => readonly Choice[],
  asked: Asked,
): Question {
  const [right] = choices;
  return {
    scene: WORDS_ALONE,
    wanted: { kind: 'choice', options: order(choices).map(({ id, text }) => ({ id, text })) },
    right: { kind: 'choice', id: right!.id },
    tolerance: 0,
    missteps: choices.slice(1).map(({ id, wrong }) => ({
      slip: wrong?.[0] ?? 'wrong-choice',
      answer: { kind: 'choice', id },
      says: wrong?.[1] ?? 'that is another one',
    })),
    overMetres: KILOMETRE,
    ...asked,
  };
}

/** A compass as it lies in the hand before anything is set. */
export const compassSetting = (
  some: Omit<Partial<CompassSetting>, 'start'> & { start?: Partial<CompassSetting['start']> },
): CompassSetting => ({
  fault: 'none',
  magnets: [],
  magneticNorth: 0,
  isAdjustable: false,
  hasScale: false,
  look: 'plate',
  ...some,
  start: { bodyDegrees: 0, dialDegrees: 0, housingEast: 0, ...some.start },
});

/** A map to look at, north up, with nothing on it. */
export const mapScene = (
  some: Partial<Extract<Scene, { kind: 'map' }>> & { readonly country: number },
): Scene => ({
  kind: 'map',
  marked: [],
  lines: [],
  turned: 0,
  hasPlate: false,
  needle: null,
  ...some,
});
