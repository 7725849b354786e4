import type { SharedScale } from '../errors/sources/source';
import type { ErrorSettings } from '../model/error-settings';
import type { OutingNorths } from '../north/outing-norths';
import { radians } from '../units/units';

/** What shared errors are taken from: the settings, and the declination that is in use. */
export function sharedScale(errors: ErrorSettings, norths: OutingNorths): SharedScale {
  const { declinationEast, declinationSource, declinationSigmaDegrees } = norths;
  const sigma = declinationSource === 'model' ? declinationSigmaDegrees : errors.declination;
  return { errors, declinationSigmaRadians: declinationEast === null ? 0 : radians(sigma) };
}
