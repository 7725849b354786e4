import { radians } from '../../units/units';
import type { ErrorSource } from './source';

/** The compass and the way it is held: alike in all that is read with it in one way of aiming. */
export const compass: ErrorSource = {
  id: 'compass',
  of: 'bearing',
  about: ({ aim }) => aim,
  shared: ({ compass: name, aim }, { errors }) =>
    name === null
      ? null
      : {
          source: 'compass',
          key: `compass ${aim} ${name}`,
          about: aim,
          of: 'bearing',
          sigma: radians(errors.compass),
        },
};
