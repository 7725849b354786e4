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

/** Nobody reads this one: the client ended the connection before it was answered. */
export const clientGone = () => new Refused(499, { message: 'The client has gone.' });

/** The refusal for something that can't be read, by its first fault: 413 if too large, else 400. */
export function unreadable([first]: readonly FileFault[]): Refused {
  if (!first) throw new Error('what can’t be read has a fault');
  const { fault, line, column, path } = first;
  const error = { message: faultMessage(fault), line, column, path, expected: expectedText(fault) };
  return new Refused(fault.code === 'too-large' ? 413 : 400, error);
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
