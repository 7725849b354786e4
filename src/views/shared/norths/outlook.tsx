import type { DraftOutlook } from './use-draft-solution';
import styles from './norths-fields.module.css';

/** What the choices come to, in words: said while they are made. */
export function Outlook({ outlook }: { outlook: DraftOutlook }) {
  const { sentence, change, warnings, fault } = outlook;
  return (
    <div className={styles.summary} aria-live="polite" data-testid="outlook">
      {sentence && (
        <p>
          <b>{sentence}</b>
        </p>
      )}
      {change && <p>{change}</p>}
      {[...(fault ? [fault] : []), ...warnings].map((words) => (
        <p key={words} className={styles.warning}>
          {words}
        </p>
      ))}
    </div>
  );
}
