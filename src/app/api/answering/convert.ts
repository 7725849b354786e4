import { earthModels } from '@/core/north/loaded-earth-models';
import { FORMATS } from '@/formats';
import type { Answer, Question } from './question';
import { Refused, unreadable } from './refusal';
import { submitted } from './submitted';

/** POST /api/convert?to=FORMAT with a log or a logbook: the same in another format. */
export function answerConvert(question: Question): Answer {
  const wanted = new URLSearchParams(question.query).get('to') ?? '';
  const format = FORMATS.get(wanted);
  if (!format) {
    const names = [...FORMATS.keys()].join(', ');
    const message = `Can’t convert to “${wanted.slice(0, 80)}”.`;
    throw new Refused(400, { message, path: 'to', expected: names });
  }
  const { logbook } = submitted(question, wanted);
  const written = format.write(logbook, earthModels);
  if (!written.ok) throw unreadable(written.fault);
  return { mediaType: `${format.mediaType}; charset=utf-8`, text: written.value };
}
