import { compassPointWords, pacesWords } from '@/core/entries/describe';
import type { Daylight } from '@/core/navigation/sun';
import { longestAlong, type AimOff, type AimOffFault } from '@/core/navigation/ways/aim-off';
import { wayPoint } from '@/core/navigation/ways/way';
import type { Stretch, WayHome } from '@/core/navigation/ways/ways-home';
import { shownBearing } from '@/core/north/norths';
import { NORTH_LETTERS, type North } from '@/core/units/bearing';
import { bearingText, distanceText, lengthText } from '@/ui/units/shown';
import type { Degrees } from '@/core/units/units';

/** The words about ways home that several views use. */
export const WAY_WORDS = {
  label: 'Way home',
  arrived: (place: string) => `You are at ${place}.`,
  walk: (metres: string, paces: number | null) =>
    paces === null ? `Walk ${metres}` : `${metres}: ${pacesWords(paces)}`,
  to: (direction: string, place: string) => `${capital(direction)}, to ${place}`,
  plain: (figures: string) => `that is ${figures}`,
  theLine: 'the line',
  needleOn: (east: Degrees) =>
    `Needle on the ${Math.round(Math.abs(east))}° ${east < 0 ? 'W' : 'E'} mark`,
  sunset: (time: string, dusk: string | null) =>
    `Sunset ${time}, ${dusk ? `too dark to read a map at ${dusk}` : 'and twilight all night'}.`,
  sunsetAt: (time: string) => `Sunset ${time}.`,
  staysUp: 'The sun stays up here all day and night.',
  neverRises: (dawn: string | null, dusk: string | null) =>
    'The sun does not rise here on this day. ' +
    (dawn && dusk ? `Light to read a map by from ${dawn} to ${dusk}. ` : '') +
    'Carry a light.',
  beforeDawn: (dawn: string, sunrise: string) =>
    `It is dark until ${dawn} (sunrise ${sunrise}): stay put if you can, and walk at first light.`,
  beforeSunrise: (sunrise: string) => `Twilight: the sun rises at ${sunrise}.`,
  ofOuting: (time: string) => `Planned from the outing’s own last time, ${time}.`,
  needsPace:
    'In paces alone there is no time of arrival and no chance of seeing home: give the length of ' +
    'your pace in Settings, and all of it is metres too.',
  noPosition: 'For the time of sunset, set the position of the start.',
  needsDeclination:
    'This bearing is from the map, and no declination is set. Set it first, or read the line ' +
    'with the compass.',
} as const;

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

export const WAY_NAMES: Readonly<Record<WayHome['kind'], string>> = {
  straight: 'Straight',
  'aim-off': 'Aim off',
  retrace: 'Retrace the legs',
  'via-station': 'Via another station',
};

export function aimOffWords(fault: AimOffFault): string {
  switch (fault.code) {
    case 'too-flat':
      return (
        `You would meet this line at only ${Math.round(fault.angleDegrees)}°. Below 20° you may ` +
        'walk along it without noticing. Choose another line, or go straight.'
      );
    case 'at-home':
      return 'You are at home: there is nothing to aim off.';
    case 'not-settled':
      return 'So near home, and so uncertain, no aim is safe: go straight, and search.';
  }
}

export function stretchWords(stretch: Stretch, wanted: North): string {
  const { degrees, north } = shownBearing(stretch.bearing, wanted);
  const paces = stretch.paces === null ? '' : `: ${pacesWords(Math.round(stretch.paces))}`;
  return [
    `${bearingText(degrees)}${north === 'magnetic' ? '' : ` ${NORTH_LETTERS[north]}`}`,
    `${distanceText(stretch.distanceMetres)}${paces}`,
    compassPointWords(wayPoint(stretch, wanted)),
    ...(stretch.to ? [`to ${stretch.to}`] : []),
  ].join(', ');
}

/** The second stretch of an aimed-off way: along the line. */
export const alongWords = (aim: AimOff, to: string | null): string =>
  `Then turn ${aim.turn} along the line, about ${lengthText(aim.alongMetres)}, at most ` +
  `${lengthText(longestAlong(aim))}, to ${to}.`;

/** The moment that the ways are planned from, and how a moment reads on the clock of the place. */
export interface Planning {
  readonly now: number;
  /** True for an outing of another day, which is planned from its own last time. */
  readonly ofOuting: boolean;
  readonly light: Daylight | null;
  readonly time: (at: number) => string;
  /** True where the clock is not the device's but the sun's zone at the start. */
  readonly bySun: boolean;
}

type Sets = Extract<Daylight, { kind: 'sets' }>;

export const neverRisesWords = (
  { twilightBegins, twilightEnds }: Extract<Daylight, { kind: 'never-rises' }>,
  time: Planning['time'],
): string =>
  WAY_WORDS.neverRises(
    twilightBegins === null ? null : time(twilightBegins),
    twilightEnds === null ? null : time(twilightEnds),
  );

/** What holds before the sun is up; null once it is. */
export function beforeSunriseWords(
  { twilightBegins, sunrise }: Sets,
  now: number,
  time: Planning['time'],
): string | null {
  if (now >= sunrise) return null;
  const isDark = twilightBegins !== null && now < twilightBegins;
  return isDark
    ? WAY_WORDS.beforeDawn(time(twilightBegins), time(sunrise))
    : WAY_WORDS.beforeSunrise(time(sunrise));
}

/** The least chance that each saying stands for. */
const CHANCES: readonly [number, string][] = [
  [0.99, 'almost certain'],
  [19 / 20, '19 in 20'],
  [9 / 10, '9 in 10'],
  [4 / 5, '4 in 5'],
  [3 / 4, '3 in 4'],
  [2 / 3, '2 in 3'],
  [1 / 2, '1 in 2'],
  [1 / 3, '1 in 3'],
  [1 / 4, '1 in 4'],
  [1 / 5, '1 in 5'],
  [1 / 10, '1 in 10'],
];
/** A chance as a person says it, rounded down: never more than it is. */
export const chanceWords = (chance: number): string =>
  CHANCES.find(([least]) => chance >= least)?.[1] ?? 'less than 1 in 10';
