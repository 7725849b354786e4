import { normalised } from '../core/units/angle';
import { fail, ok } from '../core/units/result';
import type { HeadingDevice } from './heading';
import { LONGEST_SILENCE_MS, sensorAllowed } from './permission';

type WithCompass = DeviceOrientationEvent & { readonly webkitCompassHeading?: number };

/** The heading of an event, or null where it has none that is against north. */
function headingOf(event: WithCompass): number | null {
  if (event.webkitCompassHeading !== undefined) return event.webkitCompassHeading;
  if (!event.absolute || event.alpha === null) return null;
  // Source: W3C, DeviceOrientation Event Specification: alpha turns anticlockwise, so that the top
  // of a level phone points 360 - alpha.
  return normalised(360 - event.alpha);
}

/** The phone's compass, by the browser. It is near the phone's iron: an aid, never a bearing. */
export const realHeading: HeadingDevice = {
  async start(listener) {
    if (!('DeviceOrientationEvent' in globalThis)) return fail('absent');
    if (!(await sensorAllowed(globalThis.DeviceOrientationEvent))) return fail('refused');
    return new Promise((resolve) => {
      const kinds = ['deviceorientationabsolute', 'deviceorientation'] as const;
      const hear = (event: Event) => {
        const heading = headingOf(event as WithCompass);
        if (heading === null) return;
        clearTimeout(silence);
        resolve(ok(stop));
        listener(heading);
      };
      const stop = () => kinds.forEach((kind) => window.removeEventListener(kind, hear));
      const silence = setTimeout(() => {
        stop();
        resolve(fail('absent'));
      }, LONGEST_SILENCE_MS);
      kinds.forEach((kind) => window.addEventListener(kind, hear));
    });
  },
};
