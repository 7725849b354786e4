import { expectedText, faultMessage } from '@/core/faults/messages';
import type { FileFault } from '@/formats/format';

/** The shape of every refusal: { "error": { message, line?, column?, path?, expected? } }. */
const refusal = (status: number, error: Record<string, unknown>, headers?: HeadersInit) =>
  Response.json({ error }, { status, headers: { 'Cache-Control': 'no-store', ...headers } });

/** A request that can't be answered, with its status; readers throw it, `answering` catches it. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly error: Record<string, unknown>,
  ) {
    super(String(error.message));
  }
}

/** The refusal for something that can't be read, by its first fault: 413 if too large, else 400. */
export function unreadable([first]: readonly FileFault[]): Refused {
  if (!first) throw new Error('what can’t be read has a fault');
  const { fault, line, column, path } = first;
  const error = { message: faultMessage(fault), line, column, path, expected: expectedText(fault) };
  return new Refused(fault.code === 'too-large' ? 413 : 400, error);
}

/** A body has to be here by then, in milliseconds. */
const LONGEST_BODY_MS = 20_000;

/** The body as text, read no further than its limit, and waited for no longer than its time. */
export async function bodyText(
  request: Request,
  mostBytes: number,
  longestMs = LONGEST_BODY_MS,
): Promise<string> {
  const tooLarge = new Refused(413, {
    message: `The body is larger than ${mostBytes / 1_000_000} MB.`,
  });
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) throw tooLarge;
  const reader = request.body?.getReader();
  if (!reader) return '';
  const late = new Refused(408, {
    message: `The body was not complete after ${longestMs / 1000} seconds.`,
  });
  let isLate = false;
  const timer = setTimeout(() => {
    isLate = true;
    void reader.cancel();
  }, longestMs);
  const decoder = new TextDecoder('utf-8', { fatal: true });
  const parts: string[] = [];
  let size = 0;
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (isLate) throw late;
      if (done) break;
      size += value.byteLength;
      if (size > mostBytes) {
        void reader.cancel();
        throw tooLarge;
      }
      parts.push(decoder.decode(value, { stream: true }));
    }
    parts.push(decoder.decode());
  } catch (thrown) {
    if (thrown instanceof TypeError) {
      throw new Refused(400, { message: 'The body is not UTF-8 text.', expected: 'UTF-8' });
    }
    throw thrown;
  } finally {
    clearTimeout(timer);
  }
  return parts.join('');
}

/** Runs a handler; a refusal gets the stated shape, any other error a 500 without details. */
export const answering =
  (handler: (request: Request) => Promise<Response>) =>
  async (request: Request): Promise<Response> => {
    try {
      return await handler(request);
    } catch (thrown) {
      if (thrown instanceof Refused) return refusal(thrown.status, thrown.error);
      console.error('An endpoint failed:', thrown);
      return refusal(500, { message: 'The server failed on this request.' });
    }
  };

/** The methods of an endpoint that has one: what others are answered, and what OPTIONS says. */
export function onlyMethod(allowed: 'GET' | 'POST') {
  // HEAD is answered wherever GET is.
  const Allow = [allowed, ...(allowed === 'GET' ? ['HEAD'] : []), 'OPTIONS'].join(', ');
  const message = `Use ${allowed} here.`;
  return {
    refuse: () => refusal(405, { message, expected: allowed }, { Allow }),
    options: () => new Response(null, { status: 204, headers: { Allow } }),
  };
}
