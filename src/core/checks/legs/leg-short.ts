import { lengthText } from '../../units/figures';
import type { Check } from '../check';

/** Legs shorter than this add more error than ground. Common practice, no source. */
const SHORT_METRES = 15;

/** `leg-short`: a leg under 15 m; none where lengths are in paces. */
export const legShort: Check = ({ legs, places }, units) =>
  Array.from(legs)
    .filter(({ metres }) => places.frame.unit === 'metre' && metres < SHORT_METRES)
    .map(({ entry, metres }) => ({
      code: 'leg-short',
      at: { entry },
      message:
        `Only ${lengthText(metres, units)}: many short legs add error. Where you can, choose a ` +
        'mark 50 to 100 m ahead.',
    }));
