import styles from './helps.module.css';
import { HELP_WORDS as WORDS } from './help-words';

interface Props {
  /** The bearing that is followed and its back bearing, as shown; null where none is. */
  bearing: string | null;
  back: string | null;
  /** What should have been passed, and how far off one may be. */
  facts: readonly string[];
}

/** What to do when the mark is lost, and when one no longer believes the needle. */
export function Helps({ bearing, back, facts }: Props) {
  return (
    <div className={styles.helps}>
      <details data-testid="lost-mark">
        <summary>{WORDS.lostMark}</summary>
        <ol>
          {WORDS.again(bearing, back).map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </details>
      <details data-testid="unsure">
        <summary>{WORDS.unsure}</summary>
        <ol>
          {[...WORDS.check, ...facts, ...WORDS.trust].map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </details>
    </div>
  );
}
