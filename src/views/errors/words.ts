import type { SigmaId } from '@/core/model/error-settings';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the Uncertainty view. */
export const WORDS = {
  title: 'What your readings are worth',
  how:
    'Each figure is one sigma: two readings in three are off by less, nineteen in twenty by less ' +
    'than twice as much. A new outing begins with your own figures: what you set, else what was ' +
    'learned. If an outing sets no value, the default is used.',
  error: 'Error',
  usual: 'Usual',
  learned: 'Learned',
  lies: ([least, most]: readonly [number, number]) => `${least} to ${most}`,
  own: 'Yours',
  outing: 'This outing',
  from: 'In use',
  unit: { degrees: '°', percent: ' %' },
  sources: {
    usual: 'usual',
    learned: 'learned from your outings',
    own: 'set by you',
    outing: 'set for this outing',
  },
  useOwn: 'Use my figures in this outing',
  used: 'This outing now has your figures.',
  nothingOwn: 'Your figures are the usual ones: there is nothing to take over.',
  forYou: (error: string) => `${error}, yours`,
  forOuting: (error: string) => `${error}, on this outing`,
  learning: 'Learned from yourself',
  learns: 'Learn from my loops, arrivals and calibrations',
  learningHow:
    'Each loop that closes, each arrival logged, each line read at both ends and each ' +
    'calibration shows how far off you are. Beside each figure stands where it lies with 95 %: ' +
    'wide at first, since people differ from the usual by half as much again. Mistakes are left ' +
    'out, a walk counts once, and only your own outings count. It stays on this device.',
  whose: 'My outings are',
  unnamed: 'those that name nobody',
  alike: (one: string, other: string) =>
    `These loops can’t tell “${one}” from “${other}”: where the one is larger, the other is ` +
    'smaller. Back bearings and calibrations distinguish them.',
  learnedFrom: (loops: number, calibrations: number) =>
    `From ${loops} closed ${loops === 1 ? 'loop' : 'loops'} and ${calibrations} ` +
    `${calibrations === 1 ? 'calibration' : 'calibrations'} on this device.`,
  nothing:
    'There is no closed loop, back bearing or calibration on this device yet. Walk back to a ' +
    'station that you know and log it: > NAME.',
  reading: 'Looking through your outings…',
  chart: (error: string) => `${error}, after each outing, with the band it lies in (95 %)`,
  shown: 'Shown',
  atFirst: 'usual',
  export: 'Export my record',
  exportName: 'cairn-back-own-errors.json',
  forget: 'Forget what was learned',
  remember: 'Learn from all outings again',
  forgotten: (day: string) => `Outings and calibrations until ${day} no longer count.`,
  save: SHARED_WORDS.save,
} as const;

export const SIGMA_WORDS: Readonly<Record<SigmaId, string>> = {
  needle: 'Following the needle',
  landmark: 'Walking from mark to mark',
  sighted: 'Following a sighting compass',
  compass: 'The compass and how you hold it',
  declination: 'A declination typed or from a map',
  iron: 'Iron near the compass',
  paced: 'Counting paces',
  'pace-length': 'Length of your pace on other ground',
  measured: 'Metres by eye (a tape: 1 %)',
  timed: 'Distance by the clock',
  speed: 'Your speed',
  slope: 'Reading a slope',
  'slope-reader': 'How you judge slopes',
};
