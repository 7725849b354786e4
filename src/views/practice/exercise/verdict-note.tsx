import type { Verdict } from '@/core/practice/judge';
import type { Question } from '@/core/practice/question';
import { WORDS } from '../words';
import styles from './exercise.module.css';

/** How far off an answer was, in degrees and in metres on the ground. */
function offWords({ overMetres, right }: Question, verdict: Verdict): string {
  const { errorDegrees, errorMetres } = verdict;
  if (right.kind === 'way' || right.kind === 'place') {
    return errorMetres === null ? '' : WORDS.metresOff(errorMetres);
  }
  if (errorDegrees !== null && errorMetres !== null) {
    return `${WORDS.off(errorDegrees)}, ${WORDS.offMetres(errorMetres, overMetres)}`;
  }
  return errorMetres === null ? '' : WORDS.metresOff(errorMetres);
}

/** What is said of an answer: right or not, which slip it was, and what that would cost. */
export function VerdictNote({ question, verdict }: { question: Question; verdict: Verdict }) {
  const off = offWords(question, verdict);
  return (
    <div
      className={styles.verdict}
      data-right={verdict.isRight}
      role="status"
      data-testid="verdict"
    >
      <p className={styles.said}>{verdict.isRight ? WORDS.right : WORDS.wrong}</p>
      {!verdict.isRight && (
        <p>
          {verdict.says ? WORDS.slip(verdict.says) : WORDS.noSlip} {off && `${off}.`}
        </p>
      )}
      {verdict.isRight && off && <p>{off}.</p>}
    </div>
  );
}
