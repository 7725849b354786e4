import type { Planning } from '@/views/shared/ways/words';
import { beforeSunriseWords, neverRisesWords, WAY_WORDS } from '@/views/shared/ways/words';

/** The words of Home now. */
export const WORDS = {
  leaves: (here: string, leaving: string) =>
    `This is the way from ${here}; the next leg of the log starts at ${leaving}.`,
  caution:
    'The line ignores cliffs, water and private land: look before you step. Unsure, or dusk ' +
    'near? Stop, sit down, think.',
  landmarks: 'You are there when you see:',
  markHere: (mark: string) =>
    `Still in sight of your mark, ${mark}? If not, go back to it first: the way begins there.`,
  walk: 'Walk',
  walkBy: (name: string) => `Walk: ${name.toLowerCase()}`,
  ways: 'Which way',
  best: 'recommended',
  figures: (metres: string, minutes: number, chance: string) =>
    `${metres} · ${minutes} min · comes in sight ${chance}`,
  dark: 'after sunset',
  more: 'More',
  toWayHome: 'Why, and how sure',
  toCounter: 'Pace counter',
  light: (left: string, sunset: string) => `${left} of light left: sunset ${sunset}.`,
  dusk: (left: string) => `The sun is down. Too dark to read a map in ${left}.`,
  darkNow: 'It is dark. Stay put if you can and walk at first light.',
} as const;

const MINUTE_MS = 60_000;

/** Minutes as a person says them: 50 min, 2 h 10 min. */
function spanWords(milliseconds: number): string {
  const minutes = Math.max(0, Math.floor(milliseconds / MINUTE_MS));
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** How much light is left at the moment that the way is planned from. */
export function lightLeftWords({ now, ofOuting, light, time }: Planning): string {
  const from = ofOuting ? `${WAY_WORDS.ofOuting(time(now))} ` : '';
  if (!light) return WAY_WORDS.noPosition;
  if (light.kind === 'stays-up') return from + WAY_WORDS.staysUp;
  if (light.kind === 'never-rises') {
    return from + neverRisesWords(light, time);
  }
  const early = beforeSunriseWords(light, now, time);
  if (early !== null) return from + early;
  const { sunset, twilightEnds } = light;
  if (now < sunset) return from + WORDS.light(spanWords(sunset - now), time(sunset));
  if (twilightEnds !== null && now < twilightEnds) {
    return from + WORDS.dusk(spanWords(twilightEnds - now));
  }
  return from + (twilightEnds === null ? WAY_WORDS.sunset(time(sunset), null) : WORDS.darkNow);
}
