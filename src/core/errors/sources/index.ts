import { estimated, type ErrorSource } from './source';
import { radians } from '../../units/units';
import { ownSpread, paceLengthSigma } from '../pace-errors';

/** Following a bearing: by the needle alone, from mark to mark, or with a sighting compass. */
const following: ErrorSource = {
  id: 'following',
  of: 'bearing',
  about: ({ aim }) => aim,
  bearing: ({ means }, errors) => radians(errors[means.aim]) ** 2,
};

/** Below this a turn shortens nothing that counts: 10 000 m lose less than 7 m. */
const COARSE_DEGREES = 10;

/**
 * What a bearing was read to, a whole degree or a compass point: uniform over that width.
 *
 * | symbol | meaning                                     | equation                              |
 * | w      | half the width                              |                                       |
 * | σ²     | variance of the bearing                     | w²/3                                  |
 * | p²     | a leg turned by e reaches cos e as far:     | E(1 - cos e)²                         |
 * |        | the mean square of what is missing          | = 3/2 - 2·sin w/w + sin 2w/(4w)       |
 */
export const fineness: ErrorSource = {
  id: 'fineness',
  of: 'bearing',
  bearing: ({ finenessDegrees }) => radians(finenessDegrees / 2) ** 2 / 3,
  distance: ({ finenessDegrees }) => {
    if (finenessDegrees < COARSE_DEGREES) return 0;
    const w = radians(finenessDegrees / 2);
    return 1.5 - (2 * Math.sin(w)) / w + Math.sin(2 * w) / (4 * w);
  },
};

/** The compass and the way it is held: alike in all that is read with it in one way of aiming. */
const compass: ErrorSource = {
  id: 'compass',
  of: 'bearing',
  about: ({ aim }) => aim,
  shared: ({ compass: name, aim }, { errors }) =>
    name === null
      ? null
      : {
          source: 'compass',
          key: `compass ${aim} ${name}`,
          about: aim,
          of: 'bearing',
          sigma: radians(errors.compass),
        },
};

/** The declination in use: in every bearing that a compass stands between and the map. */
const declination: ErrorSource = {
  id: 'declination',
  of: 'bearing',
  shared: ({ compass }, { declinationSigmaRadians: sigma }) =>
    compass === null || sigma === 0
      ? null
      : { source: 'declination', key: 'declination', about: '', of: 'bearing', sigma },
};

/** More than this is a slip, not iron. Common practice, no source. */
const MOST_IRON_DEGREES = 30;

/**
 * Iron at a station. Where the back bearing disagrees, one of the two readings has all of it and
 * nobody knows which: half its square, for a leg that is taken as first read.
 */
const iron: ErrorSource = {
  id: 'iron',
  of: 'bearing',
  bearing: ({ ironDegrees, means }, errors) =>
    means.compass === null
      ? 0
      : radians(errors.iron) ** 2 + radians(Math.min(MOST_IRON_DEGREES, ironDegrees)) ** 2 / 2,
};

/** A paced distance, each for itself. */
const paced: ErrorSource = {
  id: 'paced',
  of: 'distance',
  about: ({ pace }) => pace?.ground ?? '',
  distance: ({ means, isAbout }, errors) =>
    means.pace ? estimated(isAbout) * ownSpread(means.pace, errors) ** 2 : 0,
};

/** The length of the pace: alike in all paces on one ground with one calibration. */
const paceLength: ErrorSource = {
  id: 'pace-length',
  of: 'distance',
  about: ({ pace }) => pace?.ground ?? '',
  shared: ({ pace }, { errors }) =>
    pace && {
      source: 'pace-length',
      key: `pace ${pace.key}`,
      about: pace.ground,
      of: 'distance',
      sigma: paceLengthSigma(pace, errors),
    },
};

/** A distance in metres, feet or miles. */
const measured: ErrorSource = {
  id: 'measured',
  of: 'distance',
  distance: ({ means, isAbout }, errors) =>
    means.distance === 'measured' ? estimated(isAbout) * errors.measured ** 2 : 0,
};

/** A distance by time, each for itself: halts, and the clock. */
const timed: ErrorSource = {
  id: 'timed',
  of: 'distance',
  distance: ({ means, isAbout }, errors) =>
    means.distance === 'timed' ? estimated(isAbout) * errors.timed ** 2 : 0,
};

/** The speed that timed distances are taken from: alike in all of them. */
const speed: ErrorSource = {
  id: 'speed',
  of: 'distance',
  shared: ({ distance }, { errors }) =>
    distance === 'timed'
      ? { source: 'speed', key: 'speed', about: '', of: 'distance', sigma: errors.speed }
      : null,
};

/** A slope as it was read: on the level d·cos θ changes by d·sin θ a radian, tan θ of itself. */
const slope: ErrorSource = {
  id: 'slope',
  of: 'distance',
  distance: ({ slopeTangent }, errors) => (slopeTangent * radians(errors.slope)) ** 2,
};

/** A reader who takes slopes for steeper, or gentler, than they are: alike in all of them. */
const slopeReader: ErrorSource = {
  id: 'slope-reader',
  of: 'distance',
  shared: (_means, { errors }) => ({
    source: 'slope-reader',
    key: 'slope-reader',
    about: '',
    of: 'distance',
    sigma: radians(errors['slope-reader']),
  }),
  share: ({ slopeTangent }) => slopeTangent,
};

/** Every source of error. A new one is one more file and line here. */
export const ERROR_SOURCES: readonly ErrorSource[] = [
  following,
  fineness,
  compass,
  declination,
  iron,
  paced,
  paceLength,
  measured,
  timed,
  speed,
  slope,
  slopeReader,
];
