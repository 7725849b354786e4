import { pacesWords } from '@/core/entries/describe';
import type { PassedFeature } from '@/core/navigation/ways/passed-features';
import { lengthText } from '@/ui/units/shown';
import type { Metres } from '@/core/units/units';

/** Nearer than this to the line is on it. */
const ON_LINE_METRES = 2;

/** A feature logged on the way out, as it is passed on the way back. */
export function passedWords(
  { what, alongMetres, rightMetres }: PassedFeature,
  paceMetres: Metres | null,
): string {
  const aside = Math.abs(rightMetres);
  const side =
    aside < ON_LINE_METRES
      ? 'on your line'
      : `${lengthText(aside)} to your ${rightMetres > 0 ? 'right' : 'left'}`;
  const ahead =
    paceMetres === null
      ? lengthText(alongMetres)
      : `about ${pacesWords(Math.round(alongMetres / paceMetres))}`;
  return `${what}, ${side}, in ${ahead}`;
}
