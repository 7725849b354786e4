import { adjustedSolution } from './adjusted-solution';
import { provideAdjuster } from './adjuster';

provideAdjuster(adjustedSolution);
