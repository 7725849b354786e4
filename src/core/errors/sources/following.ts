import { radians } from '../../units/units';
import type { ErrorSource } from './source';

/** Following a bearing: by the needle alone, from mark to mark, or with a sighting compass. */
export const following: ErrorSource = {
  id: 'following',
  of: 'bearing',
  about: ({ aim }) => aim,
  bearing: ({ means }, errors) => radians(errors[means.aim]) ** 2,
};
