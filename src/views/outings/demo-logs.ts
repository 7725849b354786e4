import type { Area } from '@/core/model/area';
import { nth } from '@/core/units/nth';

/** The demo outings: of one day on the plateau, by three people from one landing. */
export const DEMO_LOGS = [
  { id: 'demo-rain-gauges', file: 'rain-gauges.log.txt' },
  { id: 'demo-east-shore', file: 'east-shore.log.txt' },
  { id: 'demo-north-ridge', file: 'north-ridge.log.txt' },
] as const;

/** All files of the demo: each is copied for offline use. */
export const DEMO_FILES = [
  ...DEMO_LOGS.map(({ file }) => file),
  'plateau.route.txt',
  'ormsay-lake.asc',
  'ormsay-lake.png',
] as const;

/** Stations that two or three of them have in common. */
const SHARED = ['Dock', 'Gauge 2', 'Gauge 3', 'Gauge 4', 'Gauge 5', 'Esker top'] as const;

/** Which outings, by their place in the list, have each of them. */
const HAVE: Readonly<Record<(typeof SHARED)[number], readonly number[]>> = {
  Dock: [0, 1, 2],
  'Gauge 2': [0, 1],
  'Gauge 3': [0, 2],
  'Gauge 4': [0, 1],
  'Gauge 5': [0, 2],
  'Esker top': [0, 1, 2],
};

/** The demo area: all of them as one survey. */
export const DEMO_AREA: Area = {
  id: 'demo-ormsay-lake',
  name: 'Ormsay Lake, 14 August',
  method: 'least-squares',
  outings: DEMO_LOGS.map(({ id }) => id),
  same: SHARED.map((station) => ({
    stations: HAVE[station].map((index) => ({ outing: nth(DEMO_LOGS, index).id, station })),
  })),
  apart: [],
};
