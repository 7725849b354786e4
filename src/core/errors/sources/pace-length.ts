import { paceLengthSigma } from '../pace-errors';
import type { ErrorSource } from './source';

/** The length of the pace: alike in all paces on one ground with one calibration. */
export const paceLength: ErrorSource = {
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
