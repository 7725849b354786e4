import { USUAL_FIGURES } from '../../core/units/figures';
import { catchingWords, legInWords } from '../../core/navigation/route/in-words';
import type { RouteLeg } from '../../core/navigation/route/leg';
import { bearingDigits } from '../../core/units/angle';

/** A leg in one sentence, for programs that show a text beside a line. Degrees and metres. */
export function legAbout(leg: RouteLeg): string {
  const set = leg.set ? `${bearingDigits(leg.set.degrees)} ${leg.set.north}, ` : '';
  const paces = leg.paces === null ? '' : `, ${Math.round(leg.paces)} paces`;
  const words = [
    `Leg ${leg.number}, ${leg.from} to ${leg.to}: ${set}${Math.round(leg.metres)} m${paces}`,
    legInWords(leg),
    catchingWords(leg, USUAL_FIGURES),
  ];
  return words.filter(Boolean).join('. ');
}
