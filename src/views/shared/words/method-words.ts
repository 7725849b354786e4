import type { Method } from '@/core/model/method';
import type { Solution } from '@/core/survey/solution';

export const METHOD_LABEL = 'Loop adjustment';

/** The methods, each with what it does. */
export const METHOD_WORDS: Readonly<Record<Method, readonly [string, string]>> = {
  'as-walked': ['As walked', 'Nothing is adjusted: each place lies where it was first come to.'],
  'compass-rule': ['Compass rule', 'Each misclosure is shared out by the length of the legs.'],
  'least-squares': [
    'Least squares',
    'Each reading gives way as far as it is unsure, and what a compass or a stride has in all ' +
      'legs is estimated.',
  ],
};

const ADJUSTED: Readonly<Record<Method, string>> = {
  'as-walked': '',
  'compass-rule': 'Adjusted by the compass rule.',
  'least-squares': 'Adjusted by least squares.',
};

/** By what the places are adjusted; empty as walked. */
export const adjustedSentence = ({ method }: Pick<Solution, 'method'>): string =>
  method ? ADJUSTED[method] : '';
