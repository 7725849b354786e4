import { expose } from 'comlink';
import { runArrivals, type ArrivalsWorker } from './arrivals-run';

expose({ run: runArrivals } satisfies ArrivalsWorker);
