import { fail, ok } from '../core/units/result';
import type { DeviceFault, PositionDevice } from './position';

/** Under trees and in the cold a first fix takes this long. */
const LONGEST_WAIT_MS = 30_000;

const FAULTS: Readonly<Record<number, DeviceFault>> = {
  1: 'refused',
  2: 'no-answer',
  3: 'no-answer',
};

/** The device's own position, by the browser and with its permission. */
export const realPosition: PositionDevice = {
  read: () =>
    new Promise((resolve) => {
      if (!navigator.geolocation) return resolve(fail('absent'));
      navigator.geolocation.getCurrentPosition(
        ({ coords: { latitude, longitude, accuracy } }) =>
          resolve(ok({ position: { latitude, longitude }, accuracyMetres: accuracy })),
        ({ code }) => resolve(fail(FAULTS[code] ?? 'no-answer')),
        { enableHighAccuracy: true, timeout: LONGEST_WAIT_MS, maximumAge: 0 },
      );
    }),
};
