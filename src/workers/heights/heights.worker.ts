import { expose } from 'comlink';
import { CairnDatabase } from '../../store/database';
import { KeptHeights, runHeights, type HeightsWorker } from './heights-run';

const kept = new KeptHeights(new CairnDatabase());

expose({
  read: runHeights,
  keep: (job, onProgress) => kept.keep(job, onProgress),
  draw: (request) => kept.draw(request),
} satisfies HeightsWorker);
