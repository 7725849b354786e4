import { lengthText } from '../../units/figures';
import { metresAlong } from '../../readings/distance';
import { horizontalShare } from '../../readings/slope';
import { distanceWords } from '../../entries/describe';
import type { Check } from '../check';

/** Beyond three sigma a count and its length are not of one pace. */
const SIGMAS = 3;

/**
 * `pace-disagrees`: a leg with a count and a length, and the pace in use makes another length of
 * the count than its errors explain.
 */
export const paceDisagrees: Check = ({ legs, errors }, units) =>
  [...legs].flatMap(({ entry, reading, paceMetres }) => {
    const { counted, distance } = reading;
    if (!counted || !(paceMetres > 0)) return [];
    const length = metresAlong(distance, NaN) * horizontalShare(reading);
    const paced = metresAlong(counted, paceMetres);
    const off = paced / length - 1;
    if (Math.abs(off) <= SIGMAS * Math.hypot(errors.paced, errors['pace-length'])) return [];
    const message =
      `${distanceWords(counted, units)} are ${lengthText(paced, units)} by the pace in use, and ` +
      `the length is given as ${lengthText(length, units)}: ${Math.round(100 * Math.abs(off))} % ` +
      `${off > 0 ? 'less' : 'more'}. The length counts. Is the pace right for this ground?`;
    return [{ code: 'pace-disagrees', at: { entry }, message }];
  });
