import { estimated, type ErrorSource } from './source';

/** A distance in metres, feet or miles. */
export const measured: ErrorSource = {
  id: 'measured',
  of: 'distance',
  distance: ({ means, isAbout }, errors) =>
    means.distance === 'measured' ? estimated(isAbout) * errors.measured ** 2 : 0,
};
