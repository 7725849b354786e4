import { compassPointWords, pacesWords } from '@/core/entries/describe';
import { longestAlong, type AimOff, type AimOffFault } from '@/core/navigation/ways/aim-off';
import type { Recommendation } from '@/core/navigation/ways/recommendation';
import type { Daylight } from '@/core/navigation/sun';
import type { Stretch, WayHome } from '@/core/navigation/ways/ways-home';
import { shownBearing } from '@/core/north/norths';
import { threeDigits } from '@/core/units/angle';
import { NORTH_LETTERS, type North } from '@/core/units/bearing';
import type { Metres } from '@/core/units/units';
import { metresText, SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the Way home view. */
export const WORDS = {
  sure: 'How sure',
  atHome: (place: string) => `You are at ${place}: there is no way to walk.`,
  sightRange: 'How far away you would see it, in metres',
  within: SHARED_WORDS.within,
  seen: (range: Metres, chance: string) => `Chance of seeing it from ${range} m: ${chance}.`,
  cancels:
    'What the way out and the walk home have in common cancels: the same compass held in the ' +
    'same way, the same stride on the same ground. All else adds up.',
  yourErrors: 'Your own errors, and those of this outing',
  onMap: (metres: Metres) =>
    `On a map your position is within ${metres} m of the sketched one (95 %): there the ` +
    'constant errors of compass and pace count.',
  sources: 'Where the uncertainty comes from',
  helps: 'What would help most',
  nothingHelps: 'No single change would make it a tenth smaller.',
  comesDown: (now: Metres, then: Metres) =>
    now === then ? `less than ±${now} m` : `±${now} m becomes ±${then} m`,
  means: 'How you walk home',
  meansAim: 'You follow',
  meansPace: 'You count',
  meansSpeed: 'Speed home, km/h',
  aims: { needle: 'needle', landmark: 'landmark', sighted: 'sighted' },
  general: 'paces',
  onGround: (ground: string) => `paces on ${ground}`,
  byClock: 'minutes',
  meansUsual:
    'Taken from the end of the log, as nothing else is said. One tap changes it, for this outing.',
  meansSaid: 'As chosen for this outing.',
  choose: (name: string) => `Walk this way: ${name.toLowerCase()}`,
  ways: 'Ways home',
  line: (letter: string) => `Line through home (${letter})`,
  lineHint: '095',
  lineHelp: 'Bearing of a path, shore or fence',
  side: 'Aim to its',
  left: 'left',
  right: 'right',
  speed: 'Speed, km/h',
  climb: 'Climb, metres',
  ownSpeed: (kmh: string) => `Your speed so far: ${kmh} km/h.`,
  recommended: (name: string, why: string) => `${name}: ${why} You decide.`,
  wayFigures: (way: WayHome, within: Metres, minutes: number, arrives: string) =>
    `${metresText(way.metres)} · ${way.kind === 'aim-off' ? 'the line' : 'home'} within ` +
    `${within} m (95 %) · ${Math.round(minutes)} min · there at ${arrives}`,
  moreStretches: (count: number) => `and ${count} more`,
  wayChance: (range: Metres, chance: string) => `Chance of seeing it (${range} m): ${chance}.`,
  sunset: (time: string, dusk: string | null) =>
    `Sunset ${time}, ${dusk ? `too dark to read a map at ${dusk}` : 'and twilight all night'}.`,
  staysUp: 'The sun stays up here all day and night.',
  neverRises: (dusk: string | null) =>
    `The sun does not rise here on this day. ${dusk ? `Twilight ends at ${dusk}. ` : ''}` +
    'Carry a light.',
  ofOuting: (time: string) => `Planned from the outing’s own last time, ${time}.`,
  bySun: 'Times are by the sun’s zone at the start.',
  noPosition: 'For the time of sunset, set the position of the start.',
  turnBack: (time: string) => `Leave by ${time} to be there before sunset.`,
  tooLate:
    'Even the shortest way ends after sunset: stop while there is light, make camp or call for ' +
    'help.',
  dark: 'after sunset',
  needsDeclination:
    'This bearing is from the map, and no declination is set. Set it first, or read the line ' +
    'with the compass.',
  walks: '1,000 simulated walks',
  walksHow: 'Each dot is where one walk out and home would end, with random errors of its own.',
  inside: (count: number) => `${count} of them lie inside the 95 % ellipse; 950 are expected.`,
  simulate: 'Simulate 1,000,000 walks',
  cancel: SHARED_WORDS.cancel,
  simulated: (way: string, trials: string, share: string, formula: string) =>
    `${way}: of ${trials} walks ${share} % came within sight; the formula says ${formula} %.`,
  thenSearch: (share: string, formula: string) =>
    `With a search after it (expanding square) ${share} % found home; the formula says ` +
    `${formula} %.`,
  failed: 'The simulation failed. The figures above do not depend on it.',
  message: 'To send or read out',
  sender: { name: 'Your name', party: 'Who is with you', need: 'What you need' },
  copy: 'Copy',
  copied: 'Copied.',
  share: SHARED_WORDS.share,
  print: 'Print',
  pegs: 'Pegs and string',
  caution:
    'The straight line ignores cliffs, water and private land. If you are unsure, stop, sit ' +
    'down, think, look, plan. Being lost at dusk is a reason to stay put. Local rules and the ' +
    'local rescue service come first.',
} as const;

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

export function recommendationWords(found: Recommendation): string {
  const name = WAY_NAMES[found.kind];
  const [chance, straight] = [chanceWords(found.chance), chanceWords(found.straightChance)];
  switch (found.why) {
    case 'surer':
      return WORDS.recommended(
        name,
        `${Math.round(found.extraMetres)} m more, and home comes in sight ${chance}; straight, ` +
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
    case 'all-dark':
      return WORDS.recommended(name, 'the surest, but every way ends in the dark.');
    case 'shortest':
      return WORDS.recommended(name, 'the shortest, and sure enough.');
  }
}

export function stretchWords(stretch: Stretch, wanted: North): string {
  const { degrees, north } = shownBearing(stretch.bearing, wanted);
  const paces = stretch.paces === null ? '' : `: ${pacesWords(Math.round(stretch.paces))}`;
  return [
    `${threeDigits(degrees)}${north === 'magnetic' ? '' : ` ${NORTH_LETTERS[north]}`}`,
    `${metresText(stretch.distanceMetres)}${paces}`,
    compassPointWords(stretch.compassPoint),
    ...(stretch.to ? [`to ${stretch.to}`] : []),
  ].join(', ');
}

/** The second stretch of an aimed-off way: along the line. */
export const alongWords = (aim: AimOff, to: string | null): string =>
  `Then turn ${aim.turn} along the line, about ${Math.round(aim.alongMetres)} m, at most ` +
  `${Math.round(longestAlong(aim))} m, to ${to}.`;

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

/** From when the ways are planned, and the daylight left. */
export function planningWords(planning: Planning, shortestMinutes: number): string {
  const { now, ofOuting, light, time, bySun } = planning;
  return [
    ofOuting && WORDS.ofOuting(time(now)),
    lightWords(planning, shortestMinutes),
    light && bySun && WORDS.bySun,
  ]
    .filter(Boolean)
    .join(' ');
}

/** The daylight left, for a shortest way of so many minutes. */
function lightWords({ light, now, time }: Planning, shortestMinutes: number): string {
  if (!light) return WORDS.noPosition;
  if (light.kind === 'stays-up') return WORDS.staysUp;
  if (light.kind === 'never-rises') {
    return WORDS.neverRises(light.twilightEnds === null ? null : time(light.twilightEnds));
  }
  const latest = light.sunset - shortestMinutes * 60_000;
  const dusk = light.twilightEnds === null ? null : time(light.twilightEnds);
  const advice = latest > now ? WORDS.turnBack(time(latest)) : WORDS.tooLate;
  return `${WORDS.sunset(time(light.sunset), dusk)} ${advice}`;
}

/** True when it is after sunset at a moment, or the sun doesn't rise at all. */
export const isDarkAt = (light: Daylight | null, at: number): boolean =>
  light !== null && (light.kind === 'never-rises' || (light.kind === 'sets' && at > light.sunset));

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
