import { yearsSinceMargin } from '../../north/outing-norths';
import type { Check } from '../check';

/** A margin's annual change holds for about this long. Common practice, no source. */
const MOST_YEARS = 10;

/** `angle-old`: the declination is from a map margin more than ten years from the outing's day. */
export const angleOld: Check = ({ outing }) => {
  const { declination, date } = outing;
  if (declination.source !== 'margin' || !date) return [];
  const years = yearsSinceMargin(declination, date.day);
  if (Math.abs(years) <= MOST_YEARS) return [];
  const age = `${Math.abs(Math.round(years))} years ${years > 0 ? 'old' : 'ahead'}`;
  const message =
    `The map’s declination is ${age}, and its annual change holds for about ten. ` +
    'Use the model, or a newer map.';
  return [{ code: 'angle-old', at: { header: 'declination' }, message }];
};
