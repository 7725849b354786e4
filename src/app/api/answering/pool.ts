import type Piscina from 'piscina';
import type { EndpointName } from './answers';
import type { Answer, Question } from './question';
import { clientGone, Refused } from './refusal';
import type { Outcome, Task } from './worker';

/**
 * No answer is worked on for longer, so that it is there within two seconds: its thread is ended,
 * wherever it is in its loops.
 */
const LONGEST_ANSWER_MS = 1800;
/** What waits for longer than this for a thread is refused, so that no queue grows for ever. */
const LONGEST_WAIT_MS = 8000;
const CHECK_MS = 50;
const MOST_WAITING = 200;
/** One that works and one that is free for others, however few cores there are. */
const LEAST_THREADS = 2;
const MOST_MEGABYTES = 512;

const busy = () =>
  new Refused(503, { message: 'The server has too many requests now. Try again in a moment.' });

let pool: Promise<Piscina> | null = null;

/**
 * The threads that answer, kept as long as the server. Made when the first request comes, so that
 * a server which only serves the app needs none.
 */
async function threads(filename: string): Promise<Piscina> {
  const [{ default: Pool }, { availableParallelism }] = await Promise.all([
    import('piscina'),
    import('node:os'),
  ]);
  return new Pool({
    filename,
    minThreads: LEAST_THREADS,
    maxThreads: Math.max(LEAST_THREADS, availableParallelism()) + 1,
    maxQueue: MOST_WAITING,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  });
}

/**
 * Answers a question in another thread, so that none delays another. Its thread is ended after two
 * seconds of work, and when the client has gone. Without a file for threads (a unit test) it is
 * answered at once.
 */
export async function answered(
  name: EndpointName,
  question: Question,
  gone: AbortSignal,
): Promise<Answer> {
  const filename = process.env.CAIRN_ENDPOINTS;
  if (!filename) {
    const { ANSWERS } = await import('./answers');
    return ANSWERS[name](question);
  }
  const began = new Float64Array(new SharedArrayBuffer(8));
  const ends = new AbortController();
  const end = () => ends.abort();
  gone.addEventListener('abort', end, { once: true });
  const asked = Date.now();
  let late: Refused | null = null;
  const watch = setInterval(() => {
    const since = began[0] ?? 0;
    if (since === 0 && Date.now() - asked > LONGEST_WAIT_MS) late = busy();
    else if (since > 0 && Date.now() - since > LONGEST_ANSWER_MS) late = tooLong();
    if (late) end();
  }, CHECK_MS);
  try {
    pool ??= threads(filename);
    const task: Task = { name, question, began };
    const outcome = (await (await pool).run(task, { signal: ends.signal })) as Outcome;
    if ('answer' in outcome) return outcome.answer;
    throw new Refused(outcome.status, outcome.error);
  } catch (thrown) {
    if (late) throw late as Refused;
    if (gone.aborted) throw clientGone();
    if (thrown instanceof Error && /queue|out of memory/i.test(thrown.message)) throw busy();
    throw thrown;
  } finally {
    clearInterval(watch);
    gone.removeEventListener('abort', end);
  }
}

const tooLong = () =>
  new Refused(413, {
    message: `This takes longer than two seconds to answer. Do it in the app.`,
    expected: 'fewer lines, or fewer loops and sightings that hang together',
  });
