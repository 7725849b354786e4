import { isLikeReference } from '../like-reference';
import type { Check } from '../check';

/** `name-like-reference`: a station is named like a grid reference, which places nothing. */
export const nameLikeReference: Check = ({ legs }) =>
  [...legs].flatMap(({ entry, reading: { to } }) => {
    if (to === undefined || !isLikeReference(to)) return [];
    const message =
      `The station is called “${to}”, which looks like a grid reference. If it is where the map ` +
      `has it, name the station and add a line: known NAME at ${to}.`;
    return [{ code: 'name-like-reference', at: { entry }, message }];
  });
