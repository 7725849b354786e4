import { compassPointWords } from '../../entries/describe';
import { type FigureUnits, lengthText } from '../../units/figures';
import type { RouteLeg } from './leg';

/** A difference of height that one feels underfoot. Common practice, no source. */
const FELT_METRES = 5;

/** Whether a leg goes uphill, downhill, both or neither; null where no climb was noted. */
export function slopeWords({ upMetres, downMetres, plan }: RouteLeg): string | null {
  if (plan.upMetres === undefined && plan.downMetres === undefined) return null;
  if (upMetres >= FELT_METRES && downMetres >= FELT_METRES) return 'up and down';
  if (upMetres >= FELT_METRES) return 'uphill';
  return downMetres >= FELT_METRES ? 'downhill' : 'level';
}

/**
 * A leg in words, to be held against the ground before one sets off: “roughly south-east, uphill,
 * the river on the right”. It is the guard against a 180° error.
 */
export const legInWords = (leg: RouteLeg): string =>
  [`roughly ${compassPointWords(leg.compassPoint)}`, slopeWords(leg), leg.plan.handrail]
    .filter(Boolean)
    .join(', ');

/** What tells that one went too far, as a sentence; null where nothing does. */
export function catchingWords({ plan, metres }: RouteLeg, units: FigureUnits): string | null {
  if (!plan.catching) return null;
  const { what, beyondMetres } = plan.catching;
  const at = lengthText(metres + beyondMetres, units);
  return `If you meet ${what} (after ${at}), you went ${lengthText(beyondMetres, units)} too far.`;
}
