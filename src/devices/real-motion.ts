import { fail, ok } from '../core/units/result';
import type { MotionDevice } from './motion';
import { LONGEST_SILENCE_MS, sensorAllowed } from './permission';

/** The phone's own accelerometer, by the browser. */
export const realMotion: MotionDevice = {
  async start(listener) {
    if (!('DeviceMotionEvent' in globalThis)) return fail('absent');
    if (!(await sensorAllowed(globalThis.DeviceMotionEvent))) return fail('refused');
    return new Promise((resolve) => {
      const hear = ({ accelerationIncludingGravity: a, timeStamp }: DeviceMotionEvent) => {
        if (!a || a.x === null || a.y === null || a.z === null) return;
        clearTimeout(silence);
        resolve(ok(stop));
        listener({ seconds: timeStamp / 1000, size: Math.hypot(a.x, a.y, a.z) });
      };
      const stop = () => window.removeEventListener('devicemotion', hear);
      const silence = setTimeout(() => {
        stop();
        resolve(fail('absent'));
      }, LONGEST_SILENCE_MS);
      window.addEventListener('devicemotion', hear);
    });
  },
};
