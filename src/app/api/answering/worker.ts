// What a thread of the pool runs: it answers one question at a time (pool.ts). The build bundles it
// into one file (scripts/build/endpoints.mjs), which server/serve.mjs names.
import { ANSWERS, type EndpointName } from './answers';
import type { Answer, Question } from './question';
import { Refused } from './refusal';

/** A question for a thread, and where it says since when it has been at it. */
export interface Task {
  readonly name: EndpointName;
  readonly question: Question;
  /** One number: 0 until the thread begins, then the time. */
  readonly began: Float64Array<SharedArrayBuffer>;
}

/** What a thread gives back: an answer, or what a refusal is made of. */
export type Outcome =
  | { readonly answer: Answer }
  | { readonly status: number; readonly error: Record<string, unknown> };

/** Answers a question; what is refused comes back as data, since errors lose their class. */
export default function answerTask({ name, question, began }: Task): Outcome {
  began[0] = Date.now();
  try {
    return { answer: ANSWERS[name](question) };
  } catch (thrown) {
    if (thrown instanceof Refused) return { status: thrown.status, error: thrown.error };
    throw thrown;
  }
}
