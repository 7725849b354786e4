import { expose } from 'comlink';
import { runHeights, type HeightsWorker } from './heights-run';

expose({ read: runHeights } satisfies HeightsWorker);
