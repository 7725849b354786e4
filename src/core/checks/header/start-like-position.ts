import { readDegreesText } from '../../readings/place/degrees-text';
import { isLikeReference } from '../legs/name-like-reference';
import type { Check } from '../check';

const isLikePosition = (name: string) =>
  /\d/.test(name) && (isLikeReference(name) || readDegreesText(name).ok);

/** `start-like-position`: the start has a name that reads as a position, and no position. */
export const startLikePosition: Check = ({ outing: { start } }) => {
  if (start.position || !isLikePosition(start.name)) return [];
  const message =
    `The start is called “${start.name}”, which looks like a position. If it is one, write ` +
    `start Start at ${start.name}.`;
  return [{ code: 'start-like-position', at: { header: 'start' }, message }];
};
