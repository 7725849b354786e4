import { logFixes } from '../fix/log-fix';
import '../../place/grid-reader-provided';
import { marksInPlane } from '../fix/known-of';
import { startByFix } from '../fix/pin';
import { adjustedSolution } from './adjusted-solution';
import { provideAdjuster } from './adjuster';
import { provideFixTools } from './fix-tools';

provideAdjuster(adjustedSolution);
provideFixTools({
  startOf: (solution) => startByFix(solution)?.position ?? null,
  marksOf: marksInPlane,
  fixesOf: logFixes,
});
