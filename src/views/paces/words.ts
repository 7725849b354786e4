import type { CalibrationFault, CalibrationWarning } from '@/core/pace-calibration';

/** The words of the Paces view. */
export const WORDS = {
  title: 'Paces',
  loading: 'Opening your paces…',
  toShelf: 'To the shelf',
  toOuting: 'Back to the log',
  profile: 'Whose paces',
  newProfile: 'New',
  rename: 'Name',
  profileName: 'Name of the profile',
  firstProfile: 'My paces',
  general: 'in general',
  columns: ['ground', 'a pace', 'per 100 m', 'spread', 'walked on'],
  none: 'No calibration yet. Walk a course of known length below; three walks tell how well it repeats.',
  older: (count: number) => (count === 1 ? '1 older kept' : `${count} older kept`),
  take: 'Use in this outing',
  takeHint:
    'The outing keeps these numbers from here on; legs that were logged keep the ones that they were walked with.',
  taken: 'This outing is walked with these paces from here on.',
  calibrate: 'Calibrate',
  ground: 'Ground',
  ownGround: 'Another ground, one word',
  course: 'Length of the course',
  unit: 'Unit',
  counted: 'Counted in',
  paces: 'paces, the same foot each time',
  steps: 'single steps',
  walk: (number: number) => `Walk ${number}`,
  addWalk: 'Another walk',
  dropWalk: (number: number) => `Leave walk ${number} out`,
  count: 'Count it live',
  endWalk: 'End of the course',
  stopCounting: 'Stop',
  counting: (walk: number) => `Counting walk ${walk}`,
  note: 'Note',
  save: 'Keep this calibration',
  saved: (ground: string) => `Kept for ${ground}.`,
  result: (metres: string, per100: string) => `A pace is ${metres} m: ${per100} to 100 m.`,
  spread: (percent: string) => `It repeats to ${percent} % from walk to walk.`,
  noSpread: 'One walk can’t tell how well it repeats: 5 % is taken.',
  plot: 'Length of a pace in each walk, with the mean and one spread to each side',
  advice: 'Walking the course',
  advices: [
    'Walk as you walk on the way, with what you carry on the way; do not stretch or hurry.',
    'Start with your heels on the first mark and stop with them on the last; count the foot that lands.',
    'Three walks at least, there and back. Uphill shortens a pace, downhill lengthens it, snow, dark and a load shorten it: calibrate each ground that you will walk on. Common practice.',
    'Tired legs step shorter. Walk the course once more at the end of a long day.',
  ],
  cost: 'What makes the doubt at home',
  costWords: (together: number, pace: number, bearings: number) =>
    `Straight home from here you may end up to ${together} m off, nineteen times in twenty. Paces alone would make ${pace} m of it, bearings alone ${bearings} m; they add up as squares.`,
  improvePace: 'The pace is the weaker half: calibrate on the ground that you walk on.',
  improveBearings:
    'The bearings are the weaker half: aim from landmark to landmark, or sight, and look back.',
  improveBoth: 'Neither half is much weaker than the other.',
} as const;

export function faultWords(fault: CalibrationFault): string {
  switch (fault.code) {
    case 'no-course':
      return 'The course needs a length above zero.';
    case 'no-walks':
      return 'Enter the count of at least one walk.';
    case 'too-few-counted':
      return `Walk ${fault.walk}: a count of ${fault.count} is too small to measure with. Take a course of 20 paces at least; 50 to 100 m is good.`;
  }
}

export function warningWords(warning: CalibrationWarning): string {
  switch (warning.code) {
    case 'one-walk':
      return WORDS.noSpread;
    case 'short-course':
      return `The course is only ${Math.round(warning.paces)} paces long: rounding to a whole pace spoils it. Take a longer one.`;
    case 'walk-stands-out': {
      const halved = Math.abs(warning.times - 2) < 0.25 || Math.abs(warning.times - 0.5) < 0.06;
      const cause = halved ? 'Were both feet counted?' : 'Was a ten lost, or one counted twice?';
      return `Walk ${warning.walk} has ${warning.times.toFixed(1)} times the count of the others. ${cause} Leave it out or walk it again.`;
    }
    case 'unlikely-length':
      return `A pace of ${warning.paceMetres.toFixed(2)} m is unlikely: is the course’s unit right, and were paces (two steps) counted?`;
  }
}
