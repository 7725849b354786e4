import { expose } from 'comlink';
import type { HeightsWorker } from './heights-run';
import { runHeights } from './heights-run';

expose({ read: runHeights } satisfies HeightsWorker);
