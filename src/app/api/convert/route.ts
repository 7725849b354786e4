import { FORMATS } from '@/formats';
import { earthModels } from '@/core/earth-models-loaded';
import { answering, onlyMethod, Refused, unreadable } from '../answers';
import { submitted } from '../submitted';

/** POST /api/convert?to=FORMAT with a log or a logbook of one outing: the same in another format. */
export const POST = answering(async (request) => {
  const wanted = new URL(request.url).searchParams.get('to') ?? '';
  const format = FORMATS.get(wanted);
  if (!format) {
    const names = [...FORMATS.keys()].join(', ');
    const message = `Can’t convert to “${wanted.slice(0, 80)}”.`;
    throw new Refused(400, { message, path: 'to', expected: names });
  }
  const { logbook } = await submitted(request);
  const written = format.write(logbook, earthModels);
  if (!written.ok) throw unreadable(written.fault[0]!);
  return new Response(written.value, {
    headers: { 'Content-Type': `${format.mediaType}; charset=utf-8` },
  });
});

const refuse = onlyMethod('POST');
export { refuse as GET, refuse as PUT, refuse as PATCH, refuse as DELETE };
