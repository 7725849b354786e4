import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import type { WarningPlace } from '@/core/checks/check';
import { readLog } from '@/core/log-text/read-log';
import { logbookOf, type Logbook } from '@/core/model/logbook';
import { earthModels } from '@/core/north/loaded-earth-models';
import { solve } from '@/core/survey/solve';
import type { Solution } from '@/core/survey/solution';
import { jsonFormat } from '@/formats/json';
import type { Question } from './question';
import { Refused, unreadable } from './refusal';
import { withinBudget } from './budget';

/** A log or a logbook of one outing, read and solved. */
export interface Submitted {
  readonly logbook: Logbook;
  readonly solution: Solution;
  /** The line of the log that something was on; undefined for a logbook, which has no lines. */
  readonly lineOf: (place: WarningPlace) => number | undefined;
}

/**
 * Reads a body by its media type: text/plain is a log, else a logbook. Refused when the answer
 * would take longer than a request may.
 */
export function submitted({ mediaType, text }: Question, answer: string): Submitted {
  const isLog = mediaType === 'text/plain';
  withinBudget(text, isLog ? 'log' : 'logbook', answer);
  return isLog ? fromLog(text) : fromLogbook(text);
}

function fromLog(text: string): Submitted {
  const log = readLog(text, 'outing', earthModels, surveyTools);
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
  const solved = solve(outing, earthModels, { tools: surveyTools });
  if (!solved.ok) throw new Error('a logbook that was read can be solved');
  return { logbook: read.value, solution: solved.value, lineOf: () => undefined };
}
