import { expose } from 'comlink';
import { runArea, type AreasWorker } from './areas-run';

expose({ solve: runArea } satisfies AreasWorker);
