import { readDegreesText } from '../../readings/place/degrees-text';
import type { Check } from '../check';

/** `start-like-position`: the start has a name that reads as a position, and no position. */
export const startLikePosition: Check = ({ outing: { start } }) => {
  if (start.position || !/\d/.test(start.name) || !readDegreesText(start.name).ok) return [];
  const message =
    `The start is called “${start.name}”, which looks like a position. If it is one, write ` +
    `start Start at ${start.name}.`;
  return [{ code: 'start-like-position', at: { header: 'start' }, message }];
};
