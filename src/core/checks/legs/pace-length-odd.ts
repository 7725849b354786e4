import { shortLengthText } from '../../units/figures';
import { paceMetres } from '../../survey/log-state';
import type { Check } from '../check';

/** The pace of adults, two steps, on any ground. Common practice, no source. */
const SHORTEST_METRES = 1.2;
const LONGEST_METRES = 2.2;

/** `pace-length-odd`: a pace shorter than 1.2 m or longer than 2.2 m. */
export const paceLengthOdd: Check = ({ outing }, units) =>
  [...outing.entries.entries()].flatMap(([entry, line]) => {
    if (line.kind !== 'pace') return [];
    const metres = paceMetres(line);
    if (metres >= SHORTEST_METRES && metres <= LONGEST_METRES) return [];
    const message =
      `A pace of ${shortLengthText(metres, units)} is unusual: a pace is two steps, the same ` +
      `foot each time, ${SHORTEST_METRES} to ${LONGEST_METRES} m. ` +
      (metres < SHORTEST_METRES ? 'Were single steps counted?' : 'Check the count and the course.');
    return [{ code: 'pace-length-odd' as const, at: { entry }, message }];
  });
