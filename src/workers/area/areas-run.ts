import { surveyTools } from '../../core/survey/adjusted/survey-tools';
import { areaParts, type AreaParts } from '../../core/navigation/area-answer';
import { earthModels } from '../../core/north/loaded-earth-models';
import { solveAsWalked } from '../../core/survey/solve';
import type { Solution } from '../../core/survey/solution';
import type { Area } from '../../core/model/area';
import type { Outing } from '../../core/model/outing';

/** An area to be adjusted, with its outings. Plain data, so that it can be posted. */
export interface AreaJob {
  readonly area: Area;
  readonly outings: readonly Outing[];
}

/** What the worker that adjusts areas offers. */
export interface AreasWorker {
  /** Tells each round of the adjustment. */
  solve(job: AreaJob, onRound: (round: number) => void): AreaParts | Promise<AreaParts>;
}

/** Solves the outings of an area, and adjusts them. */
export function runArea({ area, outings }: AreaJob, onRound: (round: number) => void): AreaParts {
  const solutions = new Map<string, Solution>();
  for (const outing of outings) {
    const solved = solveAsWalked(outing, earthModels, { tools: surveyTools });
    if (solved.ok) solutions.set(outing.id, solved.value);
  }
  return areaParts(area, solutions, onRound);
}
