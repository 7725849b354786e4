import { radians } from '../../units/units';
import type { ErrorSource } from './source';

/** A slope as it was read: on the level d·cos θ changes by d·sin θ a radian, tan θ of itself. */
export const slope: ErrorSource = {
  id: 'slope',
  of: 'distance',
  distance: ({ slopeTangent }, errors) => (slopeTangent * radians(errors.slope)) ** 2,
};

/** A reader who takes slopes for steeper, or gentler, than they are: alike in all of them. */
export const slopeReader: ErrorSource = {
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
