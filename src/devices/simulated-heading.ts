import { normalised } from '../core/angle';
import { normals } from '../core/random';
import { ok } from '../core/result';
import type { HeadingDevice } from './heading';
import type { SimulatedWorld } from './simulated-world';

const HEADINGS_PER_SECOND = 10;

/** A stand-in for the phone's compass in a simulated world. `next` gives uniform numbers in [0, 1). */
export const simulatedHeading = (world: SimulatedWorld, next: () => number): HeadingDevice => ({
  start(listener) {
    const normal = normals(next);
    const tick = () => {
      if (next() < world.dropouts) return;
      listener(normalised(world.headingDegrees + world.headingNoiseDegrees * normal()));
    };
    const timer = setInterval(tick, 1000 / HEADINGS_PER_SECOND);
    return Promise.resolve(ok(() => clearInterval(timer)));
  },
});
