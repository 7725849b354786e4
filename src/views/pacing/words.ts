import type { CalibrationFault, CalibrationWarning } from '@/core/pacing/calibration';
import type { Metres } from '@/core/units/units';
import { lengthText, shortLengthText } from '@/ui/units/shown';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the Pace calibration view. */
export const WORDS = {
  loading: 'Loading your calibrations…',
  profile: 'Profile',
  newProfile: 'New profile',
  rename: 'Rename',
  profileName: 'Name of the profile',
  firstProfile: 'My paces',
  cancel: SHARED_WORDS.cancel,
  saveName: SHARED_WORDS.save,
  general: 'general',
  columns: ['ground', 'pace', 'per 100 m', 'spread', 'date'],
  none:
    'No calibration yet. Walk a course of known length below; three walks show how well it ' +
    'repeats.',
  older: (count: number) => (count === 1 ? '1 older calibration' : `${count} older calibrations`),
  use: 'Use in this outing',
  useHint: 'For the legs from here on. Legs logged before keep the pace they were logged with.',
  used: 'This outing uses these paces from here on.',
  calibrate: 'Calibrate',
  ground: 'Ground',
  noGround: 'Choose none for your general pace.',
  ownGround: 'Another ground, in one word',
  badGround: 'One word of letters, such as heather.',
  course: 'Length of the course',
  unit: 'Unit',
  counted: 'Count in',
  countedIn: { paces: 'paces, the same foot each time', steps: 'single steps' },
  units: { paces: 'paces', steps: 'single steps' },
  walk: (number: number) => `Walk ${number}`,
  addWalk: 'Add a walk',
  removeWalk: (number: number) => `Remove walk ${number}`,
  badWalk: (number: number, text: string) => `Walk ${number}: “${text}” is not a number.`,
  noCourse: 'The course needs a length above zero.',
  count: 'Count a walk now',
  tap: (unit: string) => `Count ${unit}`,
  undo: SHARED_WORDS.undo,
  motion: 'Count by the phone’s motion',
  endWalk: 'End of the course',
  stopCounting: SHARED_WORDS.cancel,
  counting: (walk: number) => `Counting walk ${walk}`,
  note: 'Note',
  save: 'Save this calibration',
  saved: (ground: string | undefined) =>
    ground === undefined ? 'Saved as general pace.' : `Saved for ${ground}.`,
  result: (metres: Metres, per100: string) =>
    `One pace is ${shortLengthText(metres)}: ${per100} per 100 m.`,
  spread: (percent: string) => `Spread from walk to walk ±${percent} %.`,
  noSpread: 'One walk can’t show how well it repeats: a spread of 5 % is assumed.',
  chart: 'Length of a pace in each walk, with the mean and one spread to each side',
  advice: 'How to walk the course',
  advices: [
    'Walk as you will on the outing, with the load of the outing. Do not stretch or hurry.',
    'Start with your heels on the first mark and stop with them on the last. Count each time the ' +
      'same foot lands.',
    'At least three walks, there and back. Uphill, snow, darkness and a load shorten a pace, ' +
      'downhill lengthens it: calibrate each ground that you will walk on. Common practice.',
    'Tired legs take shorter steps. Walk the course once more at the end of a long day.',
  ],
  sources: 'Where the uncertainty comes from',
  sourcesWords: (together: Metres, pace: Metres, bearings: Metres) =>
    `The straight way home from here ends within ${lengthText(together)} (95 %). Paces alone ` +
    `would make it ${lengthText(pace)}, bearings alone ${lengthText(bearings)}; they add up ` +
    'as squares.',
  improvePace: 'The paces add more: calibrate on the ground that you walk on.',
  improveBearings:
    'The bearings add more: aim from landmark to landmark, or use a sighting compass, and read ' +
    'back bearings.',
  improveBoth: 'Both add about the same.',
} as const;

export function faultWords(fault: CalibrationFault): string {
  switch (fault.code) {
    case 'no-course':
      return WORDS.noCourse;
    case 'no-walks':
      return 'Enter the count of at least one walk.';
    case 'too-few-counted':
      return (
        `Walk ${fault.walk}: a count of ${fault.count} is too small to measure with. Use a ` +
        'course of at least 20 paces; 50 to 100 m is good.'
      );
  }
}

/** A walk with about twice or half the count of the others was counted on the other foot too. */
const isOtherFoot = (times: number) => Math.abs(times - 2) < 0.25 || Math.abs(times - 0.5) < 0.06;

export function warningWords(warning: CalibrationWarning): string {
  switch (warning.code) {
    case 'one-walk':
      return WORDS.noSpread;
    case 'short-course':
      return (
        `The course is only ${Math.round(warning.paces)} paces long: rounding to whole paces ` +
        'spoils it. Use a longer one.'
      );
    case 'walk-stands-out': {
      const cause = isOtherFoot(warning.times)
        ? 'Were both feet counted?'
        : 'Was a ten lost, or counted twice?';
      return (
        `Walk ${warning.walk} has ${warning.times.toFixed(1)} times the count of the others. ` +
        `${cause} Remove it or walk it again.`
      );
    }
    case 'unlikely-length':
      return (
        `A pace of ${shortLengthText(warning.paceMetres)} is unlikely: is the course’s unit ` +
        'right, and were paces (two steps) counted?'
      );
  }
}
