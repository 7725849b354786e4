import type { Check } from './check';

/** Horizontal field in nanotesla below which a compass is unreliable, and below which it is no use (WMM2025 report's zones; memory). */
const UNRELIABLE = 6000;
const NO_USE = 2000;

/** `far-north-compass`: so near a magnetic pole the needle hardly knows where to point. */
export const farNorthCompass: Check = ({ norths }) => {
  const horizontal = norths.field?.horizontalNanotesla;
  if (horizontal === undefined || horizontal >= UNRELIABLE) return [];
  const figure = `${Math.round(horizontal / 100) * 100} nT`;
  const message =
    horizontal < NO_USE
      ? `The level pull on the needle is only ${figure} here: a compass is not to be used. Go by other means.`
      : `The level pull on the needle is only ${figure} here: it swings slowly and reads unreliably. Tap it, read twice, and check by sun and landmarks.`;
  return [{ code: 'far-north-compass', at: { header: 'start' }, message }];
};
