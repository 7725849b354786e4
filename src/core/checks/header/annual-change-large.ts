import { angleEast } from '../../readings/angle';
import type { Check } from '../check';

/** Nowhere that compasses work does declination change faster. Common practice, no source. */
const MOST_DEGREES_A_YEAR = 0.5;

/** `annual-change-large`: a margin's annual change of more than half a degree. */
export const annualChangeLarge: Check = ({ outing: { declination } }) => {
  if (declination.source !== 'margin') return [];
  const change = Math.abs(angleEast(declination.changePerYear));
  if (change <= MOST_DEGREES_A_YEAR) return [];
  const message =
    `An annual change of ${change.toFixed(1)}° is too much: maps print it in minutes. Is it ` +
    `${Math.round(change)}′? Then write the minute sign.`;
  return [{ code: 'annual-change-large', at: { header: 'declination' }, message }];
};
