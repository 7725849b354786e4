import { LETTERED_TEXT } from '../readings/place/grid-reader';

const LIKE_REFERENCE = new RegExp(`^\\s*${LETTERED_TEXT}`, 'i');

/** True for a name that looks like a reference by the letters or the name of a grid. */
export const isLikeReference = (name: string): boolean => LIKE_REFERENCE.test(name);
