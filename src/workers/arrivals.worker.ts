import { expose } from 'comlink';
import type { ArrivalsWorker } from './arrivals-run';
import { runArrivals } from './arrivals-run';

expose({ run: runArrivals } satisfies ArrivalsWorker);
