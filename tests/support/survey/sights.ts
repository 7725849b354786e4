import type { Walked } from '@/core/errors/means';
import { DEFAULT_ERRORS } from '@/core/model/error-settings';
import type { EarthQuestion } from '@/core/survey/fix/on-earth';
import type { KnownMark, Sight } from '@/core/survey/fix/sights';
import { radians } from '@/core/units/units';

const WALKED: Walked = {
  means: { aim: 'landmark', compass: 'compass', distance: 'measured', pace: null },
  finenessDegrees: 1,
  slopeTangent: 0,
  ironDegrees: 0,
  isAbout: false,
};

export const markAt = (
  name: string,
  latitude: number,
  longitude: number,
  sigmaMetres = 0.1,
): KnownMark => ({ name, position: { latitude, longitude }, sigmaMetres });

/** A bearing from true north to a mark, from where the traveller is. */
export const sightOf = (
  mark: KnownMark,
  bearingDegrees: number,
  more: Partial<Sight> = {},
): Sight => ({
  mark,
  station: null,
  bearingDegrees,
  back: false,
  metres: null,
  walked: WALKED,
  ...more,
});

/** The question that sights ask, with the errors that nobody set, and declination to 0.5°. */
export const asked = (sights: Sight[], solveCompass = false): EarthQuestion => ({
  sights,
  scale: { errors: DEFAULT_ERRORS, declinationSigmaRadians: radians(0.5) },
  around: null,
  solveCompass,
});
