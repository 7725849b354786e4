import { chordMetres } from '../north/uncorrected';
import { signedDifference } from '../units/angle';
import { lengthOf, polar, vectorBetween } from '../units/plane';
import type { Degrees, Metres } from '../units/units';
import type { Answer, Misstep, PracticeSlip, Question } from './question';

/** What is to be said of an answer. */
export interface Verdict {
  readonly isRight: boolean;
  /** How far off, for a bearing, a compass or a way. */
  readonly errorDegrees: Degrees | null;
  /** How far from the goal that leads; for a length, how much is missing or too much. */
  readonly errorMetres: Metres | null;
  /** Which slip it was; null where the answer is right, or no known slip explains it. */
  readonly slip: PracticeSlip | null;
  /** In words, without a full stop; empty where it is right. */
  readonly says: string;
}

/** How far apart two answers of one kind are, in the question's own unit. */
export function apart(one: Answer, other: Answer): number {
  if (one.kind === 'bearing' && other.kind === 'bearing') {
    return Math.abs(signedDifference(one.degrees, other.degrees));
  }
  if (one.kind === 'number' && other.kind === 'number') return Math.abs(one.value - other.value);
  if (one.kind === 'compass' && other.kind === 'compass') {
    return Math.max(
      Math.abs(signedDifference(one.dialDegrees, other.dialDegrees)),
      Math.abs(signedDifference(one.bodyDegrees, other.bodyDegrees)),
    );
  }
  if (one.kind === 'place' && other.kind === 'place') {
    return lengthOf(vectorBetween(one.point, other.point));
  }
  if (one.kind === 'way' && other.kind === 'way') {
    const [here, there] = [one, other].map(({ degrees, metres }) => polar(degrees, metres));
    return lengthOf(vectorBetween(here!, there!));
  }
  return one.kind === 'choice' && other.kind === 'choice' && one.id === other.id ? 0 : Infinity;
}

/** A slip is reported where the answer is this much nearer to it than to the right one. */
const NEARER = 2;

/** More than this and a sum was not slipped in, but another one done. */
const MOST_SUM_DEGREES = 9;

/** A sum of degrees that was begun right and ends a few degrees beside it: 315 + 13 = 324. */
function sumSlip({ sum, right, tolerance }: Question, answer: Answer): Misstep | null {
  if (sum === undefined || answer.kind !== 'bearing') return null;
  const off = Math.round(apart(right, answer));
  if (off <= tolerance || off > MOST_SUM_DEGREES) return null;
  return { slip: 'sum', answer, says: `the sum is ${off}° off: ${sum}` };
}

/** The slip that explains an answer best, if one does. */
function explains(question: Question, answer: Answer): Misstep | null {
  const off = apart(question.right, answer);
  const near = question.missteps
    .map((misstep) => ({ misstep, by: apart(misstep.answer, answer) }))
    .sort((one, other) => one.by - other.by)[0];
  if (!near || near.by > question.tolerance * NEARER || near.by * NEARER > off) return null;
  return near.misstep;
}

function errorDegrees(right: Answer, answer: Answer): Degrees | null {
  if (right.kind === 'bearing' || right.kind === 'compass') return apart(right, answer);
  if (right.kind === 'way' && answer.kind === 'way') {
    return Math.abs(signedDifference(right.degrees, answer.degrees));
  }
  return null;
}

function errorMetres({ right, wanted, overMetres }: Question, answer: Answer): Metres | null {
  if (right.kind === 'way' || right.kind === 'place') return apart(right, answer);
  const turn = errorDegrees(right, answer);
  if (turn !== null) return chordMetres(turn, overMetres);
  return wanted.kind === 'number' && wanted.unit === 'm' ? apart(right, answer) : null;
}

/** Judges an answer: right or not, how far off, and which slip it was. */
export function judge(question: Question, answer: Answer): Verdict {
  const isRight = apart(question.right, answer) <= question.tolerance;
  const misstep = isRight ? null : (explains(question, answer) ?? sumSlip(question, answer));
  return {
    isRight,
    errorDegrees: errorDegrees(question.right, answer),
    errorMetres: errorMetres(question, answer),
    slip: misstep?.slip ?? null,
    says: misstep?.says ?? '',
  };
}
