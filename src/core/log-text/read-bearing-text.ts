import type { Fault } from '../faults/fault';
import type { BearingReading } from '../readings/bearing';
import { Cursor, Refusal } from '../readings/cursor';
import { readBearing } from '../readings/read-bearing';
import type { North } from '../units/bearing';
import { fail, ok, type Result } from '../units/result';

/** Reads a bearing by itself, as in a field of its own; without a letter it is from `north`. */
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
