import type { Check } from './check';

/** `model-outside-window`: the declination comes from a model that is carried beyond the days it holds for. */
export const modelOutsideWindow: Check = ({ norths }) => {
  const { field, declinationSource } = norths;
  if (!field?.extrapolated || declinationSource !== 'model') return [];
  return [
    {
      code: 'model-outside-window',
      at: { header: 'declination' },
      message: `${field.model} holds from ${field.validFrom} to ${field.validUntil}. The day of the outing lies outside, so the angle is carried on by its change a year and may be off by more than the model says. Compare it with a new map.`,
    },
  ];
};
