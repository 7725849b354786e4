import { LARGEST_LOG } from '@/core/log-text/read-log';
import type { EndpointName } from './answers';
import { bodyOf } from './body';
import { answered } from './pool';
import { answering, onlyMethod } from './refusal';

/** The largest bodies beside a log, in bytes: a logbook, a question in JSON. */
const LARGEST_LOGBOOK = 8_000_000;
const LARGEST_QUESTION = 200_000;

export const LOGS = { 'text/plain': LARGEST_LOG, 'application/json': LARGEST_LOGBOOK } as const;
export const QUESTION = { 'application/json': LARGEST_QUESTION } as const;

/** The methods of an endpoint that is asked by POST, with bodies up to a size by media type. */
export function endpoint(name: EndpointName, largest: Readonly<Record<string, number>>) {
  const POST = answering(async (request) => {
    const body = await bodyOf(request, largest);
    const { search } = new URL(request.url);
    const { text, mediaType } = await answered(name, { query: search, ...body }, request.signal);
    return new Response(text, { headers: { 'Content-Type': mediaType } });
  });
  return { POST, ...onlyMethod('POST') };
}
