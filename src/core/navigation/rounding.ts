import type { Metres } from '../units/units';

/** An uncertainty as it is shown: up to the next five metres, never down. */
export const roundUpToFive = (metres: Metres): Metres => 5 * Math.ceil(metres / 5);

/** A distance in the figures that a count of paces is worth. */
export function roundDistance(metres: Metres): Metres {
  if (metres < 100) return Math.round(metres);
  return metres < 1000 ? 5 * Math.round(metres / 5) : 10 * Math.round(metres / 10);
}
