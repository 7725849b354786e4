import { surveyTools } from '../core/survey/adjusted/survey-tools';
import { readLog } from '../core/log-text/read-log';
import { writeLog } from '../core/log-text/write-log';
import { logbookOf } from '../core/model/logbook';
import { ok } from '../core/units/result';
import type { LogbookFormat } from './format';

/** The plain-text log: one outing a file. */
export const logFormat: LogbookFormat = {
  name: 'log',
  mediaType: 'text/plain',
  fileEnding: '.log.txt',
  read(text, models) {
    const log = readLog(text, 'outing', models, surveyTools);
    return log.ok ? ok(logbookOf([log.value.outing], new Date(0).toISOString())) : log;
  },
  write: (logbook) => ok(logbook.outings.map(writeLog).join('\n')),
};
