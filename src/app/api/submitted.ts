import type { WarningPlace } from '@/core/checks/check';
import { earthModels } from '@/core/earth-models-loaded';
import { LARGEST_LOG, readLog } from '@/core/log-text/read-log';
import type { Logbook } from '@/core/logbook';
import { solve, type Solution } from '@/core/solve';
import { jsonFormat, logbookOf } from '@/formats/json';
import { bodyText, Refused, unreadable } from './answers';

/** A logbook in a request holds one outing, and is refused beyond this, in bytes. */
const LARGEST_BODY = 8_000_000;

/** A log or a logbook of one outing, read and worked out. */
export interface Submitted {
  readonly logbook: Logbook;
  readonly solution: Solution;
  /** The line of the log that something stood on; undefined for a logbook, which has no lines. */
  readonly lineOf: (place: WarningPlace) => number | undefined;
}

/** Reads the body of a request by its media type: text/plain is a log, application/json a logbook. */
export async function submitted(request: Request): Promise<Submitted> {
  const type = (request.headers.get('content-type') ?? '').split(';')[0]!.trim().toLowerCase();
  if (type === 'text/plain') return fromLog(await bodyText(request, LARGEST_LOG));
  if (type === 'application/json') return fromLogbook(await bodyText(request, LARGEST_BODY));
  throw new Refused(415, {
    message: `Can’t read the media type “${type.slice(0, 80)}”.`,
    expected: 'text/plain or application/json',
  });
}

function fromLog(text: string): Submitted {
  const log = readLog(text, 'outing', earthModels);
  if (!log.ok) throw unreadable(log.fault[0]!);
  const { outing, solution, lineOfEntry, lineOfHeader } = log.value;
  return {
    logbook: logbookOf([outing], new Date().toISOString()),
    solution,
    lineOf: (place) =>
      'entry' in place ? lineOfEntry[place.entry] : lineOfHeader.get(place.header),
  };
}

function fromLogbook(text: string): Submitted {
  const read = jsonFormat.read(text, earthModels);
  if (!read.ok) throw unreadable(read.fault[0]!);
  const [outing, second] = read.value.outings;
  if (!outing || second) {
    const message = `The logbook holds ${read.value.outings.length} outings.`;
    throw new Refused(400, { message, path: 'outings', expected: 'one outing' });
  }
  const solved = solve(outing, earthModels);
  if (!solved.ok) throw new Error('a logbook that was read can be solved');
  return { logbook: read.value, solution: solved.value, lineOf: () => undefined };
}
