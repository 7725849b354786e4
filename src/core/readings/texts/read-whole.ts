import type { Fault } from '../../faults/fault';
import { fail, ok, type Result } from '../../units/result';
import { Cursor, Refusal } from '../cursor';

/** Reads a text that holds one reading and nothing else, as in a field of its own. */
export function readWhole<Reading>(
  text: string,
  read: (cursor: Cursor) => Reading,
): Result<Reading, Fault> {
  const cursor = new Cursor(text, text.trimEnd().length);
  try {
    cursor.skipSpace();
    const reading = read(cursor);
    cursor.finish();
    return ok(reading);
  } catch (thrown) {
    if (!(thrown instanceof Refusal)) throw thrown;
    return fail(thrown.fault);
  }
}
