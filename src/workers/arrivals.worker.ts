import { expose } from 'comlink';
import type { ArrivalsWorker } from './arrivals-protocol';
import { runArrivals } from './arrivals-run';

expose({ run: runArrivals } satisfies ArrivalsWorker);
