import { normals } from '../core/errors/random';
import { ok } from '../core/units/result';
import type { MotionDevice } from './motion';
import { walkingAcceleration, type SimulatedWorld } from './simulated-world';

const STANDING_SIZE = 9.81;
const SAMPLES_PER_SECOND = 50;

/** A simulated accelerometer: a walker's. `next` gives uniform numbers in [0, 1). */
export const simulatedMotion = (world: SimulatedWorld, next: () => number): MotionDevice => ({
  start(listener) {
    const normal = normals(next);
    let [steps, seconds] = [0, 0];
    const tick = () => {
      seconds += 1 / SAMPLES_PER_SECOND;
      if (world.walking) steps += world.stepsPerSecond / SAMPLES_PER_SECOND;
      const size =
        (world.walking ? walkingAcceleration(steps) : STANDING_SIZE) + world.motionNoise * normal();
      if (next() >= world.dropouts) listener({ seconds, size });
    };
    const timer = setInterval(tick, 1000 / SAMPLES_PER_SECOND);
    return Promise.resolve(ok(() => clearInterval(timer)));
  },
});
