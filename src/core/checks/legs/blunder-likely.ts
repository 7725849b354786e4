import { joinOutings } from '../../survey/party/party';
import { suspects } from '../../survey/blunder/suspects';
import { asWalked, type Solution } from '../../survey/solution';
import { lengthText } from '../../units/shown';
import type { Check } from '../check';
import { misclosureUnexplained } from './misclosure-unexplained';

/** Beyond this a log is looked into as an area, where it can be waited for. */
const MOST_LEGS = 120;
/** A slip as likely as this is named, with what would have been written. */
const LIKELY = 0.3;

/** What was said of a solution: every keystroke asks again. */
const known = new WeakMap<Solution, ReturnType<Check>>();

/**
 * `blunder-likely`: a loop that compass and pace do not explain, and one reading that would explain
 * it. The correction is offered, never taken unasked.
 */
export const blunderLikely: Check = (solution) => {
  const said = known.get(solution);
  if (said) return said;
  const found = look(asWalked(solution));
  known.set(solution, found);
  return found;
};

function look(solution: Solution): ReturnType<Check> {
  if (solution.closures.length === 0 || solution.legs.count > MOST_LEGS) return [];
  if (misclosureUnexplained(solution).length === 0) return [];
  const party = joinOutings([{ solution, by: '' }], []);
  const best = party.ok ? suspects(party.value)[0] : undefined;
  if (!best || best.probability < LIKELY) return [];
  const { message, metresLeft, lookAt, probability, source, instead } = best;
  const words =
    `${message} That would explain the loop (${Math.round(100 * probability)} %): its ` +
    `misclosure would be ${lengthText(metresLeft)}. Look at ${lookAt}.`;
  return [
    {
      code: 'blunder-likely',
      at: { entry: source.entry },
      message: words,
      ...(instead.suggested && { correction: instead.suggested }),
    },
  ];
}
