import { surveyTools } from '../../core/survey/adjusted/survey-tools';
import { areaParts, type AreaParts } from '../../core/navigation/area-answer';
import { earthModels } from '../../core/north/loaded-earth-models';
import { solveAsWalked } from '../../core/survey/solve';
import type { Solution } from '../../core/survey/solution';
import type { AreaJob } from './areas-protocol';

/** Solves the outings of an area, and adjusts them. */
export function runArea({ area, outings }: AreaJob, onRound: (round: number) => void): AreaParts {
  const solutions = new Map<string, Solution>();
  for (const outing of outings) {
    const solved = solveAsWalked(outing, earthModels, { tools: surveyTools });
    if (solved.ok) solutions.set(outing.id, solved.value);
  }
  return areaParts(area, solutions, onRound);
}
