import type { ErrorSource } from './source';

/** A distance in metres, feet or miles. */
export const measured: ErrorSource = {
  id: 'measured',
  of: 'distance',
  distance: ({ means }, errors) => (means.distance === 'measured' ? errors.measured ** 2 : 0),
};
