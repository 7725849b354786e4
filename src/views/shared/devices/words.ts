import type { DeviceFault } from '@/devices/position';

export const DEVICE_FAULTS: Readonly<Record<DeviceFault, string>> = {
  absent: 'This device has no such sensor, or the browser has no access to it.',
  refused: 'The browser may not use the sensor: allow it in the browser’s settings.',
  'no-answer': 'The sensor does not answer.',
};

/** The words of the phone's compass. */
export const COMPASS_WORDS = {
  label: 'Phone compass',
  caution:
    'A phone’s compass sits near the phone’s own iron and can be many degrees off. Compare it ' +
    'with your own compass. It fills in the bearing only when you tap it.',
  take: (degrees: string) => `Use ${degrees}`,
} as const;
