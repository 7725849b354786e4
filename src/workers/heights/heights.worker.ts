import { expose } from 'comlink';
import type { HeightsWorker } from './heights-protocol';
import { runHeights } from './heights-run';

expose({ read: runHeights } satisfies HeightsWorker);
