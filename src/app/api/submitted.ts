import '@/core/survey/adjusted/provided';
import type { WarningPlace } from '@/core/checks/check';
import { LARGEST_LOG, readLog } from '@/core/log-text/read-log';
import { logbookOf, type Logbook } from '@/core/model/logbook';
import { earthModels } from '@/core/north/loaded-earth-models';
import { solve } from '@/core/survey/solve';
import type { Solution } from '@/core/survey/solution';
import { jsonFormat } from '@/formats/json';
import { bodyText, Refused, unreadable } from './answers';
import { withinBudget } from './budget';

/** A logbook in a request holds one outing, and is refused beyond this, in bytes. */
export const LARGEST_BODY = 8_000_000;

/** A log or a logbook of one outing, read and solved. */
export interface Submitted {
  readonly logbook: Logbook;
  readonly solution: Solution;
  /** The line of the log that something was on; undefined for a logbook, which has no lines. */
  readonly lineOf: (place: WarningPlace) => number | undefined;
}

/**
 * Reads the body by its media type: text/plain is a log, application/json a logbook. Refused when
 * the answer would take longer than a request may.
 */
export async function submitted(request: Request, answer: string): Promise<Submitted> {
  const type = mediaTypeOf(request);
  if (type === 'text/plain') {
    const text = await bodyText(request, LARGEST_LOG);
    withinBudget(text, 'log', answer);
    return fromLog(text);
  }
  if (type === 'application/json') {
    const text = await bodyText(request, LARGEST_BODY);
    withinBudget(text, 'logbook', answer);
    return fromLogbook(text);
  }
  throw notReadable(type);
}

/** The media type of a body, without its parameters. */
export function mediaTypeOf(request: Request): string {
  const [mediaType = ''] = (request.headers.get('content-type') ?? '').split(';', 1);
  return mediaType.trim().toLowerCase();
}

/** The refusal of a media type. */
export const notReadable = (type: string): Refused =>
  new Refused(415, {
    message: `Can’t read the media type “${type.slice(0, 80)}”.`,
    expected: 'text/plain or application/json',
  });

function fromLog(text: string): Submitted {
  const log = readLog(text, 'outing', earthModels);
  if (!log.ok) throw unreadable(log.fault);
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
  if (!read.ok) throw unreadable(read.fault);
  const [outing, second] = read.value.outings;
  if (!outing || second) {
    const message = `The logbook holds ${read.value.outings.length} outings.`;
    throw new Refused(400, { message, path: 'outings', expected: 'one outing' });
  }
  const solved = solve(outing, earthModels);
  if (!solved.ok) throw new Error('a logbook that was read can be solved');
  return { logbook: read.value, solution: solved.value, lineOf: () => undefined };
}
