import type { Check } from '../check';

/** `model-outside-window`: the declination is extrapolated beyond the days the model holds for. */
export const modelOutsideWindow: Check = ({ places }) => {
  const { field, declinationSource } = places.frame.norths;
  if (!field?.extrapolated || declinationSource !== 'model') return [];
  const message =
    `${field.model} is valid from ${field.validFrom} to ${field.validUntil}. The outing’s day is ` +
    'outside, so the declination is extrapolated by its annual change and may be off by more ' +
    'than the model says. Compare it with a new map.';
  return [{ code: 'model-outside-window', at: { header: 'declination' }, message }];
};
