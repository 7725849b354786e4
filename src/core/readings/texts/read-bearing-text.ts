import type { Fault } from '../../faults/fault';
import type { North } from '../../units/bearing';
import type { Result } from '../../units/result';
import type { BearingReading } from '../bearing';
import { readBearing } from '../read-bearing';
import { readWhole } from './read-whole';

/** Reads a bearing by itself; without a letter it is from `north`. */
export const readBearingText = (text: string, north: North): Result<BearingReading, Fault> =>
  readWhole(text, (cursor) => readBearing(cursor, north));
