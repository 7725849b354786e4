import { GROUNDS } from '@/core/logbook';
import type { Solution } from '@/core/solve';

/** The grounds to choose from: the usual ones, and those that an outing has a pace for. */
export const groundsOf = (solution: Solution): string[] => [
  ...new Set<string>([...GROUNDS, ...(solution.end.grounds?.keys() ?? [])]),
];
