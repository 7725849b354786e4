import { pacesWords } from '@/core/entries/describe';
import type { Side } from '@/core/entries/feature';
import type { Metres } from '@/core/units/units';
import type { BoxSide } from '@/store/count';
import { lengthText, lengthUnit } from '@/ui/units/shown';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the pace counter. */
export const WORDS = {
  loading: 'Opening the count…',
  follow: 'Follow',
  followHint: '220',
  tap: (unit: string) => `Count ${unit}`,
  noPace: 'No pace length yet: metres show once one is set',
  tapCounts: 'One tap counts',
  undo: SHARED_WORDS.undo,
  addFeature: 'Something seen',
  seen: 'Things seen',
  otherThing: 'other',
  seenAt: (what: string, count: number) =>
    count === 1 ? `Noted: ${what}.` : `Noted: ${what}. ${count} in all.`,
  named: 'Name or note',
  kept: 'Kept from the leg before: change it if you have turned.',
  whichBearing: 'Which bearing did you follow? Type it, then Arrived again.',
  boxFirst: 'You are still going round: come back to your line first.',
  takeBack: 'Take it back',
  takenBack: 'Taken back: the count goes on.',
  goals: 'How far',
  target: 'the target',
  tooFar: (what: string) => `You may be at ${what}: too far. Look round before you go on.`,
  tickAhead: (what: string, side: Side | undefined, metres: Metres, pace: Metres | null) =>
    `${what}${side === undefined ? '' : ` on your ${side}`}, in ${
      pace === null ? lengthText(metres) : `about ${pacesWords(Math.round(metres / pace))}`
    }`,
  routeDone: 'You are at the end of the route.',
  iAmAt: (name: string) => `I am at ${name}`,
  openRoute: 'The route',
  setOut: (name: string, bearing: string, metres: string) => `To ${name}: ${bearing}, ${metres}`,
  asks: { target: 'Target', mark: 'At a mark', box: 'Box' },
  countTo: 'Count to',
  targetLength: () => `In ${lengthUnit().name}`,
  set: 'Set',
  toHome: (place: string, metres: Metres) => `${place}: ${lengthText(metres)}`,
  noTarget: 'No target',
  nextMark: 'Next mark in',
  noNext: 'not said',
  sinceMark: (metres: Metres) => `${lengthText(metres)} since the last mark`,
  goalLeft: (name: string | null, leftMetres: Metres, paceMetres: Metres | null) => {
    const length = lengthText(Math.abs(leftMetres));
    const counted = Math.round(Math.abs(leftMetres) / (paceMetres ?? 1));
    const paces = paceMetres === null ? '' : `, ${pacesWords(counted)}`;
    const place = name ?? 'the next mark';
    return leftMetres > 0
      ? `To ${place}: ${length}${paces} left`
      : `${length}${paces} beyond ${place}`;
  },
  box: 'Box an obstacle',
  boxTo: (side: Side) => `out to the ${side}`,
  boxSide: (walking: BoxSide, side: Side, bearing: string | null) => {
    const set = bearing === null ? '' : `: ${bearing}`;
    if (walking === 'along') return `Along the obstacle, on your bearing again${set}.`;
    return walking === 'out' ? `Out to the ${side}${set}.` : `Back to your line${set}.`;
  },
  boxLeft: (paces: number, metres: Metres) =>
    [paces > 0 && pacesWords(paces), metres > 0 && lengthText(metres)].filter(Boolean).join(', ') +
    (paces > 0 || metres > 0 ? ' left' : 'You are on your line.'),
  boxTurn: { out: 'Turn: along it', along: 'Turn: back', back: 'On my line again' },
  boxed: {
    out: (unit: string) => `${unit} out`,
    along: (unit: string) => `${unit} along it`,
    back: (unit: string) => `${unit} back`,
  },
  clock: 'Stopwatch',
  start: 'Start',
  pause: 'Pause',
  goOn: 'Go on',
  speed: 'Your speed',
  notInSight: 'I can’t see it',
  notInSightAbout: (place: string) => `Logs what you counted, and leads to a search for ${place}.`,
  arrived: 'Arrived: log it',
  log: 'Log it',
  restart: 'Start again at 0',
  cancel: SHARED_WORDS.cancel,
  awake: 'The screen stays on.',
  dark: 'The screen may go dark. No tap is lost by that.',
  sound: 'Sound',
  vibration: 'Vibration',
  noVibration: 'This browser can’t make the device vibrate: use sound.',
  motion: 'Count by the phone’s motion',
  motionCaution:
    'The phone counts two steps as one pace, and makes mistakes on rough ground: check it, and ' +
    'correct it by hand.',
  countBy: 'Count by',
  countings: { paces: 'paces', steps: 'single steps', minutes: 'the clock' },
  more: 'What counts, sound, sensors',
  compass: 'Compass',
  logged: (line: string) => `Logged: ${line}`,
  what: 'What you see',
  left: 'Left',
  right: 'Right',
  ahead: 'Ahead',
  side: 'On which side',
  aside: 'How far to the side',
  countedElsewhere:
    'This count was changed or logged in another tab in the meantime. Close this and look again.',
  add: 'Add',
  station: 'Station here, if you name it',
  note: 'Note',
  bearing: 'Bearing',
  notSaved: 'This tap was not saved.',
  units: { paces: 'paces', steps: 'single steps', minutes: 'minutes' },
  taps: {
    paces: { one: '1 pace', ten: '10 paces' },
    steps: { one: '1 step', ten: '10 steps' },
    hundred: '100 m',
  },
} as const;
