import type { EntryOf } from '../entries/entry';
import { DEFAULT_ERRORS, type ErrorSettings } from '../model/error-settings';
import type { Calibration, PaceProfile } from '../model/pace-profile';
import { calibrate } from './calibration';
import { newWalkSpread } from './new-walk-spread';

/** The calibration in use on each ground, the newest; undefined stands for the general one. */
export function currentCalibrations(profile: PaceProfile): Map<string | undefined, Calibration> {
  const newest = new Map<string | undefined, Calibration>();
  for (const calibration of profile.calibrations) {
    const other = newest.get(calibration.ground);
    if (!other || Date.parse(calibration.at) >= Date.parse(other.at)) {
      newest.set(calibration.ground, calibration);
    }
  }
  return newest;
}

const tenths = (value: number) => Math.round(value * 10) / 10;

/** The `pace` lines that an outing is given of a profile, the general one first. */
export function paceLines(
  profile: PaceProfile,
  errors: ErrorSettings = DEFAULT_ERRORS,
): EntryOf<'pace'>[] {
  const lines = [...currentCalibrations(profile)].flatMap(([ground, calibration]) => {
    const found = calibrate(calibration);
    if (!found.ok) return [];
    const { pacesPer100Metres, spread, walks } = found.value;
    const line: EntryOf<'pace'> = {
      kind: 'pace',
      unit: 'per-100-m',
      value: tenths(pacesPer100Metres),
      ...(ground === undefined ? {} : { ground }),
      spreadPercent: tenths(100 * newWalkSpread(spread, walks.length, errors)),
      walks: walks.length,
    };
    return [line];
  });
  return lines.sort((a, b) => Number(a.ground !== undefined) - Number(b.ground !== undefined));
}
