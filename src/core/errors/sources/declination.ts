import type { ErrorSource } from './source';

/** The declination in use: in every bearing that a compass stands between and the map. */
export const declination: ErrorSource = {
  id: 'declination',
  of: 'bearing',
  shared: ({ compass }, { declinationSigmaRadians: sigma }) =>
    compass === null || sigma === 0
      ? null
      : { source: 'declination', key: 'declination', about: '', of: 'bearing', sigma },
};
