import { yearsSinceMargin } from '../norths-of';
import type { Check } from './check';

/** A margin's change a year holds for about this long. Common practice, no source. */
const MOST_YEARS = 10;

/** `angle-old`: the declination comes from a map margin more than ten years from the day of the outing. */
export const angleOld: Check = ({ outing }) => {
  const { declination, date } = outing;
  if (declination.source !== 'margin' || !date) return [];
  const years = yearsSinceMargin(declination, date.day);
  if (Math.abs(years) <= MOST_YEARS) return [];
  return [
    {
      code: 'angle-old',
      at: { header: 'declination' },
      message: `The map’s angle is ${Math.abs(Math.round(years))} years ${years > 0 ? 'old' : 'ahead'}, and its change a year holds for about ten. Use the model, or a newer map.`,
    },
  ];
};
