import { expose } from 'comlink';
import type { AreasWorker } from './areas-run';
import { runArea } from './areas-run';

expose({ solve: runArea } satisfies AreasWorker);
