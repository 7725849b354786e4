import { normalised } from '../core/units/angle';
import { normals } from '../core/errors/random';
import { ok } from '../core/units/result';
import type { HeadingDevice } from './heading';
import type { SimulatedWorld } from './simulated-world';

const HEADINGS_PER_SECOND = 10;

/** A simulated compass. `next` gives uniform numbers in [0, 1). */
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
