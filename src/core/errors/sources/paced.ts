import { ownSpread } from '../pace-errors';
import type { ErrorSource } from './source';

/** A paced distance, each for itself. */
export const paced: ErrorSource = {
  id: 'paced',
  of: 'distance',
  about: ({ pace }) => pace?.ground ?? '',
  distance: ({ means }, errors) => (means.pace ? ownSpread(means.pace, errors) ** 2 : 0),
};
