import type { Check } from '../check';

/**
 * Horizontal intensity in nanotesla below which a compass is unreliable, and below which it is not
 * to be used (zones of the WMM2025 report; memory).
 */
const UNRELIABLE = 6000;
const UNUSABLE = 2000;

/** `far-north-compass`: so near a magnetic pole that a compass is unreliable. */
export const farNorthCompass: Check = ({ places }) => {
  const horizontal = places.frame.norths.field?.horizontalNanotesla;
  if (horizontal === undefined || horizontal >= UNRELIABLE) return [];
  const figure = `${Math.round(horizontal / 100) * 100} nT`;
  const advice =
    horizontal < UNUSABLE
      ? 'a compass is not to be used. Navigate by other means.'
      : 'the needle swings slowly and is unreliable. Tap it, read twice, and check by sun and ' +
        'landmarks.';
  const message = `The horizontal field is only ${figure} here: ${advice}`;
  return [{ code: 'far-north-compass', at: { header: 'start' }, message }];
};
