import type { ErrorSource } from './source';

/** A distance by time, each for itself: halts, and the clock. */
export const timed: ErrorSource = {
  id: 'timed',
  of: 'distance',
  distance: ({ means }, errors) => (means.distance === 'timed' ? errors.timed ** 2 : 0),
};
