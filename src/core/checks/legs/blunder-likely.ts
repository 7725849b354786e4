import { type FigureUnits, lengthText } from '../../units/figures';
import { joinOutings } from '../../survey/party/party';
import { suspects, type Suspect } from '../../survey/blunder/suspects';
import { asWalked, type Solution } from '../../survey/solution';
import type { Check } from '../check';
import { misclosureUnexplained } from './misclosure-unexplained';

/** Beyond this a log is looked into as an area, where it can be waited for. */
const MOST_LEGS = 120;
/** A slip as likely as this is named, with what would have been written. */
const LIKELY = 0.3;

/** What was found in a solution: every keystroke asks again. */
const known = new WeakMap<Solution, Suspect | null>();

/**
 * `blunder-likely`: a loop that compass and pace do not explain, and one reading that would explain
 * it. The correction is offered, never taken unasked.
 */
export const blunderLikely: Check = (solution, units) => {
  const said = known.get(solution);
  const best = said === undefined ? likeliest(asWalked(solution), units) : said;
  known.set(solution, best);
  if (!best) return [];
  const { message, metresLeft, lookAt, probability, source, instead } = best;
  const words =
    `${message} That would explain the loop (${Math.round(100 * probability)} %): its ` +
    `misclosure would be ${lengthText(metresLeft, units)}. Look at ${lookAt}.`;
  return [
    {
      code: 'blunder-likely',
      at: { entry: source.entry },
      message: words,
      ...(instead.suggested && { correction: instead.suggested }),
    },
  ];
};

/** The likeliest suspect of a log whose loop is not explained; null where none is likely. */
function likeliest(solution: Solution, units: FigureUnits): Suspect | null {
  if (solution.closures.length === 0 || solution.legs.count > MOST_LEGS) return null;
  if (misclosureUnexplained(solution, units).length === 0) return null;
  const party = joinOutings([{ solution, by: '' }], []);
  const best = party.ok ? suspects(party.value)[0] : undefined;
  return best && best.probability >= LIKELY ? best : null;
}
