import { uniform } from '../core/errors/random';
import { keepChoice } from '../store/keep-choice';
import { keptChoice } from '../store/kept-choice';
import type { HeadingDevice } from './heading';
import type { MotionDevice } from './motion';
import type { PositionDevice } from './position';
import { realHeading } from './real-heading';
import { realMotion } from './real-motion';
import { realPosition } from './real-position';
import { simulatedHeading } from './simulated-heading';
import { simulatedMotion } from './simulated-motion';
import { simulatedPosition } from './simulated-position';
import { world } from './simulated-world';

const KEY = 'cairn-devices';
/** The start of the demo outing. */
const ORMSAY_DOCK = { latitude: 54.2, longitude: -63.5 };
const SIMULATED_SIGMA_METRES = 6;
const SEED = 54_635;

/** True when simulated devices are used, for trying things out at a desk. */
export const devicesAreSimulated = (): boolean => keptChoice(KEY) === 'simulated';

export function simulateDevices(simulated: boolean): void {
  void keepChoice(KEY, simulated ? 'simulated' : null);
}

/** The position sensor in use: the device's own, or the simulated one. */
export const positionDevice = (): PositionDevice =>
  devicesAreSimulated()
    ? simulatedPosition(ORMSAY_DOCK, SIMULATED_SIGMA_METRES, uniform(SEED))
    : realPosition;

/** Whether there is anything that could count by motion: some browsers have no such sensor. */
export const hasMotion = (): boolean => devicesAreSimulated() || 'DeviceMotionEvent' in globalThis;

/** The accelerometer in use. */
export const motionDevice = (): MotionDevice =>
  devicesAreSimulated() ? simulatedMotion(world, uniform(SEED + 1)) : realMotion;

/** The compass of the phone in use. */
export const headingDevice = (): HeadingDevice =>
  devicesAreSimulated() ? simulatedHeading(world, uniform(SEED + 2)) : realHeading;
