import type { DeviceFault } from '@/devices/position';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the pace counter. */
export const WORDS = {
  loading: 'Opening the count…',
  follow: 'Bearing to follow',
  followHint: '220',
  tap: (unit: string) => `Count ${unit}`,
  metres: (metres: string) => `${metres} m`,
  noPace: 'No pace length yet: metres show once one is set',
  tapCounts: 'One tap counts',
  undo: SHARED_WORDS.undo,
  addFeature: 'Add feature',
  arrived: 'Arrived: log it',
  log: 'Log it',
  restart: 'Start again at 0',
  cancel: SHARED_WORDS.cancel,
  awake: 'The screen stays on.',
  dark: 'The screen may go dark. No tap is lost by that.',
  sound: 'Sound',
  vibration: 'Vibration',
  motion: 'Count by the phone’s motion',
  motionCaution:
    'The phone counts two steps as one pace, and makes mistakes on rough ground: check it, and ' +
    'correct it by hand.',
  steps: 'Single steps instead of paces',
  more: 'Sound, sensors, steps',
  compass: 'Phone compass',
  compassCaution:
    'A phone’s compass sits near the phone’s own iron and can be many degrees off. Compare it ' +
    'with your own compass. It fills in the bearing only when you tap it.',
  compassUse: (degrees: string) => `Use ${degrees}`,
  logged: (line: string) => `Logged: ${line}`,
  what: 'What you see',
  left: 'Left',
  right: 'Right',
  ahead: 'Ahead',
  side: 'On which side',
  sideMetres: 'Metres to the side',
  countedElsewhere:
    'This count was changed or logged in another tab in the meantime. Close this and look again.',
  add: 'Add',
  station: 'Station here, if you name it',
  note: 'Note',
  bearing: 'Bearing',
  features: (count: number) => (count === 1 ? '1 feature added' : `${count} features added`),
  notSaved: 'This tap was not saved.',
  units: { paces: 'paces', steps: 'single steps' },
  taps: {
    paces: { one: '1 pace', ten: '10 paces' },
    steps: { one: '1 step', ten: '10 steps' },
    hundred: '100 m',
  },
} as const;

export const DEVICE_FAULTS: Readonly<Record<DeviceFault, string>> = {
  absent: 'This device has no such sensor, or the browser has no access to it.',
  refused: 'The browser may not use the sensor: allow it in the browser’s settings.',
  'no-answer': 'The sensor does not answer.',
};
