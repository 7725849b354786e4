import { clientGone, Refused } from './refusal';

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
    if (request.signal.aborted) throw clientGone();
    throw thrown;
  } finally {
    clearTimeout(timer);
  }
  return parts.join('');
}

/** The media type of a body, without its parameters. */
function mediaTypeOf(request: Request): string {
  const [mediaType = ''] = (request.headers.get('content-type') ?? '').split(';', 1);
  return mediaType.trim().toLowerCase();
}

/**
 * The body of a request whose media type is one of those named, each with its most bytes. A body
 * that was packed is refused, since nothing here unpacks it.
 */
export async function bodyOf(
  request: Request,
  largest: Readonly<Record<string, number>>,
): Promise<{ mediaType: string; text: string }> {
  const mediaType = mediaTypeOf(request);
  const most = Object.hasOwn(largest, mediaType) ? largest[mediaType] : undefined;
  if (most === undefined) {
    throw new Refused(415, {
      message: `Can’t read the media type “${mediaType.slice(0, 80)}”.`,
      expected: Object.keys(largest).join(' or '),
    });
  }
  const coding = request.headers.get('content-encoding')?.trim().toLowerCase() ?? '';
  if (coding !== '' && coding !== 'identity') {
    throw new Refused(415, {
      message: `Can’t unpack the content encoding “${coding.slice(0, 80)}”.`,
      expected: 'a body without Content-Encoding',
    });
  }
  return { mediaType, text: await bodyText(request, most) };
}
