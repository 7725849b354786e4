import type { Recommendation } from '@/core/navigation/ways/recommendation';
import { lengthText } from '@/ui/units/shown';
import {
  beforeSunriseWords,
  chanceWords,
  neverRisesWords,
  WAY_NAMES,
  WAY_WORDS,
  type Planning,
} from '@/views/shared/ways/words';

/** Which way is recommended, and by when to leave: the words of the Way home alone. */
const WORDS = {
  recommended: (name: string, why: string) => `${name}: ${why} You decide.`,
  turnBack: (time: string) => `Leave by ${time} to be there before sunset.`,
  tooLate:
    'Even the shortest way ends after sunset: stop while there is light, make camp or call for ' +
    'help.',
  bySun: 'Times use the hour zone of the start’s longitude.',
} as const;

export function recommendationWords(found: Recommendation): string {
  const name = WAY_NAMES[found.kind];
  const [chance, straight] = [chanceWords(found.chance), chanceWords(found.straightChance)];
  switch (found.why) {
    case 'surer':
      return WORDS.recommended(
        name,
        `${lengthText(found.extraMetres)} more, and home comes in sight ${chance}; straight, ` +
          `${straight}.`,
      );
    case 'no-better':
      return WORDS.recommended(
        name,
        `the shortest, but home comes in sight only ${chance}. A path or shore to aim off on ` +
          'would make it surer; along the legs you know what you pass.',
      );
    case 'light':
      return WORDS.recommended(
        name,
        `home comes in sight only ${chance}, but a surer way would end in the dark.`,
      );
    case 'night':
      return WORDS.recommended(
        name,
        `by first light: it is dark now. Stay put if you can; home comes in sight ${chance}.`,
      );
    case 'all-dark':
      return WORDS.recommended(name, 'the surest, but every way ends in the dark.');
    case 'shortest':
      return WORDS.recommended(name, 'the shortest, and sure enough.');
  }
}

/** From when the ways are planned, and the daylight left; null where no way has its minutes. */
export function planningWords(planning: Planning, shortestMinutes: number | null): string {
  const { now, ofOuting, light, time, bySun } = planning;
  return [
    ofOuting && WAY_WORDS.ofOuting(time(now)),
    lightWords(planning, shortestMinutes),
    light && bySun && WORDS.bySun,
  ]
    .filter(Boolean)
    .join(' ');
}

/** The daylight left, for a shortest way of so many minutes. */
function lightWords({ light, now, time }: Planning, shortestMinutes: number | null): string {
  if (!light) return WAY_WORDS.noPosition;
  if (light.kind === 'stays-up') return WAY_WORDS.staysUp;
  if (light.kind === 'never-rises') return neverRisesWords(light, time);
  const early = beforeSunriseWords(light, now, time);
  if (early !== null) return `${early} ${WAY_WORDS.sunsetAt(time(light.sunset))}`;
  const dusk = light.twilightEnds === null ? null : time(light.twilightEnds);
  if (shortestMinutes === null) return WAY_WORDS.sunset(time(light.sunset), dusk);
  const latest = light.sunset - shortestMinutes * 60_000;
  const advice = latest > now ? WORDS.turnBack(time(latest)) : WORDS.tooLate;
  return `${WAY_WORDS.sunset(time(light.sunset), dusk)} ${advice}`;
}
