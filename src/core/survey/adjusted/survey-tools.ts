import { readGridText } from '../../place/grid-text';
import { marksInPlane } from '../fix/known-of';
import { logFixes } from '../fix/log-fix';
import { startByFix } from '../fix/pin';
import type { SurveyTools } from '../solution';
import { adjustedSolution } from './adjusted-solution';

/** All that an outing may ask for: servers and workers have it, a page loads it when asked. */
export const surveyTools: SurveyTools = {
  readGrid: readGridText,
  adjusted: adjustedSolution,
  startOf: (solution) => startByFix(solution)?.position ?? null,
  marksOf: marksInPlane,
  fixesOf: logFixes,
};
