import type { Check } from '../check';

/** Nearer to a pole than this, directions turn within a day's walk. */
const MOST_LATITUDE = 85;

/** `near-pole`: the start is above 85° of latitude, where a plane and a compass no longer serve. */
export const nearPole: Check = ({ outing: { start } }) => {
  if (!start.position || Math.abs(start.position.latitude) <= MOST_LATITUDE) return [];
  const message =
    `The start is at ${start.position.latitude.toFixed(1)}°: so near a pole north turns as you ` +
    'walk. The sketch and the way home hold in the plane about the start; positions and true ' +
    'bearings a few kilometres away do not. Use a receiver.';
  return [{ code: 'near-pole', at: { header: 'start' }, message }];
};
