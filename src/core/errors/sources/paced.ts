import { ownSpread } from '../pace-errors';
import { estimated, type ErrorSource } from './source';

/** A paced distance, each for itself. */
export const paced: ErrorSource = {
  id: 'paced',
  of: 'distance',
  about: ({ pace }) => pace?.ground ?? '',
  distance: ({ means, isAbout }, errors) =>
    means.pace ? estimated(isAbout) * ownSpread(means.pace, errors) ** 2 : 0,
};
