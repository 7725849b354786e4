import type { BearingReading } from '../../readings/bearing';
import type { Norths } from '../../north/norths';
import type { Position } from '../../readings/position';
import { BEARING_SLIPS } from '../slips';
import type { SlipId } from '../slips/slip';
import { solvedOnEarth, type EarthQuestion } from './on-earth';
import type { Sight } from './sights';

/** A sight with the bearing as it was written. */
export interface WrittenSight extends Sight {
  readonly reading: BearingReading;
}

/** A slip of one bearing with which all the others agree. */
export interface FixSlip {
  readonly slip: SlipId;
  /** Which sight, and what may have been read. */
  readonly sight: number;
  readonly reading: BearingReading;
  readonly says: string;
  readonly lookAt: string;
  /** Among the slips that were tried. */
  readonly probability: number;
  /** Where one would be. */
  readonly position: Position;
}

/** What the slip's own leg would need, which a sighting has none of. */
const NO_LENGTH = { metres: 100, paceMetres: NaN, before: null, box: null } as const;
/** One sigma-sum less likely than this explains nothing. */
const LEAST_P = 0.01;
const MOST_SHOWN = 3;

/**
 * The slips of one bearing that would make a fix agree, the likeliest first: by their priors and
 * what they leave of chi-square. None where the readings agree as they are.
 */
export function slipsHere(
  question: Omit<EarthQuestion, 'sights'> & { readonly sights: readonly WrittenSight[] },
  norths: Norths,
): FixSlip[] {
  const asRead = solvedOnEarth(question).found;
  const agrees = asRead?.fix.test && asRead.fix.test.p >= LEAST_P;
  if (agrees || question.sights.length < 3) return [];
  const found: (Omit<FixSlip, 'probability'> & { weight: number })[] = [];
  for (const [index, sight] of question.sights.entries()) {
    if (sight.bearingDegrees === null) continue;
    const { bearingDegrees, reading } = sight;
    const distance = { unit: 'metres', value: NO_LENGTH.metres } as const;
    const leg = { kind: 'leg', bearing: reading, distance } as const;
    for (const slip of BEARING_SLIPS) {
      for (const instead of slip.of({ reading: leg, bearingDegrees, norths, ...NO_LENGTH })) {
        if (!instead.suggested) continue;
        const sights = question.sights.map((each, i) =>
          i === index ? { ...each, bearingDegrees: instead.bearingDegrees } : each,
        );
        const { found: better, warnings } = solvedOnEarth({ ...question, sights });
        const isBehind = warnings.some(({ code }) => code === 'behind');
        if (!better?.fix.test || isBehind || better.fix.test.p < LEAST_P) continue;
        found.push({
          slip: slip.id,
          sight: index,
          reading: instead.suggested.bearing,
          says: instead.says,
          lookAt: slip.lookAt,
          position: better.position,
          weight: slip.prior * Math.exp(-better.fix.test.chiSquare / 2),
        });
      }
    }
  }
  const all = found.reduce((sum, { weight }) => sum + weight, 0);
  return found
    .map(({ weight, ...rest }) => ({ ...rest, probability: weight / all }))
    .sort((a, b) => b.probability - a.probability)
    .slice(0, MOST_SHOWN);
}
