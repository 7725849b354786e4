import type { Fault } from '../../faults/fault';
import type { Result } from '../../units/result';
import type { DistanceReading } from '../distance';
import { readDistance } from '../read-distance';
import { readWhole } from './read-whole';

/** Reads a distance by itself. */
export const readDistanceText = (text: string): Result<DistanceReading, Fault> =>
  readWhole(text, readDistance);
