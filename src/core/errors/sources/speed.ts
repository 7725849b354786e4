import type { ErrorSource } from './source';

/** The speed that timed distances are taken from: alike in all of them. */
export const speed: ErrorSource = {
  id: 'speed',
  of: 'distance',
  shared: ({ distance }, { errors }) =>
    distance === 'timed'
      ? { source: 'speed', key: 'speed', about: '', of: 'distance', sigma: errors.speed }
      : null,
};
