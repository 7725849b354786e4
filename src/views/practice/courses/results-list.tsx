import type { KeptResults } from '@/store/database';
import styles from '../practice.module.css';
import { SLIP_NAMES, WORDS } from '../words';

/** What learners handed back: how much was right, and which slips there were. */
export const ResultsList = ({ results }: { results: readonly KeptResults[] }) => (
  <>
    <h3>{WORDS.results}</h3>
    <ul className={styles.items} data-testid="results">
      {results.map(({ id, who, name, attempts }) => {
        const slips = new Set(attempts.flatMap((each) => each.slips));
        const right = attempts.filter(({ isRight }) => isRight).length;
        return (
          <li key={id}>
            {name}: {WORDS.resultOf(who, right, attempts.length)}
            {slips.size > 0 &&
              `; ${WORDS.slipsOf([...slips].map((slip) => SLIP_NAMES[slip] ?? slip).join(', '))}`}
          </li>
        );
      })}
    </ul>
  </>
);
