import type { AimOffFault } from '@/core/aim-off';
import type { WayHome } from '@/core/ways-home';

/** The words of the Way home view. */
export const WORDS = {
  title: 'Way home',
  back: 'Back to the log',
  sure: 'How sure',
  atHome: (place: string) => `You are at ${place}: there is no way to walk.`,
  sightRange: 'How far you would see it, in metres',
  within: (metres: number, place: string) =>
    `Nineteen times in twenty within ${metres} m of ${place}.`,
  seen: (range: number, chance: string) => `You would see it from ${range} m: ${chance}.`,
  cancels:
    'Going home with the same compass and the same stride, their common errors cancel: the whole figure is turned and scaled, and so is the walk home. On a map they do not.',
  onMap: (metres: number) =>
    `On a map you stand nineteen times in twenty within ${metres} m of where the sketch has you: there the common errors of compass and pace count.`,
  made: 'What the doubt is made of',
  madeWalk: 'the walk home itself',
  madeLeg: (leg: number, name: string) => `leg ${leg}${name ? `, to ${name}` : ''}`,
  improve: (leg: number) =>
    `Leg ${leg} adds most. If you can, walk it again with more care, or look back along it and read the bearing.`,
  ways: 'Ways home',
  line: 'A path, shore or fence through home: its bearing, from',
  lineHint: '095',
  side: 'Aim to its',
  left: 'left',
  right: 'right',
  speed: 'Speed, km/h',
  climb: 'Climb, metres',
  ownSpeed: (kmh: string) => `Your own so far: ${kmh} km/h.`,
  columns: ['way', 'set', 'walk', 'doubt', 'time', 'there at'],
  recommend: (name: string, why: string) => `${name}: ${why} You decide.`,
  sunset: (time: string, dusk: string | null) =>
    `Sunset ${time}${dusk ? `, too dark to read a map at ${dusk}` : ''}.`,
  noSunset: 'The sun does not set here on this day.',
  noPlace: 'Sunset can be told once the start has a position.',
  turnBack: (time: string) => `Leave by ${time} to be there before sunset.`,
  tooLate:
    'Even the shortest way ends after sunset: stop while there is light, make camp or call for help.',
  dark: 'after sunset',
  needsDeclination:
    'This line’s bearing is from the map, and no declination is set: set it first, or read the line with the compass.',
  cloud: 'A thousand walks',
  cloudHow:
    'Each dot is where one walk out and home would end, drawn with the errors that the page reckons with.',
  inside: (count: number) =>
    `${count} of them lie inside the ellipse; nineteen in twenty would be 950.`,
  simulate: 'Walk it a million times',
  cancel: 'Stop',
  simulated: (trials: string, sight: string, closed: string) =>
    `Of ${trials} walks ${sight} % ended within sight; the formula says ${closed} %.`,
  simulatedAimed: (trials: string, sight: string, closed: string) =>
    `Aimed off, of ${trials} walks ${sight} % came within sight along the line; the formula says ${closed} %.`,
  wayChance: (range: number, chance: string) => `Within sight (${range} m): ${chance}.`,
  failed: 'The simulation broke off. The figures above do not need it.',
  message: 'To send or read out',
  copy: 'Copy',
  copied: 'Copied.',
  share: 'Share',
  paper: 'Print it',
  walk: 'Walk it',
  pegs: 'Pegs and string',
  caution:
    'The straight line ignores cliffs, water and private land. If you are unsure, stop, sit down, think, look, plan. Lost at dusk is a reason to stay put. Local rules and the local rescue service come first.',
} as const;

export const WAY_NAMES: Readonly<Record<WayHome['kind'], string>> = {
  straight: 'Straight',
  'aimed-off': 'Aimed off',
  'back-over-legs': 'Back over the legs',
  'by-station': 'By an earlier station',
};

export function aimOffWords(fault: AimOffFault): string {
  switch (fault.code) {
    case 'too-flat':
      return `You would meet this line at only ${Math.round(fault.angleDegrees)}°: at less than 20° one may walk along it without noticing. Choose another line, or go straight.`;
    case 'at-home':
      return 'You are at home: there is nothing to aim off.';
    case 'not-settled':
      return 'So near home, and with so much doubt, no aim is safe: go straight, and search.';
  }
}

const IN_FIVES: readonly [number, string][] = [
  [0.985, 'almost certainly'],
  [0.93, 'nineteen chances in twenty'],
  [0.87, 'nine chances in ten'],
  [0.77, 'four chances in five'],
  [0.7, 'three chances in four'],
  [0.58, 'two chances in three'],
  [0.45, 'one chance in two'],
  [0.29, 'one chance in three'],
  [0.22, 'one chance in four'],
  [0.15, 'one chance in five'],
  [0.07, 'one chance in ten'],
];
/** A chance as a person says it, rounded down. */
export const chanceWords = (chance: number): string =>
  IN_FIVES.find(([least]) => chance >= least)?.[1] ?? 'hardly a chance';
