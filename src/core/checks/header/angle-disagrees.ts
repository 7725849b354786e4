import { disagreementText, statedBeside } from '../../north/implausible-declination';
import type { Check } from '../check';

/** How far a stated angle may be from the model's. Common practice, no source. */
const TOLERANCE_DEGREES = 1;

/** `angle-disagrees`: a margin's or a typed declination is more than 1° from the model's. */
export const angleDisagrees: Check = ({ places }) => {
  const { norths } = places.frame;
  const beside = statedBeside(norths, norths.field);
  if (!beside || beside.apartDegrees <= TOLERANCE_DEGREES) return [];
  const message = disagreementText(beside);
  return [{ code: 'angle-disagrees', at: { header: 'declination' }, message }];
};
