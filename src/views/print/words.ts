import { compassPointWords, NORTH_WORDS, pacesWords } from '@/core/entries/describe';
import { isThere, type Way } from '@/core/navigation/ways/way';
import type { Bearing } from '@/core/units/bearing';
import { threeDigits } from '@/core/units/angle';
import type { Metres } from '@/core/units/units';
import { metresText, SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the printed page. */
export const WORDS = {
  size: 'Paper size',
  printing: 'Printing',
  print: 'Print',
  untitled: SHARED_WORDS.untitled,
  landmarks: (what: readonly string[]) => `You are back when you see: ${what.join('; ')}.`,
  columns: ['no.', 'from', 'bearing', 'back', 'count', 'metres', 'note'],
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
    `${threeDigits(shown.degrees)} ${NORTH_WORDS[shown.north]}`,
    metresText(home.distanceMetres),
    ...paces,
    compassPointWords(home.compassPoint),
    `to ${place}`,
  ];
  return `Home: ${way.join(', ')}. ${SHARED_WORDS.within(within, place)}.`;
}
