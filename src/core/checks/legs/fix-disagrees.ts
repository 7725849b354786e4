import { lengthText } from '../../units/figures';
import { knowsPlaces } from '../../model/outing';
import { stationName } from '../../survey/solution';
import type { Check } from '../check';

/**
 * `fix-disagrees`: a fix by known places that dead reckoning disagrees with by more than their
 * errors explain, or whose own bearings do not meet.
 */
export const fixDisagrees: Check = (solution, units) => {
  const tools = knowsPlaces(solution.outing) ? solution.tools : null;
  if (!tools) return [];
  return tools.fixesOf(solution).flatMap(({ station, entry, warnings, reckoned }) => {
    const name = stationName(solution, station);
    const messages = warnings.map(({ message }) => message);
    if (reckoned && !reckoned.asExpected) {
      messages.push(
        `Dead reckoning and the fix at ${name} are ` +
          `${lengthText(reckoned.apartMetres, units)} apart: ` +
          'more than their errors explain. Check that each place is the right one, then the legs.',
      );
    }
    return messages.map((message) => ({ code: 'fix-disagrees' as const, at: { entry }, message }));
  });
};
