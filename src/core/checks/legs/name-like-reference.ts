import { LETTERED_TEXT } from '../../readings/place/grid-reader';
import type { Check } from '../check';

const LIKE_REFERENCE = new RegExp(`^\\s*${LETTERED_TEXT}`, 'i');

/** True for a name that looks like a reference by the letters or the name of a grid. */
export const isLikeReference = (name: string): boolean => LIKE_REFERENCE.test(name);

/** `name-like-reference`: a station is named like a grid reference, which places nothing. */
export const nameLikeReference: Check = ({ legs }) =>
  [...legs].flatMap(({ entry, reading: { to } }) => {
    if (to === undefined || !isLikeReference(to)) return [];
    const message =
      `The station is called “${to}”, which looks like a grid reference. If it is where the map ` +
      `has it, name the station and add a line: known NAME at ${to}.`;
    return [{ code: 'name-like-reference', at: { entry }, message }];
  });
