import type { DeviceFault } from '@/devices/position';

/** The words of the counter. */
export const WORDS = {
  title: 'Counter',
  loading: 'Opening the count…',
  back: 'Back to the log',
  hold: 'Hold',
  holdHint: 'bearing',
  tap: (unit: string) => `Count ${unit}`,
  metres: (metres: string) => `${metres} m`,
  noPace: 'Your pace is not set: metres come with it',
  worth: 'One tap is',
  undo: 'Take one back',
  seen: 'Seen here',
  arrived: 'Arrived: log it',
  log: 'Log it',
  drop: 'Begin anew',
  cancel: 'Back',
  awake: 'The screen stays on.',
  dark: 'The screen may go dark: no tap is lost by that.',
  sound: 'Sound',
  buzz: 'Vibration',
  motion: 'Count by the phone’s motion',
  motionCaution:
    'The phone counts two steps as one pace and errs in rough ground: watch it, and correct it by hand.',
  steps: 'Single steps instead of paces',
  more: 'Sound, sensors, steps',
  compass: 'Phone’s compass',
  compassCaution:
    'A phone’s compass is near the phone’s own iron and can be many degrees off. Compare it with your compass; it goes into the field only when you tap it.',
  compassTake: (degrees: string) => `Take ${degrees}`,
  logged: (line: string) => `Logged: ${line}`,
  nothing: 'Nothing is counted yet.',
  what: 'What was seen',
  left: 'Left',
  right: 'Right',
  ahead: 'Ahead',
  sideMetres: 'Metres to the side',
  keep: 'Note it',
  station: 'Station here, if it gets a name',
  note: 'Note',
  bearing: 'Bearing',
  seenSoFar: (count: number) => (count === 1 ? '1 thing noted' : `${count} things noted`),
  lost: 'This tap was not written down.',
} as const;

export const DEVICE_FAULTS: Readonly<Record<DeviceFault, string>> = {
  absent: 'This device has no such sensor, or keeps it to itself.',
  refused: 'The browser may not use the sensor: allow it in the browser’s settings.',
  'no-answer': 'The sensor does not answer.',
};
