import { expectedWords, faultWords } from '@/core/fault-words';
import type { FileFault } from '@/formats/format';

/** The shape of every refusal: { "error": { message, line?, column?, path?, expected? } }. */
const refusal = (status: number, error: Record<string, unknown>, headers?: HeadersInit) =>
  Response.json({ error }, { status, headers: { 'Cache-Control': 'no-store', ...headers } });

/** A request that can't be answered, with its status; thrown by the readers below and caught by `answering`. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly error: Record<string, unknown>,
  ) {
    super(String(error.message));
  }
}

/** The refusal for something that can't be read: 413 when it is too large, else 400. */
export function unreadable({ fault, line, column, path }: FileFault): Refused {
  const error = { message: faultWords(fault), line, column, path, expected: expectedWords(fault) };
  return new Refused(fault.code === 'too-large' ? 413 : 400, error);
}

/** The body as text, read no further than its limit. */
export async function bodyText(request: Request, mostBytes: number): Promise<string> {
  const tooLarge = new Refused(413, {
    message: `The body is larger than ${mostBytes / 1_000_000} MB.`,
  });
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) throw tooLarge;
  const reader = request.body?.getReader();
  if (!reader) return '';
  const decoder = new TextDecoder('utf-8', { fatal: true });
  const parts: string[] = [];
  let size = 0;
  try {
    for (;;) {
      const { done, value } = await reader.read();
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
  }
  return parts.join('');
}

/** Runs a handler; what it refuses becomes the stated shape, and nothing else ever shows a stack trace. */
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

/** The answer to a method that an endpoint does not have. */
export const onlyMethod = (allowed: string) => () =>
  refusal(405, { message: `Use ${allowed} here.`, expected: allowed }, { Allow: allowed });
