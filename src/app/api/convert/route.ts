import { earthModels } from '@/core/north/loaded-earth-models';
import { FORMATS } from '@/formats';
import { answering, onlyMethod, Refused, unreadable } from '../answers';
import { submitted } from '../submitted';

/** POST /api/convert?to=FORMAT with a log or a logbook: the same in another format. */
export const POST = answering(async (request) => {
  const wanted = new URL(request.url).searchParams.get('to') ?? '';
  const format = FORMATS.get(wanted);
  if (!format) {
    const names = [...FORMATS.keys()].join(', ');
    const message = `Can’t convert to “${wanted.slice(0, 80)}”.`;
    throw new Refused(400, { message, path: 'to', expected: names });
  }
  const { logbook } = await submitted(request, wanted);
  const written = format.write(logbook, earthModels);
  if (!written.ok) throw unreadable(written.fault);
  return new Response(written.value, {
    headers: { 'Content-Type': `${format.mediaType}; charset=utf-8` },
  });
});

const { refuse, options } = onlyMethod('POST');
export { refuse as GET, refuse as PUT, refuse as PATCH, refuse as DELETE, options as OPTIONS };
