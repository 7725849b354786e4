import { type FigureUnits, lengthText } from '../../units/figures';
import { SLOWEST_KMH, timesOf, type TimedStretch } from '../../survey/leg-times';
import type { Check, Warning } from '../check';

/** Nobody walks across country faster. Common practice, no source. */
const FASTEST_KMH = 7;

/**
 * `pace-implausible`: by the times noted, more than 7 km/h or less than 0.3 km/h, or a clock that
 * goes back.
 */
export const paceImplausible: Check = (solution, units) => {
  const { stretches, slips } = timesOf(solution);
  const warnings: Warning[] = slips.map(({ entry, from, to }) => ({
    code: 'pace-implausible',
    at: { entry },
    message:
      `The clock goes back, from ${from} to ${to}: a slip in one of the two? This time is passed ` +
      'over.',
  }));
  // A speed needs metres.
  for (const stretch of solution.places.frame.unit === 'metre' ? stretches : []) {
    const message = wrongWith(stretch, units);
    if (message) warnings.push({ code: 'pace-implausible', at: { entry: stretch.entry }, message });
  }
  return warnings;
};

/** What is implausible about metres walked in so many minutes; null when nothing is. */
function wrongWith({ metres, minutes }: TimedStretch, units: FigureUnits): string | null {
  // A time is good to a minute, so that a minute more or less must not make the difference.
  const fastest = (metres / 1000 / (minutes + 1)) * 60;
  const slowest = minutes > 1 ? (metres / 1000 / (minutes - 1)) * 60 : Infinity;
  const walked = `${lengthText(metres, units)} in ${minutes} min is`;
  if (fastest > FASTEST_KMH) {
    return `${walked} faster than anyone walks here: counted too many, or a time misread?`;
  }
  if (slowest < SLOWEST_KMH) {
    return `${walked} slower than walking. If you rested it is right; else check count and time.`;
  }
  return null;
}
