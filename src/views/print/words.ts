import { compassPointWords, NORTH_WORDS, pacesWords } from '@/core/entries/describe';
import { isThere, type Way } from '@/core/navigation/ways/way';
import { nearestCompassPoint } from '@/core/units/angle';
import type { Bearing } from '@/core/units/bearing';
import type { Metres } from '@/core/units/units';
import { bearingText, distanceText, lengthUnit, withDegrees, withMetres } from '@/ui/units/shown';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the printed page. */
export const WORDS = {
  size: 'Paper size',
  printing: 'Printing',
  print: 'Print',
  untitled: SHARED_WORDS.untitled,
  landmarks: (what: readonly string[]) => `You are back when you see: ${what.join('; ')}.`,
  columns: () => ['no.', 'from', 'bearing', 'back', 'count', lengthUnit().name, 'note'],
  cautions:
    'The straight line ignores cliffs, water and private land. Keep iron and phone away from the ' +
    'compass. If you are unsure: stop, sit down, think, look, plan. Lost at dusk: stay put. ' +
    'Local rules and the local rescue service come first.',
} as const;

/** The way home and how sure it is, in one line. */
export function homeWords(home: Way, shown: Bearing, within: Metres, place: string): string {
  if (isThere(home)) return `At ${place}.`;
  const paces = home.paces === null ? [] : [pacesWords(Math.round(home.paces))];
  const way = [
    `${withDegrees(bearingText(shown.degrees), shown.degrees)} ${NORTH_WORDS[shown.north]}`,
    withMetres(distanceText(home.distanceMetres), home.distanceMetres),
    ...paces,
    compassPointWords(nearestCompassPoint(shown.degrees)),
    `to ${place}`,
  ];
  return `Home: ${way.join(', ')}. ${SHARED_WORDS.within(within, place)}.`;
}
