import { GROUNDS } from '@/core/readings/ground';
import type { Solution } from '@/core/survey/solution';

/** The grounds to choose from: the usual ones, and those an outing has a pace for. */
export const groundsOf = (solution: Solution): string[] => [
  ...new Set<string>([...GROUNDS, 'brush', ...(solution.end.grounds?.keys() ?? [])]),
];
