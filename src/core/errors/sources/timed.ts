import { estimated, type ErrorSource } from './source';

/** A distance by time, each for itself: halts, and the clock. */
export const timed: ErrorSource = {
  id: 'timed',
  of: 'distance',
  distance: ({ means, isAbout }, errors) =>
    means.distance === 'timed' ? estimated(isAbout) * errors.timed ** 2 : 0,
};
