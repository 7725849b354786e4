import { answerAdjust } from './adjust';
import { answerConvert } from './convert';
import { answerFix } from './fix';
import { answerHome } from './home';
import type { Answer, Question } from './question';
import { answerRoute } from './plan-route';

/** What each endpoint answers; a question that can't be answered throws `Refused`. */
export const ANSWERS = {
  home: answerHome,
  convert: answerConvert,
  adjust: answerAdjust,
  fix: answerFix,
  route: answerRoute,
} as const satisfies Record<string, (question: Question) => Answer>;

export type EndpointName = keyof typeof ANSWERS;
