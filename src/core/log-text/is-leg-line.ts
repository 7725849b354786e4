import type { Leg } from '../logbook';
import type { ReadLine } from './line-kind';

/** True for a line that turned out to be a leg. */
export const isLegLine = (line: ReadLine): line is ReadLine & { entry: Leg } =>
  line.entry?.kind === 'leg';
