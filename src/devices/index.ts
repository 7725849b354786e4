import { uniform } from '../core/random';
import type { PositionDevice } from './position';
import { realPosition } from './real-position';
import { simulatedPosition } from './simulated-position';

const KEY = 'cairn-devices';
/** The landing of the demo outing. */
const ORMSAY_DOCK = { latitude: 54.2, longitude: -63.5 };
const SIMULATED_SIGMA_METRES = 6;

/** True when simulated devices stand in for the real ones, for trying things out at a desk. */
export const devicesAreSimulated = (): boolean =>
  globalThis.localStorage?.getItem(KEY) === 'simulated';

export function simulateDevices(simulated: boolean): void {
  if (simulated) localStorage.setItem(KEY, 'simulated');
  else localStorage.removeItem(KEY);
}

/** The position sensor in use: the device's own, or its stand-in. */
export const positionDevice = (): PositionDevice =>
  devicesAreSimulated()
    ? simulatedPosition(ORMSAY_DOCK, SIMULATED_SIGMA_METRES, uniform(54_635))
    : realPosition;
