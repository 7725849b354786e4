import type { Fault } from '../faults';
import type { BearingReading } from '../logbook';
import type { North } from '../north';
import { fail, ok, type Result } from '../result';
import { readBearing } from './bearing';
import { Cursor, Refusal } from './cursor';

/** Reads a bearing that stands alone, as in a field of its own; without a letter it is from `north`. */
export function readBearingText(text: string, north: North): Result<BearingReading, Fault> {
  const cursor = new Cursor(text, text.trimEnd().length);
  try {
    cursor.skipSpace();
    const reading = readBearing(cursor, north);
    cursor.finish();
    return ok(reading);
  } catch (thrown) {
    if (!(thrown instanceof Refusal)) throw thrown;
    return fail(thrown.fault);
  }
}
